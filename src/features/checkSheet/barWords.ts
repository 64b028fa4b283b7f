/** What a check asks for next, in the café's language and on its own dial. */
import { answerAtTheBar, type BarAnswer } from '@/core/cafes/atTheBar';
import { fromPump } from '@/core/extraction/clock';
import { dialWords } from '@/core/grinder/notation';
import { cafeWords } from '@/words/cafeWords';
import { helperWords } from '@/words/helperWords';
import { figureIn } from '@/words/figures';
import { grindMoveIn, ranIn } from '@/words/grindMoveIn';
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
  const say = cafeWords(language);
  const g = (value: number) => `${figureIn(language, Math.abs(value), 1)} g`;
  const ran = ranIn(language, answer.missS);
  const grind = () => {
    const { steps } = answer.move;
    const dial = (value: number) => dialWords(cafe, roundDial(value));
    const at = typed.dial;
    const moved =
      at === undefined
        ? undefined
        : {
            from: dial(at),
            to: dial(Math.min(dialMax, Math.max(dialMin, at + steps * stepSize * sign))),
          };
    // The model's steps count up as it grinds coarser.
    return helperWords(language)('answer.grind', { amount: grindMoveIn(language, -steps, moved) });
  };
  const said: Record<BarAnswer['first'], () => string> = {
    stay: () => `${ran} ${say('stay')}`,
    dose: () => say('doseTo', { off: g(answer.offDoseG), to: g(target.doseG) }),
    yield: () => say('yieldTo', { off: g(answer.offYieldG), to: g(target.yieldG) }),
    choked: () => `${say('choked')} ${grind()} ${say('purge')}`,
    odd: () => `${ran} ${say('again')}`,
    grind: () => `${ran} ${grind()} ${say('purge')}`,
    taste: () => say('tasteOff'),
  };
  return {
    first: answer.first,
    what: said[answer.first](),
    caution: answer.first === 'choked' ? say('vent') : null,
  };
}
