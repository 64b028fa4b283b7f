'use client';

import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { firstDripOf, flowAt, readTrace, stopAtWeight } from '@/core/trace/read';
import type { Trace } from '@/core/trace/schema';
import type { PullView } from '@/views/pull';
import type { Bench } from '@/views/release';
import type { Refractometer, Weight } from '@/devices/instruments';
import { hasScale, linkBench, type LinkedBench } from '@/devices/linked';
import type { InBasket } from '@/devices/simulated/simulatedBench';
import { drawInputOf, madeHere } from './simulatedOf';

/** What the scale says while a shot runs. */
export interface Live {
  /** No scale is linked, it is being set up, it stands ready, or it does not answer. */
  readonly scale: 'none' | 'waking' | 'ready' | 'failed';
  readonly points: Trace;
  readonly flowGS: number;
  /** Weight at which the pump is to stop; the app does it where the machine is linked. */
  readonly stopAtG: number;
  readonly stopsItself: boolean;
}

export interface Settled {
  readonly yieldG: number;
  readonly overrunG: number;
  readonly trace: Trace;
}

export interface LiveOptions {
  readonly bench: Bench;
  readonly pull: PullView;
  /** What is in the basket now. */
  readonly inBasket: () => InBasket;
  readonly speed: number;
  readonly onDrip: (atS: number) => void;
  /** The cup is so full that the pump is to stop. */
  readonly onFull: (atS: number) => void;
  readonly onSettled: (settled: Settled) => void;
}

interface Run {
  readonly points: Trace;
  readonly dripS: number | null;
  readonly stoppedS: number | null;
  readonly isSettled: boolean;
}

const IDLE: Run = { points: [], dripS: null, stoppedS: null, isSettled: true };
/** The cup is read so long after the pump stopped; by then the spout is empty. */
const SETTLES_AFTER_S = 2.2;

/** Follows the scale of this bench: first drip, full cup, what runs on after the pump. */
export function useLive(options: LiveOptions) {
  const { bench, pull, speed } = options;
  const { setup, draft, target } = bench;
  const isLinked = hasScale(setup.links);
  // Without a scale nobody tells the machine when the cup is full.
  const stopsItself = isLinked && setup.links.machineLink === 'simulated';
  const stopAtG = stopAtWeight(target.yieldG, pull.overrunG);
  const device = useRef<LinkedBench | null>(null);
  const [state, setState] = useState<'waking' | 'ready' | 'failed'>('waking');
  const [trouble, setTrouble] = useState('');
  const [tries, setTries] = useState(0);
  const [run, setRun] = useState<Run>(IDLE);
  const { dialInId } = draft;

  // Several readings may come before the screen is drawn again: they are gathered outside it.
  const gathered = useRef<Run>(IDLE);
  const show = (next: Run) => {
    gathered.current = next;
    setRun(next);
  };

  const onWeight = useEffectEvent(({ timeS, weightG }: Weight) => {
    const before = gathered.current;
    if (before.isSettled) return;
    const points = [...before.points, { timeS, weightG }];
    const dripS = before.dripS ?? firstDripOf(points);
    const isFull = before.stoppedS === null && stopsItself && weightG >= stopAtG;
    const isSettled = before.stoppedS !== null && timeS >= before.stoppedS + SETTLES_AFTER_S;
    show({ ...before, points, dripS, isSettled });
    if (dripS !== null && before.dripS === null) options.onDrip(dripS);
    if (isFull) options.onFull(timeS);
    if (isSettled) options.onSettled(settledOf(points, before.stoppedS!));
  });

  const question = useEffectEvent(() => ({
    input: drawInputOf(bench, pull),
    shots: bench.shots.length,
  }));
  useEffect(() => {
    if (!isLinked) return;
    let isGone = false;
    let made: LinkedBench | null = null;
    const { input, shots } = question();
    linkBench(input, shots).then(
      (linked) => {
        if (isGone) return linked.close();
        made = linked;
        made.onWeight((weight) => onWeight(weight));
        device.current = made;
        setState('ready');
      },
      (error: Error) => {
        if (isGone) return;
        setTrouble(error.message);
        setState('failed');
      },
    );
    return () => {
      isGone = true;
      made?.close();
      device.current = null;
      setState('waking');
    };
  }, [isLinked, dialInId, tries]);

  const start = () => {
    const made = device.current;
    if (!made) return;
    show({ ...IDLE, isSettled: false });
    made.speed = speed;
    made.tare();
    made.load(options.inBasket());
    made.start(madeHere(bench));
  };
  const stop = (atS: number) => {
    device.current?.stop();
    show({ ...gathered.current, stoppedS: atS });
  };
  const refractometer: Refractometer | null =
    setup.links.refractometer === 'simulated' && state === 'ready'
      ? {
          read: () =>
            device.current?.read() ?? Promise.reject(new Error('The refractometer is not ready.')),
        }
      : null;
  const live: Live = {
    scale: isLinked ? state : 'none',
    points: run.points,
    flowGS: run.points.length > 0 ? Math.max(0, flowAt(run.points, run.points.length - 1)) : 0,
    stopAtG,
    stopsItself,
  };
  return {
    live,
    /** Why the scale does not answer, and what to do; the clock works by hand meanwhile. */
    trouble: state === 'failed' ? trouble : null,
    tryAgain: () => {
      setState('waking');
      setTries(tries + 1);
    },
    start,
    stop,
    refractometer,
    clear: () => show(IDLE),
  };
}

function settledOf(points: Trace, stoppedS: number): Settled {
  const { yieldG } = readTrace(points);
  const atStop = points.findLast(({ timeS }) => timeS <= stoppedS)?.weightG ?? 0;
  const tenth = (grams: number) => Math.round(10 * grams) / 10;
  return { yieldG: tenth(yieldG), overrunG: tenth(Math.max(0, yieldG - atStop)), trace: points };
}
