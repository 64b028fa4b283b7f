/**
 * The three variables of a trial on one scale: X = (ln ratio / .14, °C / 1.5, ln s / .15), so that a step of 1
 * matters about as much in each. Source: house heuristic (model.md §4b). Coded places are taken from the
 * centre, which is the release's proposal.
 */
export interface TrialPoint {
  readonly ratio: number;
  readonly temperatureC: number;
  /** From the pump, s. */
  readonly timeS: number;
}

/** ln ratio, °C, ln s for one coded step. */
export const STEP = { lnRatio: 0.14, temperatureC: 1.5, lnTimeS: 0.15 } as const;

/** Ratio, temperature and time, in this order everywhere. */
export const VARIABLES = 3;
export type Coded = readonly [number, number, number];

export function codedFrom(centre: TrialPoint, { ratio, temperatureC, timeS }: TrialPoint): Coded {
  return [
    Math.log(ratio / centre.ratio) / STEP.lnRatio,
    (temperatureC - centre.temperatureC) / STEP.temperatureC,
    Math.log(timeS / centre.timeS) / STEP.lnTimeS,
  ];
}

export function placeAt(
  centre: TrialPoint,
  [lnRatio, temperature, lnTime]: readonly number[],
): TrialPoint {
  return {
    ratio: centre.ratio * Math.exp(STEP.lnRatio * lnRatio!),
    temperatureC: centre.temperatureC + STEP.temperatureC * temperature!,
    timeS: centre.timeS * Math.exp(STEP.lnTimeS * lnTime!),
  };
}
