'use client';

import dynamic from 'next/dynamic';
import { useEffect, useRef, useState } from 'react';
import type { TimeChartProps } from './TimeChart';

const TimeChart = dynamic(() => import('./TimeChart').then((all) => all.TimeChart), { ssr: false });

/** How far below what is seen a chart is fetched already. */
const AHEAD_PX = 200;

const canTell = () => 'IntersectionObserver' in window;

/** The chart, fetched when it is scrolled to; its room is kept. A page that is only glanced at carries none. */
export function LazyTimeChart(props: TimeChartProps) {
  const place = useRef<HTMLDivElement>(null);
  // Where a browser does not tell what is in view, all of it is.
  const [isNear, setIsNear] = useState(() => typeof window !== 'undefined' && !canTell());
  useEffect(() => {
    if (!canTell()) return;
    const watch = new IntersectionObserver(
      ([seen]) => {
        if (seen?.isIntersecting) setIsNear(true);
      },
      { rootMargin: `${AHEAD_PX}px` },
    );
    watch.observe(place.current!);
    return () => watch.disconnect();
  }, []);
  return (
    // A drawing that has not yet heard of a narrower screen must not widen the page.
    <div ref={place} style={{ minHeight: 230, overflow: 'hidden' }}>
      {isNear && <TimeChart {...props} />}
    </div>
  );
}
