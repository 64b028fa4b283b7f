/**
 * What somebody with a card and an unknown grinder asks of the advisor: the card is the target, their dial counts from
 * where they began, and a step is the trade's usual one until their own shots teach it. House heuristic.
 */
import { massOfVolume } from '../extraction/volume';
import type { Recipe } from '../schema/recipe';
import type { Taste } from '../schema/shot';
import { yieldTolerance, DEFAULT_TOLERANCE } from '../tolerance';
import type { Clock } from '../vocabulary';
import { nextMove } from './next';
import type { Advice, NextInput } from './types';

export const CARD_READER_TASTES = ['right', 'sour', 'bitter', 'both', 'weak', 'strong'] as const;
export type CardReaderTaste = (typeof CARD_READER_TASTES)[number];

/** What a word at a counter stands for on the cup sheet, 0-10; strength −2 to 2. House heuristic. */
export const TASTE_OF: Readonly<Record<CardReaderTaste, Taste>> = {
  right: { sharpness: 2, bitterness: 2, sweetness: 7, liking: 8, strength: 0 },
  sour: { sharpness: 7, bitterness: 1, sweetness: 3, liking: 4, strength: 0 },
  bitter: { sharpness: 1, bitterness: 7, sweetness: 3, liking: 4, strength: 0 },
  both: { sharpness: 7, bitterness: 7, sweetness: 2, liking: 3, strength: 0 },
  weak: { sharpness: 2, bitterness: 2, sweetness: 4, liking: 4, strength: -2 },
  strong: { sharpness: 2, bitterness: 2, sweetness: 5, liking: 5, strength: 2 },
};

export interface CardReaderShot {
  readonly timeS: number;
  readonly clock: Clock;
  readonly firstDripS?: number | undefined;
  /** Unknown without a scale: the card's own dose is believed. */
  readonly doseG?: number | undefined;
  readonly yieldG?: number | undefined;
  /** As the cup shows it, where nothing is weighed. */
  readonly yieldMl?: number | undefined;
  readonly taste?: CardReaderTaste | undefined;
  /** Steps finer than the shot before, coarser with a minus; 0 for the first. */
  readonly finerSteps: number;
}

export interface CardReaderQuestion {
  readonly card: Pick<Recipe, 'doseG' | 'yieldG' | 'timeS' | 'clock' | 'temperatureC'>;
  readonly tolerance: { readonly doseG: number; readonly yieldG: number };
  readonly roastLevel: number;
  readonly ratedG: number;
  readonly cremaGPerMl: number;
  readonly shots: readonly CardReaderShot[];
}

/** Dial numbers nobody reaches: an unknown grinder ends nowhere. */
const FAR = 200;

/** The question the advisor is asked. */
export function cardReaderInput(asked: CardReaderQuestion): NextInput {
  const { card, tolerance, roastLevel, ratedG, cremaGPerMl } = asked;
  let dial = 0;
  const shots = asked.shots.map((shot) => {
    dial -= shot.finerSteps;
    const { timeS, clock, firstDripS, yieldMl, taste } = shot;
    const yieldG =
      shot.yieldG ?? (yieldMl === undefined ? card.yieldG : massOfVolume(yieldMl, cremaGPerMl));
    return {
      dial,
      doseG: shot.doseG ?? card.doseG,
      yieldG,
      timeS,
      clock,
      purged: true,
      seen: [],
      ...(shot.yieldG === undefined && yieldMl !== undefined && { yieldMl }),
      // A drip after the end is none.
      ...(firstDripS !== undefined && !(clock === 'pump' && firstDripS > timeS) && { firstDripS }),
      ...(taste && { taste: TASTE_OF[taste] }),
    };
  });
  return {
    target: {
      doseG: card.doseG,
      yieldG: card.yieldG,
      timeS: [card.timeS[0], card.timeS[1]],
      clock: card.clock,
      temperatureC: card.temperatureC,
      // A stranger's scale and hand are not the house's.
      doseToleranceG: Math.max(DEFAULT_TOLERANCE.doseG, tolerance.doseG),
      yieldToleranceG: Math.max(
        yieldTolerance(DEFAULT_TOLERANCE.yieldG, card.yieldG),
        tolerance.yieldG,
      ),
      tasteFirst: false,
      startDial: 0,
      roastLevel,
    },
    grinder: { stepSize: 1, finerIs: 'lower', min: -FAR, max: FAR, retentionG: 0 },
    basket: { ratedG },
    shots,
  };
}

/**
 * The one change for the next shot, as in the house: a dose that is off comes first, and a cup its reader likes is kept,
 * whatever the clock says.
 */
export function adviseCardReader(asked: CardReaderQuestion): Advice {
  const advice = nextMove(cardReaderInput(asked));
  const [last, mark] = [asked.shots.at(-1), advice.marks.at(-1)];
  if (!last || !mark || mark.choked || mark.gushing) return advice;
  if (last.doseG !== undefined && !mark.inDose) {
    const [fromG, toG] = [last.doseG, asked.card.doseG];
    const message = { id: 'advice.move.dose', values: { at: 'start', fromG, toG } };
    return {
      ...advice,
      status: 'dose',
      move: { variable: 'doseG', from: fromG, to: toG, message },
    };
  }
  return last.taste === 'right' && !mark.landed
    ? { ...advice, status: 'approved', move: null }
    : advice;
}
