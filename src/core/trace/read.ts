/**
 * What a scale says of a shot: the first drip, the stop, the cup, and what ran after the stop.
 * Points in order of time, s from the pump, about ten a second. Source: house heuristic, tried against
 * the simulator; a scale with slow filtering answers late by as much as it filters.
 */
import type { Trace } from './schema';

/** In the cup at the first drip, and for how many readings: a splash is not a stream. */
const FIRST_DRIP_G = 0.3;
const SURE_READINGS = 2;
/** The stream has stopped when it falls under this share of what it was, and under this at all, g/s. */
const STOPPED_SHARE = 0.5;
const STOPPED_G_S = 0.35;
/** Flow is read over this long, s: a tenth of a second is all noise. */
const FLOW_OVER_S = 0.6;

export interface ReadShot {
  readonly firstDripS: number | null;
  /** When the stream began to fall off; null while it runs. */
  readonly stoppedS: number | null;
  readonly yieldG: number;
}

/** Reads a whole trace or the part of it that there is. */
export function readTrace(points: Trace): ReadShot {
  const firstDripS = firstDripOf(points);
  const yieldG = settledOf(points);
  if (firstDripS === null) return { firstDripS, stoppedS: null, yieldG };
  return { firstDripS, stoppedS: stopOf(points, firstDripS), yieldG };
}

/** Where the weight first stays over a splash; drawn back to the last reading under it. */
export function firstDripOf(points: Trace): number | null {
  for (let i = 0; i + SURE_READINGS <= points.length; i++) {
    const sure = points.slice(i, i + SURE_READINGS).every(({ weightG }) => weightG >= FIRST_DRIP_G);
    if (sure) return points[i]!.timeS;
  }
  return null;
}

/** g/s over the last stretch before `index`; 0 at the beginning. */
export function flowAt(points: Trace, index: number): number {
  const end = points[index]!;
  let from = index;
  while (from > 0 && end.timeS - points[from]!.timeS < FLOW_OVER_S) from--;
  const start = points[from]!;
  return end.timeS > start.timeS ? (end.weightG - start.weightG) / (end.timeS - start.timeS) : 0;
}

/** Walks back from the end over the readings that hardly rise, to where the full stream ended. */
function stopOf(points: Trace, firstDripS: number): number | null {
  const last = points.length - 1;
  if (flowAt(points, last) > STOPPED_G_S) return null;
  const flows = points.map((_, i) => flowAt(points, i));
  const streaming = points.flatMap((point, i) =>
    point.timeS > firstDripS + 1 && flows[i]! > STOPPED_G_S ? [flows[i]!] : [],
  );
  const usual = [...streaming].sort((a, b) => a - b)[Math.floor(streaming.length / 2)] ?? 0;
  const still = Math.max(STOPPED_G_S, STOPPED_SHARE * usual);
  for (let i = last; i > 0; i--)
    // Half of the stretch over which the flow was read lies behind the moment it fell.
    if (flows[i]! >= still) return Math.max(firstDripS, points[i]!.timeS - FLOW_OVER_S / 2);
  return null;
}

/** The cup at the end: the middle of the last readings, so that one of them cannot lie. */
function settledOf(points: Trace): number {
  const end = points.slice(-5).map(({ weightG }) => weightG);
  return Math.max(0, end.sort((a, b) => a - b)[Math.floor(end.length / 2)] ?? 0);
}

/** A trace thinned to one point each `everyS`, with its first and last kept: for drawing. */
export function thinned(points: Trace, everyS: number): Trace {
  let nextS = -Infinity;
  return points.filter((point, i) => {
    if (point.timeS < nextS && i !== points.length - 1) return false;
    nextS = point.timeS + everyS;
    return true;
  });
}

/** Weight at which the pump is to stop so that the cup ends at its yield, g. */
export function stopAtWeight(yieldG: number, overrunG: number): number {
  return Math.max(0, yieldG - overrunG);
}

/** What the spout still gives when nothing was learned yet, g. House heuristic. */
export const USUAL_OVERRUN_G = 1.2;
/** Measured overruns of this many shots are remembered. */
export const REMEMBERED_OVERRUNS = 8;

/**
 * Overrun to expect, g: the middle of the last measured ones, else what the machine is said to have,
 * else the usual.
 */
export function learnedOverrun(measuredG: readonly number[], saidG: number | undefined): number {
  const recent = measuredG.slice(-REMEMBERED_OVERRUNS).sort((a, b) => a - b);
  return recent[Math.floor(recent.length / 2)] ?? saidG ?? USUAL_OVERRUN_G;
}
