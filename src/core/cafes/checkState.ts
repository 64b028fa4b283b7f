/** What was off in one check, the worst first: a word and a sign, never a colour alone. */
import type { CheckTaste } from '../entity/cafeCheck';
import { DEFAULT_TOLERANCE, yieldTolerance } from '../tolerance';

export const CHECK_STATES = ['choked', 'fast', 'slow', 'dose', 'yield', 'taste', 'inside'] as const;
export type CheckState = (typeof CHECK_STATES)[number];

export const STATE_SIGNS: Readonly<Record<CheckState, string>> = {
  choked: '⊘',
  fast: '«',
  slow: '»',
  dose: 'D',
  yield: 'Y',
  taste: 'T',
  inside: '✓',
};

export const STATE_WORDS: Readonly<Record<CheckState, string>> = {
  choked: 'choked',
  fast: 'fast',
  slow: 'slow',
  dose: 'dose off',
  yield: 'yield off',
  taste: 'taste off',
  inside: 'inside',
};

export interface JudgedCheck {
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: number;
  readonly taste?: CheckTaste | undefined;
  readonly target: {
    readonly doseG: number;
    readonly yieldG: number;
    readonly timeS: readonly [number, number];
  };
}

/** So little of the yield at or past the top of the window. */
const CHOKED_SHARE = 0.6;

export function isChoked({
  yieldG,
  timeS,
  target,
}: Pick<JudgedCheck, 'yieldG' | 'timeS'> & {
  readonly target: Pick<JudgedCheck['target'], 'yieldG' | 'timeS'>;
}): boolean {
  return timeS >= target.timeS[1] && yieldG < CHOKED_SHARE * target.yieldG;
}

export function checkState({ doseG, yieldG, timeS, taste, target }: JudgedCheck): CheckState {
  const [low, high] = target.timeS;
  if (isChoked({ yieldG, timeS, target })) return 'choked';
  if (timeS < low) return 'fast';
  if (timeS > high) return 'slow';
  if (Math.abs(doseG - target.doseG) > DEFAULT_TOLERANCE.doseG) return 'dose';
  if (Math.abs(yieldG - target.yieldG) > yieldTolerance(DEFAULT_TOLERANCE.yieldG, target.yieldG))
    return 'yield';
  return taste === undefined || taste === 'fine' ? 'inside' : 'taste';
}

/** The worst of several: what a whole visit shows. */
export function worstState(states: readonly CheckState[]): CheckState {
  return CHECK_STATES.find((state) => states.includes(state)) ?? 'inside';
}
