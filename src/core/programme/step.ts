/**
 * One step of what a machine does during a shot: pressure (bar) or flow (ml/s) for some seconds from the
 * pump. The last step of a programme lasts until the cup is full. No validation here: see programme.ts.
 */
export const DRIVES = ['pressure', 'flow'] as const;
export type Drive = (typeof DRIVES)[number];

export interface Step {
  readonly drive: Drive;
  /** bar or ml/s at the end of the step; 0 is a pause. */
  readonly level: number;
  readonly seconds: number;
  /** Goes there evenly from the level before; else at once. */
  readonly ramp: boolean;
  /** Flow steps: never above this pressure. */
  readonly limitBar?: number | undefined;
}

export type Programme = readonly Step[];

/** More steps than this no bench repeats. */
export const MOST_STEPS = 12;

export const DRIVE_UNITS: Record<Drive, string> = { pressure: 'bar', flow: 'ml/s' };
/** What pumps of espresso machines can do at all. */
export const MOST: Record<Drive, number> = { pressure: 12, flow: 10 };

/** The pump rests; what the bed holds drains on. */
export function isPause({ level, ramp }: Step): boolean {
  return level === 0 && !ramp;
}

/** Level from which a step sets out: that of the step before if it drives the same, else 0. */
export function levelBefore(programme: Programme, at: number): number {
  const [before, step] = [programme[at - 1], programme[at]];
  return before && before.drive === step?.drive ? before.level : 0;
}

/** s from the pump at which a step begins. */
export function startOf(programme: Programme, at: number): number {
  return programme.slice(0, at).reduce((sum, { seconds }) => sum + seconds, 0);
}

export function isSameProgramme(one: Programme, other: Programme): boolean {
  return one.length === other.length && one.every((step, i) => isSameStep(step, other[i]!));
}

function isSameStep(one: Step, other: Step): boolean {
  const { drive, level, seconds, ramp, limitBar } = one;
  return (
    drive === other.drive &&
    level === other.level &&
    seconds === other.seconds &&
    ramp === other.ramp &&
    limitBar === other.limitBar
  );
}
