'use client';

import { useEffect, useEffectEvent, useState } from 'react';
import { listenToHouse, type Heard } from '@/ui/newsLine';
import { isOwn } from '@/ui/outbox';
import { useRefresh } from '@/ui/useRefresh';

/** What somebody else did to this release while it is open here. */
export interface News {
  readonly id: string;
  readonly words: string;
}

/** The page is quiet first: a connection that stays open is begun once all else has come. */
const QUIET_MS = 1_200;

/** Listens for what others do and brings the screen up to date; the newest is told in words. */
export function useOthers(releaseId: string): News | null {
  const [, refresh] = useRefresh();
  const [news, setNews] = useState<News | null>(null);
  const onHeard = useEffectEvent((heard: Heard) => {
    if (heard === 'away') return refresh();
    // What this page itself sent is on its screen already; what the same person did elsewhere is not.
    if (heard.releaseId !== releaseId || isOwn(heard.id)) return;
    if (!heard.isMine) setNews({ id: heard.id, words: heard.words });
    refresh();
  });
  useEffect(() => {
    let leave: (() => void) | null = null;
    const timer = setTimeout(() => {
      leave = listenToHouse(onHeard);
    }, QUIET_MS);
    return () => {
      clearTimeout(timer);
      leave?.();
    };
  }, [releaseId]);
  return news;
}
