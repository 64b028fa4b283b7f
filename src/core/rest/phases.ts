/**
 * A recipe by rest phase (model.md §5b): one recipe for the whole span, with a grind hint for the middle of each phase.
 * Borders lie at equal steps of ψ (ageing.ts) and follow from the span alone: they never move with data. House
 * heuristic, prototyped on invented ageing. Units: rest days, reference steps of .10 in ln time.
 */
import jStat from 'jstat';
import { assert } from '../errors';
import { ageOf, OFFSET_DAYS } from './ageing';
import { stepsFiner, type Estimate } from './houseAgeing';

/** Ageing that one setting is asked to bear, in ln time. */
const MOST_DRIFT = 0.08;
/** Once phases are printed their number changes only when the drift passes the limit by so much. */
const SLACK = 0.02;
const MOST_PHASES = 3;

export interface RestSpan {
  readonly from: number;
  readonly to: number;
}

/** How far ln time moves by age over a span. */
export function driftOver({ from, to }: RestSpan, slope: Pick<Estimate, 'mean'>): number {
  return Math.abs(slope.mean) * (ageOf(to) - ageOf(from));
}

/**
 * How many phases a span asks for, 1-3.
 * @param printed the number that was printed last, which is kept while the drift is near its limit.
 */
export function phaseCount(
  span: RestSpan,
  slope: Pick<Estimate, 'mean'>,
  printed?: number,
): number {
  const drift = driftOver(span, slope);
  const countFor = (limit: number) =>
    Math.min(MOST_PHASES, Math.max(1, Math.ceil(drift / limit - 1e-9)));
  const count = countFor(MOST_DRIFT);
  if (printed === undefined || count === printed) return count;
  return count > printed ? countFor(MOST_DRIFT + SLACK) : countFor(MOST_DRIFT - SLACK);
}

/** Borders between phases at equal ψ: d_i = (a + 10)^(1 − i/k)·(b + 10)^(i/k) − 10, the span's ends among them. */
export function phaseBorders({ from, to }: RestSpan, count: number): number[] {
  assert(from < to && count >= 1, 'a span has an end after its beginning, and a phase');
  const [a, b] = [from + OFFSET_DAYS, to + OFFSET_DAYS];
  return Array.from(
    { length: count + 1 },
    (_, i) => a ** (1 - i / count) * b ** (i / count) - OFFSET_DAYS,
  );
}

export interface Phase extends RestSpan {
  /** Finer than the card, for the middle of the phase, with its 80 % interval. */
  readonly steps: number;
  readonly interval80: readonly [number, number];
}

/**
 * The phases of a span, each with its hint.
 * @param cardDay the rest day the card's own dial is for.
 * @param lnTimePerStep what a step of the grinder does to ln time.
 */
export function phasesOf(
  span: RestSpan,
  {
    count,
    slope,
    cardDay,
    lnTimePerStep,
  }: {
    readonly count: number;
    readonly slope: Estimate;
    readonly cardDay: number;
    readonly lnTimePerStep: number;
  },
): Phase[] {
  const borders = phaseBorders(span, count);
  return borders.slice(0, -1).map((from, i) => {
    const to = borders[i + 1]!;
    const middle = (ageOf(from) + ageOf(to)) / 2 - ageOf(cardDay);
    const change = { mean: slope.mean * middle, sd: slope.sd * Math.abs(middle) };
    return { from, to, ...stepsFiner(change, lnTimePerStep) };
  });
}

/** What shots of cafés scatter by about the setting they hold, in ln time: the best of any way, daily, keeps .90 (model.md §5b). */
const CAFE_SD = 0.0543;
/** Half of the window counted, s, about this middle. */
const KEPT_WITHIN_S = 2.5;

/**
 * Share of café shots, 0-1, within 2.5 s of the middle over a span, each phase set for its own middle. House heuristic:
 * the ageing is taken as it is expected, its own doubt left out.
 */
export function keptShare(
  { from, to }: RestSpan,
  { count, slope, centreS }: { count: number; slope: Pick<Estimate, 'mean'>; centreS: number },
): number {
  const borders = phaseBorders({ from, to }, count);
  const half = Math.log(1 + KEPT_WITHIN_S / centreS);
  const days = Array.from(
    { length: Math.floor(to) - Math.ceil(from) + 1 },
    (_, i) => Math.ceil(from) + i,
  );
  const kept = days.map((day) => {
    const at = borders.slice(1).findIndex((border) => day <= border + 1e-9);
    const [a, b] = [borders[at]!, borders[at + 1]!];
    const off = slope.mean * (ageOf(day) - (ageOf(a) + ageOf(b)) / 2);
    return jStat.normal.cdf(half, off, CAFE_SD) - jStat.normal.cdf(-half, off, CAFE_SD);
  });
  return kept.reduce((sum, share) => sum + share, 0) / kept.length;
}
