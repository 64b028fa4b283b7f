/** Levels of practice: made-up coffees on made-up grinders, from forgiving to stubborn. House heuristic. */
import type { Message } from '../message';
import type { Grinder } from '../schema/setup';
import { SCENARIOS, type Scenario } from './scenarios';

export const PRACTICE_LEVELS = ['forgiving', 'medium', 'demanding', 'stubborn'] as const;
/** Days that go wrong. */
export const PRACTICE_DAYS = [
  'choke',
  'jump',
  'ageing',
  'damp',
  'coldMetal',
  'likedFast',
] as const satisfies readonly (keyof typeof SCENARIOS)[];
export type PracticeLevel = (typeof PRACTICE_LEVELS)[number] | (typeof PRACTICE_DAYS)[number];

export interface LevelFacts {
  readonly label: string;
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
  readonly scenario?: Scenario;
}

const grinder = (stepSize: number, retentionG: number): Grinder => ({
  stepSize,
  finerIs: 'lower',
  min: 0,
  max: 40,
  retentionG,
});

/** The middle coffee, on which a day goes wrong. */
const USUAL_DAY = {
  coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
  grinder: grinder(1, 1),
  lnPerStep: 0.08,
  startSd: 0.08,
  recipe: { doseG: 18, yieldG: 36, temperatureC: 93, timeS: [25.5, 30.5] },
  budgetG: 220,
} as const;

/** What the player is told. */
export const levelMessage = (level: PracticeLevel): Message => ({ id: `practice.level.${level}` });

export const LEVEL_FACTS: Readonly<Record<PracticeLevel, LevelFacts>> = {
  forgiving: {
    label: 'Forgiving',
    coffee: { roastLevel: 1, intensity: 0, restDays: 12 },
    grinder: grinder(1, 0.5),
    lnPerStep: 0.06,
    startSd: 0.15,
    recipe: { doseG: 18, yieldG: 30, temperatureC: 90, timeS: [24, 31] },
    budgetG: 220,
  },
  medium: {
    label: 'Medium',
    coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
    grinder: grinder(1, 2),
    lnPerStep: 0.09,
    startSd: 0.2,
    recipe: { doseG: 18, yieldG: 36, temperatureC: 93, timeS: [25.5, 30.5] },
    budgetG: 200,
  },
  demanding: {
    label: 'Demanding',
    coffee: { roastLevel: -1, intensity: 1, restDays: 21 },
    grinder: grinder(1, 4),
    lnPerStep: 0.13,
    startSd: 0.25,
    recipe: { doseG: 18, yieldG: 42, temperatureC: 94, timeS: [26.5, 29.5] },
    budgetG: 200,
  },
  stubborn: {
    label: 'Hard',
    coffee: { roastLevel: -2, intensity: 0.5, restDays: 28 },
    grinder: grinder(1, 5),
    lnPerStep: 0.2,
    startSd: 0.25,
    recipe: { doseG: 18, yieldG: 45, temperatureC: 95, timeS: [27, 30] },
    budgetG: 220,
  },
  choke: {
    ...USUAL_DAY,
    label: 'Chokes at once',
    scenario: SCENARIOS.choke,
  },
  jump: {
    ...USUAL_DAY,
    label: 'A step too coarse',
    lnPerStep: 0.24,
    recipe: { ...USUAL_DAY.recipe, timeS: [26.5, 29.5] },
    scenario: SCENARIOS.jump,
  },
  ageing: {
    ...USUAL_DAY,
    label: 'An ageing week',
    coffee: { ...USUAL_DAY.coffee, restDays: 7 },
    scenario: SCENARIOS.ageing,
  },
  damp: {
    ...USUAL_DAY,
    label: 'A hot, damp day',
    scenario: SCENARIOS.damp,
  },
  coldMetal: {
    ...USUAL_DAY,
    label: 'Cold metal',
    scenario: SCENARIOS.coldMetal,
  },
  likedFast: {
    ...USUAL_DAY,
    label: 'Fast, but liked',
    scenario: SCENARIOS.likedFast,
  },
};
