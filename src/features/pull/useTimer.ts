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
  /** Notes a first drip that a scale saw; at that time, not when it was told. */
  readonly markDrip: (atS: number) => void;
  /** Stops at a time that a scale told. */
  readonly stopAt: (atS: number) => void;
}

export interface TimedRun {
  readonly elapsedS: number;
  readonly firstDripS: number | null;
}

export interface TimerOptions {
  readonly onStart?: () => void;
  readonly onStop: (run: TimedRun) => void;
  /** A scale notes the first drip, so the key that would note it stops. */
  readonly hasScale?: boolean;
  /** Simulated shots run so many times as fast. */
  readonly speed?: number;
  readonly now?: () => number;
}

const REFRESH_MS = 50;

const tenths = (milliseconds: number) => Math.round(milliseconds / 100) / 10;
const clock = () => performance.now();
const nothing = () => {};

export function useTimer({
  onStart = nothing,
  onStop,
  hasScale = false,
  speed = 1,
  now = clock,
}: TimerOptions): Timer {
  const [phase, setPhase] = useState<TimerPhase>('idle');
  const [startMs, setStartMs] = useState(0);
  const [elapsedS, setElapsedS] = useState(0);
  const [firstDripS, setFirstDripS] = useState<number | null>(null);
  const isRunning = phase === 'running' || phase === 'dripped';

  useEffect(() => {
    if (!isRunning) return;
    const interval = setInterval(
      () => setElapsedS(tenths((now() - startMs) * speed)),
      REFRESH_MS / speed,
    );
    return () => clearInterval(interval);
  }, [isRunning, startMs, now, speed]);

  const stopAt = useCallback(
    (atS: number) => {
      setElapsedS(atS);
      setPhase('stopped');
      onStop({ elapsedS: atS, firstDripS });
    },
    [firstDripS, onStop],
  );

  const advance = useCallback(() => {
    const moment = now();
    const atS = tenths((moment - startMs) * speed);
    switch (phase) {
      case 'idle':
      case 'stopped':
        setStartMs(moment);
        setElapsedS(0);
        setFirstDripS(null);
        setPhase('running');
        onStart();
        break;
      case 'running':
        if (hasScale) return stopAt(atS);
        setFirstDripS(atS);
        setPhase('dripped');
        break;
      case 'dripped':
        stopAt(atS);
        break;
    }
  }, [hasScale, now, onStart, phase, speed, startMs, stopAt]);

  const reset = useCallback(() => {
    setPhase('idle');
    setElapsedS(0);
    setFirstDripS(null);
  }, []);

  const markDrip = useCallback((atS: number) => {
    setFirstDripS((before) => before ?? atS);
    setPhase((before) => (before === 'running' ? 'dripped' : before));
  }, []);

  return { phase, elapsedS, firstDripS, advance, reset, markDrip, stopAt };
}
