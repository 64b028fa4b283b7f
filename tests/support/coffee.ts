/** Small builders of bench things for tests: everything on target unless a test says otherwise. */
import type { NextInput } from '@/core/advice/types';
import type { Grinder } from '@/core/schema/setup';
import type { Shot } from '@/core/schema/shot';
import { targetSchema, type Target } from '@/core/schema/target';

export const grinder: Grinder = {
  stepSize: 1,
  finerIs: 'lower',
  min: -50,
  max: 50,
  retentionG: 3,
};

export function target(changes: Partial<Target> = {}): Target {
  return targetSchema.parse({
    doseG: 18,
    yieldG: 36,
    timeS: [26, 30],
    clock: 'pump',
    temperatureC: 93,
    startDial: 0,
    ...changes,
  });
}

export function shot(changes: Partial<Shot> = {}): Shot {
  return {
    dial: 0,
    doseG: 18,
    yieldG: 36,
    timeS: 28,
    clock: 'pump',
    purged: true,
    seen: [],
    ...changes,
  };
}

export function question(
  shots: readonly Shot[],
  changes: Partial<NextInput> & { target?: Target } = {},
): NextInput {
  return { target: target(), grinder, basket: { ratedG: 18 }, shots, ...changes };
}
