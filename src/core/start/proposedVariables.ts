/** The variables of a starting recipe that facts push, and how they are rounded: light enough for a screen. */
export const PROPOSED_VARIABLES = [
  'ratio',
  'temperatureC',
  'timeS',
  'grindSteps',
  'doseG',
] as const;
export type ProposedVariable = (typeof PROPOSED_VARIABLES)[number];

/** Half of the published time window: 7 % of the time, at least 2 s. House heuristic. */
const WINDOW_SHARE = 0.07;
const WINDOW_MIN_S = 2;

/** The usual window around a time on the pump's clock, whole seconds, as counted after `dripS`. House heuristic. */
export function timeWindowOf(timeS: number, dripS = 0): [number, number] {
  const half = Math.max(WINDOW_MIN_S, Math.round(timeS * WINDOW_SHARE));
  const centre = Math.max(half + 1, Math.round(timeS - dripS));
  return [centre - half, centre + half];
}

/** To the nearest step a bench can set. */
export function roundTo(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(6));
}
