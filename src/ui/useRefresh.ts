'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useTransition } from 'react';

/** A page that has not come by then is asked for again, each time after twice as long. */
const AGAIN_MS = 5_000;

/** Asks for the page as the keeper does; null where none stands. */
let askKept: (() => void) | null = null;

/** Brings the screen up to date. */
export function useRefresh(): readonly [isRefreshing: boolean, refresh: () => void] {
  const router = useRouter();
  const [isRefreshing, startRefresh] = useTransition();
  const refresh = useCallback(
    () => startRefresh(() => (askKept ? askKept() : router.refresh())),
    [router],
  );
  return [isRefreshing, refresh];
}

/**
 * Now and then a browser breaks an answer off on its way, and the screen would wait for the rest of it for ever: the page
 * is asked for again until it stands. Whatever asked first may be gone by then, so this stands outside all of it.
 */
export function RefreshKeeper(): null {
  const router = useRouter();
  const [isComing, startComing] = useTransition();
  const ask = useCallback(() => startComing(() => router.refresh()), [router]);
  useEffect(() => {
    askKept = ask;
    return () => {
      askKept = null;
    };
  }, [ask]);
  useEffect(() => {
    if (!isComing) return;
    let waitMs = AGAIN_MS;
    let timer = setTimeout(again, waitMs);
    function again() {
      ask();
      waitMs *= 2;
      timer = setTimeout(again, waitMs);
    }
    return () => clearTimeout(timer);
  }, [isComing, ask]);
  return null;
}
