'use client';
/**
 * Says on the page itself that it answers: `data-ready` holds the path of what is on the screen, once its scripts
 * listen. Whoever drives the interface (a test, a measurement) waits for it; a page that is streamed in parts has
 * a mark of its own at its end, and the one around it waits for that.
 */
import { usePathname } from 'next/navigation';
import { useEffect } from 'react';

export function ReadyMark() {
  const path = usePathname();
  useEffect(() => {
    if (document.querySelector('[data-loading]') === null)
      document.documentElement.dataset.ready = path;
  }, [path]);
  return null;
}
