/** Levels of practice: made-up coffees on made-up grinders, from forgiving to stubborn. House heuristic. */
import type { Grinder } from '../schema/setup';

export const PRACTICE_LEVELS = ['forgiving', 'medium', 'demanding', 'stubborn'] as const;
export type PracticeLevel = (typeof PRACTICE_LEVELS)[number];

export interface LevelFacts {
  readonly label: string;
  /** What the player is told. */
  readonly words: string;
  readonly coffee: {
    readonly roastLevel: number;
    readonly intensity: number;
    readonly restDays: number;
  };
  readonly grinder: Grinder;
  /** What a step really does to ln time; the player is not told. */
  readonly lnPerStep: number;
  /** How far off the start is, sd in ln time. */
  readonly startSd: number;
  readonly recipe: {
    readonly doseG: number;
    readonly yieldG: number;
    readonly temperatureC: number;
    readonly timeS: readonly [number, number];
  };
  readonly budgetG: number;
}

const grinder = (stepSize: number, retentionG: number): Grinder => ({
  stepSize,
  finerIs: 'lower',
  min: 0,
  max: 40,
  retentionG,
});

export const LEVEL_FACTS: Readonly<Record<PracticeLevel, LevelFacts>> = {
  forgiving: {
    label: 'Forgiving',
    words: 'A dark coffee, a wide window, a grinder with fine steps that keeps little.',
    coffee: { roastLevel: 1, intensity: 0, restDays: 12 },
    grinder: grinder(1, 0.5),
    lnPerStep: 0.06,
    startSd: 0.15,
    recipe: { doseG: 18, yieldG: 30, temperatureC: 90, timeS: [24, 31] },
    budgetG: 220,
  },
  medium: {
    label: 'Medium',
    words: 'A medium washed coffee, a window of five seconds, a grinder that keeps two grams.',
    coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
    grinder: grinder(1, 2),
    lnPerStep: 0.09,
    startSd: 0.2,
    recipe: { doseG: 18, yieldG: 36, temperatureC: 93, timeS: [25.5, 30.5] },
    budgetG: 200,
  },
  demanding: {
    label: 'Demanding',
    words: 'A light natural, a window of three seconds, a grinder that keeps four grams.',
    coffee: { roastLevel: -1, intensity: 1, restDays: 21 },
    grinder: grinder(1, 4),
    lnPerStep: 0.13,
    startSd: 0.25,
    recipe: { doseG: 18, yieldG: 42, temperatureC: 94, timeS: [26.5, 29.5] },
    budgetG: 200,
  },
  stubborn: {
    label: 'Stubborn',
    words:
      'Ultra light, a narrow window, a grinder whose steps are far too coarse and that keeps five grams.',
    coffee: { roastLevel: -2, intensity: 0.5, restDays: 28 },
    grinder: grinder(1, 5),
    lnPerStep: 0.2,
    startSd: 0.25,
    recipe: { doseG: 18, yieldG: 45, temperatureC: 95, timeS: [27, 30] },
    budgetG: 220,
  },
};
