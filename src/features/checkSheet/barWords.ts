/** What a check asks for next, in the café's language and on its own dial. */
import { answerAtTheBar, type BarAnswer } from '@/core/cafes/atTheBar';
import { fromPump } from '@/core/extraction/clock';
import { dialWords } from '@/core/grinder/notation';
import { cafeWordsIn } from '@/core/language/cafes/words';
import { helperWordsIn } from '@/core/language/helpers/words';
import { figureIn } from '@/core/language/language';
import { stepsIn } from '@/core/language/stepsIn';
import { roundDial } from '@/core/grinder/dial';
import type { SheetCafe, SheetCoffee } from '@/views/checkSheet';

export interface Typed {
  readonly doseG: number;
  readonly yieldG: number;
  readonly timeS: number;
  readonly dial: number | undefined;
  readonly taste: string | undefined;
}

export interface BarWords {
  readonly first: BarAnswer['first'];
  /** What happened, and what to do. */
  readonly what: string;
  readonly caution: string | null;
}

export function barWords(cafe: SheetCafe, coffee: SheetCoffee, typed: Typed): BarWords {
  const { language, finerIs, stepSize, dialMin, dialMax } = cafe;
  const { target } = coffee;
  const sign = finerIs === 'lower' ? 1 : -1;
  const onPump = (s: number) => fromPump(s, target.clock);
  const [low, high] = [onPump(target.timeS[0]), onPump(target.timeS[1])];
  const answer = answerAtTheBar(
    {
      doseG: typed.doseG,
      yieldG: Math.max(1, typed.yieldG),
      timeS: onPump(typed.timeS),
      dial: typed.dial === undefined ? null : (typed.dial / stepSize) * sign,
      taste: typed.taste,
    },
    coffee.known,
    { doseG: target.doseG, yieldG: target.yieldG, timeS: (low + high) / 2 },
    [low, high],
  );
  const words = cafeWordsIn(language);
  const { answer: helper } = helperWordsIn(language);
  const g = (value: number) => `${figureIn(language, Math.abs(value), 1)} g`;
  const s = `${figureIn(language, Math.max(1, Math.round(Math.abs(answer.missS))), 0)} s`;
  const ran =
    answer.missS === 0 ? helper.inside : answer.missS < 0 ? helper.fast(s) : helper.slow(s);
  const grind = () => {
    const { steps } = answer.move;
    // The model's steps count up as it grinds coarser.
    const amount = stepsIn(language, steps);
    const side = steps > 0 ? helper.coarser(amount) : helper.finer(amount);
    if (typed.dial === undefined) return helper.grind(side);
    const to = Math.min(dialMax, Math.max(dialMin, typed.dial + steps * stepSize * sign));
    const dial = (value: number) => dialWords(cafe, roundDial(value));
    return helper.grind(`${side}, ${words.from(dial(typed.dial), dial(to))}`);
  };
  const said: Record<BarAnswer['first'], () => string> = {
    stay: () => `${ran} ${words.stay}`,
    dose: () => words.doseTo(g(answer.offDoseG), g(target.doseG)),
    yield: () => words.yieldTo(g(answer.offYieldG), g(target.yieldG)),
    choked: () => `${words.choked} ${grind()} ${words.purge}`,
    odd: () => `${ran} ${words.again}`,
    grind: () => `${ran} ${grind()} ${words.purge}`,
    taste: () => `${words.tasteOff}`,
  };
  return {
    first: answer.first,
    what: said[answer.first](),
    caution: answer.first === 'choked' ? words.vent : null,
  };
}
