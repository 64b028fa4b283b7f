'use client';

import { useEffect, useState } from 'react';
import { COOL_S } from '@/core/panel/atTheTable';

/** Seconds since a cup was poured, ticking; null until it stands on the table. */
export function useSincePoured(pouredAt: string | null): number | null {
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    const tick = () => setNow(Date.now());
    const first = setTimeout(tick);
    const timer = setInterval(tick, 1000);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, []);
  if (pouredAt === null || now === null) return null;
  return Math.max(0, Math.round((now - Date.parse(pouredAt)) / 1000));
}

const clockWords = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** How long a cup has to cool before it is judged. */
export function Cooling({ pouredAt }: { pouredAt: string | null }) {
  const since = useSincePoured(pouredAt);
  if (pouredAt === null) return <>not poured yet</>;
  if (since === null) return <>poured</>;
  const left = COOL_S - since;
  return left > 0 ? <>wait {clockWords(left)}</> : <>ready to taste</>;
}
