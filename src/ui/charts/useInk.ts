import { useEffect, useState, type RefObject } from 'react';

/** Colours of the theme as the canvas needs them: resolved. */
export interface Ink {
  readonly ink: string;
  readonly soft: string;
  readonly rule: string;
  readonly point: string;
  readonly good: string;
  readonly raised: string;
}

function readInk(element: HTMLElement): Ink {
  const colour = (name: string) => {
    element.style.color = `var(${name})`;
    const resolved = getComputedStyle(element).color;
    element.style.color = '';
    return resolved;
  };
  return {
    ink: colour('--ink'),
    soft: colour('--ink-soft'),
    rule: colour('--rule'),
    point: colour('--copper'),
    good: colour('--verdigris'),
    raised: colour('--enamel-raised'),
  };
}

/** The theme's colours, read anew when the theme changes. */
export function useInk(box: RefObject<HTMLElement | null>): Ink | null {
  const [ink, setInk] = useState<Ink | null>(null);
  useEffect(() => {
    const read = () => {
      if (box.current) setInk(readInk(box.current));
    };
    // After the first paint, when the theme's style sheet is in force.
    const frame = requestAnimationFrame(read);
    const observer = new MutationObserver(read);
    observer.observe(document.documentElement, { attributes: true });
    const scheme = matchMedia('(prefers-color-scheme: dark)');
    scheme.addEventListener('change', read);
    return () => {
      cancelAnimationFrame(frame);
      observer.disconnect();
      scheme.removeEventListener('change', read);
    };
  }, [box]);
  return ink;
}

/** A colour that lets through what is under it; `share` 0-1. */
export function thin(colour: string, share: number): string {
  return colour.replace(/^rgba?\(([^,)]+,[^,)]+,[^,)]+).*$/, `rgba($1, ${share})`);
}
