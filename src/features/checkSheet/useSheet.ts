'use client';

import { useCallback, useState } from 'react';
import type { Fault } from '@/core/errors';
import type { CheckSheet } from '@/views/checkSheet';
import { lookForServer } from '@/ui/reach';
import { useFollowed } from '@/ui/useFollowed';

type Shown =
  | { readonly at: 'looking' }
  | { readonly at: 'closed'; readonly words: string }
  /** `isAway`: the last one this phone had. */
  | { readonly at: 'sheet'; readonly sheet: CheckSheet; readonly isAway: boolean };

const AGAIN_MS = 30_000;

/** The sheet behind a link, as it is now or as this phone last had it. */
export function useSheet(secret: string) {
  const [shown, setShown] = useState<Shown>({ at: 'looking' });
  const key = `check sheet ${secret}`;

  const look = useCallback(async () => {
    const found = await ask(secret);
    if (found === 'unreached') {
      const kept = readKept(key);
      setShown(kept === null ? { at: 'looking' } : { at: 'sheet', sheet: kept, isAway: true });
      void lookForServer();
      return;
    }
    if ('words' in found) {
      if (found.isClosed) localStorage.removeItem(key);
      setShown({ at: 'closed', words: found.words });
      return;
    }
    localStorage.setItem(key, JSON.stringify(found));
    setShown({ at: 'sheet', sheet: found, isAway: false });
  }, [secret, key]);

  useFollowed(look, AGAIN_MS, secret);
  return { shown, look };
}

async function ask(
  secret: string,
): Promise<CheckSheet | { readonly words: string; readonly isClosed: boolean } | 'unreached'> {
  try {
    const response = await fetch(`/api/checks/${secret}`, { cache: 'no-store' });
    const body = (await response.json()) as { result?: CheckSheet; faults?: Fault[] };
    if (body.result) return body.result;
    const words = body.faults?.map(({ message }) => message).join(' ') ?? '';
    return { words, isClosed: response.status === 410 };
  } catch {
    return 'unreached';
  }
}

function readKept(key: string): CheckSheet | null {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : (JSON.parse(text) as CheckSheet);
  } catch {
    return null;
  }
}
