/**
 * A grinder's numbers mean the same only within one era: a new zero point or new burrs begin another. Dials
 * are in dial numbers; moments are ISO 8601, as stored.
 */
export const ERA_KINDS = ['zero', 'burrs'] as const;
export type EraKind = (typeof ERA_KINDS)[number];

export const ERA_LABELS: Record<EraKind, string> = {
  zero: 'New zero point',
  burrs: 'New burrs',
};

export interface Era {
  readonly beganAt: string;
  readonly kind: EraKind;
  /** How much higher the same grind reads since; null where nobody knows, and always for new burrs. */
  readonly shift: number | null;
}

/** What a dial of some moment reads on today's scale; null where an era of unknown shift lies between. */
export function dialToday(dial: number, at: string, eras: readonly Era[]): number | null {
  return eras
    .filter(({ beganAt }) => beganAt > at)
    .reduce<number | null>(
      (now, { shift }) => (now === null || shift === null ? null : now + shift),
      dial,
    );
}
