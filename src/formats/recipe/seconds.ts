/** A time window in a language. */
import type { Language } from '@/core/language';
import { figureIn } from '@/words/figures';

const whole = (value: number) => (value % 1 === 0 ? 0 : 1);

/** "25-29 s". */
export const secondsIn = (language: Language, [low, high]: readonly [number, number]) =>
  `${figureIn(language, low, whole(low))}-${figureIn(language, high, whole(high))} s`;
