/** What stands on a card under its figures, as rows of words in a language: page and paper say the same. */
import { fitSentences, volumeIn } from '@/words/fitWords';
import type { Language } from '@/core/language';
import { figureIn } from '@/words/figures';
import { heatOf } from '@/words/temperature';
import { cardWords, grindIn, type CardSay } from '@/words/cardWords';
import type { RecipeBody } from './document';
import { secondsIn } from './seconds';
import type { PublishedFit } from './parts';

export interface PhaseRow {
  readonly from: number;
  readonly to: number;
  readonly days: string;
  readonly grind: string;
}

export interface Phases {
  readonly rows: readonly PhaseRow[];
  /** What the hints count from, and what they are good for. */
  readonly foot: string;
}

/** None where the card has one setting for its whole span. */
export function phasesIn({ phases }: RecipeBody, language: Language): Phases | null {
  if (!phases || phases.list.length < 2) return null;
  const say = cardWords(language);
  const whole = (value: number) => figureIn(language, value, 0);
  const { kept, cardDay, list } = phases;
  return {
    rows: list.map(({ from, to, steps }) => ({
      from,
      to,
      days: say('phases.days', { from: whole(from), to: whole(to) }),
      grind: grindIn(say, steps) ?? say('phases.asCard'),
    })),
    foot: [
      say('phases.against', { day: whole(cardDay) }),
      kept && say('phases.kept', { phased: whole(kept.phased), one: whole(kept.one) }),
    ]
      .filter(Boolean)
      .join(' '),
  };
}

export interface FitRow {
  readonly title: string;
  /** "computed", "tried: …"; empty where nothing can be brewed. */
  readonly mark: string;
  /** Dose, yield, time and temperature; empty where nothing can be brewed. */
  readonly figures: string;
  readonly sentences: readonly string[];
}

export function fitsIn({ fits, style }: RecipeBody, language: Language): FitRow[] {
  const say = cardWords(language);
  return fits.map((fit) => ({
    title: say(`fits.audience.${fit.audience}`),
    mark: markOf(fit, say),
    figures: fit.recipe ? fitFigures(fit.recipe, language) : '',
    sentences: fitSentences(language, fit, style),
  }));
}

/** Whether somebody tried it; of what cannot be brewed there is nothing to say. */
function markOf({ recipe, tried }: PublishedFit, say: CardSay): string {
  if (!recipe) return '';
  return tried === undefined ? say('fits.computed') : `${say('fits.tried')}: ${tried}`;
}

function fitFigures(
  { doseG, yieldG, yieldMl, timeS, clock, temperatureC }: NonNullable<PublishedFit['recipe']>,
  language: Language,
): string {
  const out =
    yieldMl === undefined ? `${figureIn(language, yieldG, 1)} g` : volumeIn(language, yieldMl);
  return [
    `${figureIn(language, doseG, 1)} g → ${out}`,
    `${secondsIn(language, timeS)} ${cardWords(language)(`clock.${clock}`)}`,
    heatOf(language, temperatureC),
  ].join(', ');
}

/** The second recipe on one line; empty where there is none. */
export function milkIn({ milk }: RecipeBody, language: Language): string {
  if (!milk) return '';
  const say = cardWords(language);
  return [
    `${figureIn(language, milk.doseG, 1)} g → ${figureIn(language, milk.yieldG, 1)} g (1:${figureIn(language, milk.ratio, 2)})`,
    `${secondsIn(language, milk.timeS)} ${say(`clock.${milk.clock}`)}`,
    heatOf(language, milk.temperatureC),
    milk.programme,
  ]
    .filter((one) => one !== '')
    .join(', ');
}

export interface DrinkLine {
  readonly name: string;
  readonly cup: string;
  readonly espresso: string;
  readonly button: string;
  /** "120 ml (4.1 fl oz) of milk"; empty where nothing is filled. */
  readonly fill: string;
}

export function drinksIn({ drinks = [] }: RecipeBody, language: Language): DrinkLine[] {
  const say = cardWords(language);
  return drinks.map(({ name, cupMl, espressoG, buttonMl, fill, fillMl }) => ({
    name,
    cup: volumeIn(language, cupMl),
    espresso: `${figureIn(language, espressoG, 1)} g`,
    button: volumeIn(language, buttonMl),
    fill:
      fill === 'none'
        ? ''
        : `${fill === 'milk' ? say('drinks.milk') : say('drinks.water')}: ${volumeIn(language, fillMl)}`,
  }));
}
