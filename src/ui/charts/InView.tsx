'use client';

import { useEffect, useRef, useState, type ReactNode } from 'react';

/** Room a chart takes, kept before it is there. */
export const CHART_HEIGHT_PX = 230;

const canTell = () => 'IntersectionObserver' in window;

/** A chart, fetched when it is scrolled to; its room is kept. A page that is only glanced at carries none. */
export function InView({
  label,
  heightPx = CHART_HEIGHT_PX,
  children,
}: {
  label: string;
  heightPx?: number;
  children: () => ReactNode;
}) {
  const place = useRef<HTMLDivElement>(null);
  // Where a browser does not tell what is in view, all of it is.
  const [wasSeen, setSeen] = useState(() => typeof window !== 'undefined' && !canTell());
  useEffect(() => {
    if (!canTell()) return;
    const watch = new IntersectionObserver(([seen]) => {
      if (seen?.isIntersecting) setSeen(true);
    });
    watch.observe(place.current!);
    return () => watch.disconnect();
  }, []);
  return (
    // A drawing that has not yet heard of a narrower screen must not widen the page.
    <div
      ref={place}
      role="img"
      aria-label={label}
      style={{ minHeight: heightPx, overflow: 'hidden' }}
    >
      {wasSeen && children()}
    </div>
  );
}
