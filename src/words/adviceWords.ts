/** What the advisor says, in words. */
import type { Advice, Move } from '@/core/advice/types';
import { proofMessage } from '@/core/advice/proof';
import { inSentence, type CodedMessage } from '@/core/message';
import type { Units } from '@/core/units';
import { say } from './say';

/** Heads that say more than the status, where these reasons stand alone. */
const OF_REASONS = [
  'doseOff',
  'yieldOff',
  'doseOff yieldOff',
  'byVolume',
  'noFirstDrip',
  'unpurged',
  'otherPeriod',
  'otherBeans',
  'firstAfterPause',
  'tooFresh',
];

/** The one next move in a few words: the move itself, else what its reasons ask for. */
export function headOf(
  { status, move, reasons }: Pick<Advice, 'status' | 'move' | 'reasons'>,
  units?: Units,
): string {
  const codes = reasons.map(({ code }) => code).join(' ');
  if (codes === 'carriesOver')
    return say({
      id: 'advice.head.carriesOver',
      values: { moves: move ? 'yes' : 'no', move: move ? moveInSentence(move, units) : '' },
    });
  if (move) return say(move.message, units);
  return say({ id: `advice.head.${OF_REASONS.includes(codes) ? codes : status}` });
}

/** A move after a colon: "finer, 11 → 9". */
export function moveInSentence({ message }: Pick<Move, 'message'>, units?: Units): string {
  return say(inSentence(message), units);
}

/** Mean, band and probability of a setting, in one sentence. */
export const proofWords = (proof: Parameters<typeof proofMessage>[0]): string =>
  say(proofMessage(proof));

/** Reasons and warnings in words, beside their codes. */
export const coded = (all: readonly CodedMessage[], units?: Units) =>
  all.map(({ code, message }) => ({ code, text: say(message, units) }));

/** The advice with every message in words, as files and programs get it. */
export function worded({ move, reasons, alternatives, warnings, ...rest }: Advice, units?: Units) {
  const movedIn = (one: Move | null) => {
    if (!one) return null;
    const { message, ...figures } = one;
    return { ...figures, words: say(message, units) };
  };
  return {
    ...rest,
    move: movedIn(move),
    reasons: coded(reasons, units),
    alternatives: alternatives.map(({ message, move: other, ...figures }) => ({
      ...figures,
      move: movedIn(other),
      words: say(message, units),
    })),
    warnings: coded(warnings, units),
  };
}
