/**
 * Days that go wrong, to be practised without coffee: what is different about each shot of them. House
 * heuristic; the words say what a person at the bench would see.
 */
import type { Seen } from '../vocabulary';

/** What a day does to one shot. */
export interface ShotDay {
  /** Days since the first shot of the round. */
  readonly daysLater: number;
  readonly isColdMetal: boolean;
  readonly isFirst: boolean;
  /** Temperature of the beans in the hopper, °C. */
  readonly beanC: number;
  readonly seen: readonly Seen[];
}

const ROOM_C = 22;
const HOT_DAY_C = 31;
const USUAL: ShotDay = {
  daysLater: 0,
  isColdMetal: false,
  isFirst: false,
  beanC: ROOM_C,
  seen: [],
};

export interface Scenario {
  /** Error of the start in ln time, where the day begins with one. */
  readonly startErrorLn?: number;
  readonly dayOf?: (shotIndex: number) => Partial<ShotDay>;
  /** Time at which everybody likes the cup, s. */
  readonly likedAtS?: number;
}

export const SCENARIOS = {
  /** Four times too slow: nothing but a large move helps. */
  choke: { startErrorLn: 1.4 },
  /** One step is too much: the dose makes up for it. */
  jump: {},
  /** A shot every third day. */
  ageing: { dayOf: (i) => ({ daysLater: 3 * i, isFirst: true }) },
  /** From the third shot on the hopper is warm. */
  damp: { dayOf: (i) => (i < 2 ? {} : { beanC: HOT_DAY_C, seen: ['dampDay'] }) },
  /** Every third portafilter was left on the bench. */
  coldMetal: {
    dayOf: (i) => (i % 3 === 1 ? { isColdMetal: true, seen: ['coldMetal'] } : {}),
  },
  /** The best cup lies below the window. */
  likedFast: { likedAtS: 21 },
} as const satisfies Readonly<Record<string, Scenario>>;

export function dayOf({ dayOf: own }: Scenario, shotIndex: number): ShotDay {
  return { ...USUAL, ...own?.(shotIndex) };
}

/** What is made of a cup whose time was right or not, where a round is about taste. */
export function likedTaste(timeS: number, likedAtS: number) {
  const off = Math.abs(Math.log(timeS / likedAtS));
  const liking = Math.round(10 * Math.max(2, 9.2 - 18 * off)) / 10;
  return { sharpness: 2, bitterness: 2, dryness: 1, sweetness: 7, acidity: 5, liking };
}
