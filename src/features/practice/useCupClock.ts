'use client';

import { useEffect, useState } from 'react';

/** Where a staged shot stands. */
export type CupClock =
  | { readonly at: 'ready' }
  | { readonly at: 'pump' }
  | { readonly at: 'cups'; readonly dripMs: number; readonly nowMs: number }
  | { readonly at: 'done' };

const TICK_MS = 100;

/** The clock of a staged shot: one press for the pump, the first drip and the end. */
export function useCupClock() {
  const [clock, setClock] = useState<CupClock>({ at: 'ready' });
  const isRunning = clock.at === 'cups';
  useEffect(() => {
    if (!isRunning) return;
    const timer = setInterval(
      () =>
        setClock((before) =>
          before.at === 'cups' ? { ...before, nowMs: performance.now() } : before,
        ),
      TICK_MS,
    );
    return () => clearInterval(timer);
  }, [isRunning]);
  const press = () => {
    const nowMs = performance.now();
    setClock((before) => {
      switch (before.at) {
        case 'ready':
          return { at: 'pump' };
        case 'pump':
          return { at: 'cups', dripMs: nowMs, nowMs };
        case 'cups':
          return { at: 'done' };
        case 'done':
          return before;
      }
    });
  };
  return { clock, press };
}
