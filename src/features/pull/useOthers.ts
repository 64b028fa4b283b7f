'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useEffectEvent, useState } from 'react';
import { isOwn } from '@/ui/outbox';

/** What somebody else did to this release while it is open here. */
export interface News {
  readonly id: string;
  readonly words: string;
}

/** The page is quiet first: a connection that stays open is begun once all else has come. */
const QUIET_MS = 1_200;

/** Listens for what others do and brings the screen up to date; the newest is told in words. */
export function useOthers(releaseId: string): News | null {
  const router = useRouter();
  const [news, setNews] = useState<News | null>(null);
  const onNews = useEffectEvent((text: string) => {
    const { id, words, isMine } = JSON.parse(text) as News & { isMine: boolean };
    // What this page itself sent is on its screen already; what the same person did elsewhere is not.
    if (isOwn(id)) return;
    if (!isMine) setNews({ id, words });
    router.refresh();
  });
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    let source: EventSource | null = null;
    const timer = setTimeout(() => {
      source = new EventSource(`/api/releases/${releaseId}/stream`);
      source.onmessage = ({ data }: MessageEvent<string>) => onNews(data);
    }, QUIET_MS);
    return () => {
      clearTimeout(timer);
      source?.close();
    };
  }, [releaseId]);
  return news;
}
