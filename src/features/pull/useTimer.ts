'use client';

import { useCallback, useEffect, useState } from 'react';

/** The bench clock: starts with the pump, notes the first drip, stops. One key walks through it. */
export type TimerPhase = 'idle' | 'running' | 'dripped' | 'stopped';

export interface Timer {
  readonly phase: TimerPhase;
  /** Seconds from the pump, to the tenth. */
  readonly elapsedS: number;
  readonly firstDripS: number | null;
  readonly advance: () => void;
  readonly reset: () => void;
}

const REFRESH_MS = 50;

const tenths = (milliseconds: number) => Math.round(milliseconds / 100) / 10;

export interface TimedRun {
  readonly elapsedS: number;
  readonly firstDripS: number;
}

const clock = () => performance.now();

export function useTimer(onStop: (run: TimedRun) => void, now: () => number = clock): Timer {
  const [phase, setPhase] = useState<TimerPhase>('idle');
  const [startMs, setStartMs] = useState(0);
  const [elapsedS, setElapsedS] = useState(0);
  const [firstDripS, setFirstDripS] = useState<number | null>(null);
  const isRunning = phase === 'running' || phase === 'dripped';

  useEffect(() => {
    if (!isRunning) return;
    const interval = setInterval(() => setElapsedS(tenths(now() - startMs)), REFRESH_MS);
    return () => clearInterval(interval);
  }, [isRunning, startMs, now]);

  const advance = useCallback(() => {
    const moment = now();
    switch (phase) {
      case 'idle':
      case 'stopped':
        setStartMs(moment);
        setElapsedS(0);
        setFirstDripS(null);
        setPhase('running');
        break;
      case 'running':
        setFirstDripS(tenths(moment - startMs));
        setPhase('dripped');
        break;
      case 'dripped':
        setElapsedS(tenths(moment - startMs));
        setPhase('stopped');
        onStop({ elapsedS: tenths(moment - startMs), firstDripS: firstDripS ?? 0 });
        break;
    }
  }, [firstDripS, now, onStop, phase, startMs]);

  const reset = useCallback(() => {
    setPhase('idle');
    setElapsedS(0);
    setFirstDripS(null);
  }, []);

  return { phase, elapsedS, firstDripS, advance, reset };
}
