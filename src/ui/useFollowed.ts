'use client';

import { useEffect, useEffectEvent } from 'react';

/** Looks at once, and again every so often while the page is in view; anew for another `subject`. */
export function useFollowed(look: () => Promise<void>, everyMs: number, subject: string): void {
  const followed = useEffectEvent(() => {
    if (document.visibilityState === 'visible') void look();
  });
  useEffect(() => {
    const first = setTimeout(followed);
    const timer = setInterval(followed, everyMs);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [subject, everyMs]);
}
