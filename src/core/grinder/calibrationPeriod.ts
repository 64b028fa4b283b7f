/**
 * A grinder's numbers mean the same only within one period: a new zero point or new burrs begin another. Dials
 * are in dial numbers; moments are ISO 8601, as stored.
 */
export const PERIOD_KINDS = ['zero', 'burrs'] as const;
export type PeriodKind = (typeof PERIOD_KINDS)[number];

export const PERIOD_LABELS: Record<PeriodKind, string> = {
  zero: 'New zero point',
  burrs: 'New burrs',
};

export interface CalibrationPeriod {
  readonly beganAt: string;
  readonly kind: PeriodKind;
  /** How much higher the same grind reads since; null where nobody knows, and always for new burrs. */
  readonly shift: number | null;
}

/** What a dial of some moment reads on today's scale; null where a period of unknown shift lies between. */
export function dialToday(
  dial: number,
  at: string,
  periods: readonly CalibrationPeriod[],
): number | null {
  return periods
    .filter(({ beganAt }) => beganAt > at)
    .reduce<number | null>(
      (now, { shift }) => (now === null || shift === null ? null : now + shift),
      dial,
    );
}
