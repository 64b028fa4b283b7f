/** A chance as it is said, everywhere in one manner: tenths, and words at both ends and in the middle. House heuristic. */
import type { Message } from './message';

/** From here on nothing is gained by a figure. */
const CERTAIN_FROM = 0.98;
/** So near to one half neither side is likelier. */
const TOSS_UP_WITHIN = 0.05;

function kindOf(chance: number): 'certain' | 'hardly' | 'tossUp' | 'tenths' {
  if (chance >= CERTAIN_FROM) return 'certain';
  if (chance <= 1 - CERTAIN_FROM) return 'hardly';
  return Math.abs(chance - 0.5) <= TOSS_UP_WITHIN ? 'tossUp' : 'tenths';
}

/**
 * "9 in 10", "almost certain", "a toss-up", "hardly a chance".
 * @param chance 0-1.
 * @param at where it stands: in a sentence, or at its start.
 */
export const chanceMessage = (chance: number, at: 'inside' | 'start' = 'inside'): Message => ({
  id: 'state.chance',
  values: {
    at,
    kind: kindOf(chance),
    tenths: Math.min(9, Math.max(1, Math.round(10 * chance))),
  },
});
