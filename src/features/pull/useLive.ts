'use client';

import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { STYLE_STEPS } from '@/core/programme/styles';
import { firstDripOf, flowAt, readTrace, stopAtWeight } from '@/core/trace/read';
import type { Trace } from '@/core/trace/schema';
import type { PullView } from '@/data/pullView';
import type { Bench } from '@/data/releaseView';
import type { Weight } from '@/devices/instruments';
import { SimulatedBench, type InBasket } from '@/devices/simulated/simulatedBench';
import { drawInWorker, pullInWorker } from '@/workers/client';

/** What the scale says while a shot runs. */
export interface Live {
  /** No scale is linked, it is being set up, or it stands ready. */
  readonly scale: 'none' | 'waking' | 'ready';
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
  readonly onFull: () => void;
  readonly onSettled: (settled: Settled) => void;
}

interface Run {
  readonly points: Trace;
  readonly stoppedS: number | null;
  readonly isSettled: boolean;
}

const IDLE: Run = { points: [], stoppedS: null, isSettled: true };
/** The cup is read so long after the pump stopped; by then the spout is empty. */
const SETTLES_AFTER_S = 2.2;
const START_SD = 0.18;

/** Follows the scale of this bench: first drip, full cup, what runs on after the pump. */
export function useLive(options: LiveOptions) {
  const { bench, pull, speed } = options;
  const { setup, draft, target } = bench;
  const hasScale = setup.links.scale === 'simulated';
  const stopsItself = setup.links.machineLink === 'simulated';
  const stopAtG = stopAtWeight(target.yieldG, pull.overrunG);
  const device = useRef<SimulatedBench | null>(null);
  const [isReady, setReady] = useState(false);
  const [run, setRun] = useState<Run>(IDLE);
  const question = useMemo(() => drawInputOf(bench, pull), [bench, pull]);
  const { dialInId } = draft;

  const onWeight = useEffectEvent(({ timeS, weightG }: Weight) => {
    if (run.isSettled) return;
    const points = [...run.points, { timeS, weightG }];
    const dripS = firstDripOf(points);
    if (dripS !== null) options.onDrip(dripS);
    const isFull = run.stoppedS === null && stopsItself && weightG >= stopAtG;
    const settles = run.stoppedS !== null && timeS >= run.stoppedS + SETTLES_AFTER_S;
    setRun({ ...run, points, isSettled: settles });
    if (isFull) options.onFull();
    if (settles) options.onSettled(settledOf(points, run.stoppedS!));
  });

  const wake = useEffectEvent(async (isGone: () => boolean) => {
    const station = await drawInWorker(question);
    if (isGone()) return null;
    const made = new SimulatedBench({
      station,
      pullShot: pullInWorker,
      seed: question.seed + bench.shots.length,
    });
    made.onWeight((weight) => onWeight(weight));
    device.current = made;
    setReady(true);
    return made;
  });

  useEffect(() => {
    if (!hasScale) return;
    let isGone = false;
    const waking = wake(() => isGone);
    return () => {
      isGone = true;
      void waking.then((made) => made?.close());
    };
  }, [hasScale, dialInId]);

  const start = () => {
    const made = device.current;
    if (!made) return;
    setRun({ points: [], stoppedS: null, isSettled: false });
    made.speed = speed;
    made.tare();
    made.load(options.inBasket());
    made.start(STYLE_STEPS[draft.style]);
  };
  const stop = (atS: number) => {
    device.current?.stop();
    setRun((before) => ({ ...before, stoppedS: atS }));
  };
  const readTds = async () => (device.current ? (await device.current.read()).tdsPct : null);
  const live: Live = {
    scale: hasScale ? (isReady ? 'ready' : 'waking') : 'none',
    points: run.points,
    flowGS: run.points.length > 0 ? Math.max(0, flowAt(run.points, run.points.length - 1)) : 0,
    stopAtG,
    stopsItself,
  };
  return { live, start, stop, readTds, clear: () => setRun(IDLE) };
}

function settledOf(points: Trace, stoppedS: number): Settled {
  const { yieldG } = readTrace(points);
  const atStop = points.findLast(({ timeS }) => timeS <= stoppedS)?.weightG ?? 0;
  const tenth = (grams: number) => Math.round(10 * grams) / 10;
  return { yieldG: tenth(yieldG), overrunG: tenth(Math.max(0, yieldG - atStop)), trace: points };
}

/** The simulated bench of this dial-in: always the same one. */
function drawInputOf({ draft, setup, target, shots }: Bench, pull: PullView) {
  const drip = target.clock === 'firstDrip' ? (shots.at(-1)?.firstDripS ?? 6) : 0;
  return {
    coffee: pull.coffee,
    basket: setup.basket,
    grinder: setup.grinder,
    recipe: {
      doseG: draft.doseG,
      yieldG: draft.yieldG,
      temperatureC: draft.temperatureC,
      programme: STYLE_STEPS[draft.style],
      centreS: (target.timeS[0] + target.timeS[1]) / 2 + drip,
    },
    startDial: draft.startDial,
    startSd: START_SD,
    seed: seedOf(draft.dialInId),
  };
}

/** A number from an id, the same every time (FNV-1a, published). */
function seedOf(id: string): number {
  let hash = 0x811c9dc5;
  for (const sign of id) hash = Math.imul(hash ^ sign.charCodeAt(0), 0x01000193) >>> 0;
  return hash;
}
