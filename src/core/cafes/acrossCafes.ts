/** What the columns of the whole field say: a batch against the one before it, and the weather of a region. */
import { between } from '../advice/proofCost';
import type { CafesModel } from './model';
import { at, quadraticForm } from './dense';
import { batchColumn } from './rows';
import { weatherOf } from './shared';

export const BATCH = { isOffLn: 0.04, opensAt: 0.85 } as const;
export const WEATHER = { isOffLn: 0.03, opensAt: 0.85 } as const;

export interface Contrast {
  readonly size: number;
  readonly sd: number;
  /** That it is further from 0 than matters. */
  readonly probability: number;
}

/** Probability that a normal figure is further from 0 than `least`. */
export function chanceBeyond(mean: number, sd: number, least: number): number {
  return 1 - between(mean, sd, -least, least);
}

/** A batch against the one before it; null where the field knows one of them not at all. */
export function batchContrast(
  model: CafesModel,
  coffee: string,
  batch: string | null,
  before: string | null,
): Contrast | null {
  const whole = model.wholeField();
  if (whole === null) return null;
  const [now, then] = [batch, before].map((name) => {
    const wanted = batchColumn({ coffee, batch: name });
    return whole.keys.findIndex((key) => key.name === wanted);
  }) as [number, number];
  if (now < 0 || then < 0) return null;
  const { mean, covariance } = whole.fit;
  const size = mean[now]! - mean[then]!;
  const variance =
    at(covariance, now, now) + at(covariance, then, then) - 2 * at(covariance, now, then);
  const sd = Math.sqrt(variance);
  return { size, sd, probability: chanceBeyond(size, sd, BATCH.isOffLn) };
}

/** A region's newest day against the mean of its window. */
export function weatherContrast(model: CafesModel, region: string): Contrast | null {
  const known = model.region(region);
  if (known === null) return null;
  const { fit, globals } = known;
  const days = weatherOf(fit, globals);
  const x = Array.from(days, (_, i) => (i === days.length - 1 ? 1 : 0) - 1 / days.length);
  const size = x.reduce((sum, value, i) => sum + value * days[i]!, 0);
  // The region's own part, and what is unsure of the whole field's columns.
  const ofGlobals = Array.from({ length: globals.covariance.rows }, (_, g) =>
    g < fit.cross.columns ? x.reduce((sum, value, i) => sum + value * at(fit.cross, i, g), 0) : 0,
  );
  const variance = quadraticForm(fit.inverseDays, x) + quadraticForm(globals.covariance, ofGlobals);
  const sd = Math.sqrt(variance);
  return { size, sd, probability: chanceBeyond(size, sd, WEATHER.isOffLn) };
}
