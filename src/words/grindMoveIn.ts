/** What a café or the reader of a card does at the grinder, and how the shot ran: one sentence each, for all who say it. */
import type { Language } from '@/core/language';
import { figureIn } from './figures';
import { helperWords } from './helperWords';
import { stepsIn } from './stepsIn';

/**
 * "2 steps finer", "2 steps finer, dial 11 → 9".
 * @param steps count up as the grinder grinds finer.
 * @param dial as this grinder writes it, where its setting is known.
 */
export function grindMoveIn(
  language: Language,
  steps: number,
  dial?: { readonly from: string; readonly to: string },
): string {
  const amount = stepsIn(language, steps);
  const say = helperWords(language);
  const side =
    steps > 0 ? say('answer.finer', { steps: amount }) : say('answer.coarser', { steps: amount });
  return dial ? `${side}, ${say('answer.from', { ...dial })}` : side;
}

/** @param missS seconds outside the window, negative where it ran too fast; 0 inside. */
export function ranIn(language: Language, missS: number): string {
  const say = helperWords(language);
  if (missS === 0) return say('answer.inside');
  const s = `${figureIn(language, Math.max(1, Math.round(Math.abs(missS))), 0)} s`;
  return missS < 0 ? say('answer.fast', { s }) : say('answer.slow', { s });
}
