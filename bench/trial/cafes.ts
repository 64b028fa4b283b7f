/**
 * Whether the words of cafés bring a published recipe nearer to its coffee's best point: each coffee of a house is published
 * after so many recipes, a few cafés pull it at their own places and say a word of each cup, and the surface is fitted again
 * with what they said. All of it is invented; nothing here is used by the program.
 */
import { cafeSigns, type TastedAt, type Words } from '@/core/cafes/cafeTaste';
import { chanceFrom, type Chance } from '@/core/random';
import { codedFrom, placeAt, STEP, type TrialPoint } from '@/core/trials/coding';
import { fitSurface, type ToldSign } from '@/core/trials/surface';
import { around, placed, TASTERS, type Coffee } from './coffee';
import { inBox, type Knowing, type Tried } from './ways';

interface CafePalates {
  readonly name: string;
  readonly cafes: number;
  /** Cups of each coffee at each café. */
  readonly cups: number;
  /** Mean and sd of where cafés set their "fine". */
  readonly zero: readonly [mean: number, sd: number];
  /** Share of cups whose word is said without tasting: "fine". */
  readonly polite: number;
}

const usual = { cups: 30, zero: [0, 0.8], polite: 0 } as const;
const CAFE_PALATES: readonly CafePalates[] = [
  { ...usual, name: '3 cafés', cafes: 3 },
  { ...usual, name: '6 cafés', cafes: 6 },
  { ...usual, name: '20 cafés', cafes: 20 },
  { ...usual, name: '6 cafés, all call 1.5 under', cafes: 6, zero: [1.5, 0.8] },
  { ...usual, name: '6 cafés, half the words are manners', cafes: 6, polite: 0.5 },
];

/** Recipes after which a coffee is published. */
const PUBLISHED_AFTER = [0, 3, 6, 9] as const;
/** Other coffees a café serves. */
const OTHERS = 3;
/** A word is said from so many points on; what one cup strays by. */
const WORD_FROM = 2.5;
const WORD_NOISE_SD = 2;
/** Coded: how cafés differ, and one café's cups. */
const BETWEEN = [0.06 / STEP.lnRatio, 1 / STEP.temperatureC, 0.06 / STEP.lnTimeS] as const;
const WITHIN = [0.045 / STEP.lnRatio, 0, 0.09 / STEP.lnTimeS] as const;

/** What places of absolute coded units count from. */
const ONE: TrialPoint = { ratio: 1, temperatureC: 0, timeS: 1 };

export interface Published {
  readonly coffee: Coffee;
  readonly known: Knowing;
  readonly release: number;
  readonly tried: Tried;
}

/** Adds up how many points under its best each coffee is left, without the cafés' words and with them. */
export function tallyCafes(
  all: readonly Published[],
  seed: number,
  add: (metric: string, value: number) => void,
): void {
  for (const recipes of PUBLISHED_AFTER) {
    const cards = all.map((published): Card => {
      const { optimum } = fitted(published, recipes);
      return { ...published, at: placed(optimum.map(inBox), published.known.mean) };
    });
    for (const { coffee, at } of cards)
      add(`left after ${recipes}, before cafés`, coffee.lossAt(at));
    for (const palates of CAFE_PALATES) {
      const chance = chanceFrom(seed);
      const zeros = Array.from(
        { length: palates.cafes },
        () => palates.zero[0] + palates.zero[1] * chance.normal(),
      );
      for (const [i, card] of cards.entries()) {
        const served = Array.from({ length: 1 + OTHERS }, (_, k) => cards[(i + k) % cards.length]!);
        const tasted = zeros.flatMap((zero, cafe) =>
          served.map((one): TastedAt => ({
            ...wordsAt(one, { chance, zero, palates }),
            cafe: `${cafe}`,
            coffee: `${one.release}`,
          })),
        );
        const centre = placeAt(ONE, card.known.mean);
        const told = cafeSigns(`${card.release}`, tasted).map((sign): ToldSign => ({
          ...sign,
          x: codedFrom(centre, sign),
        }));
        const { optimum, expectedLeft } = fitted(card, recipes, told);
        const left = card.coffee.lossAt(placed(optimum.map(inBox), card.known.mean));
        add(`left after ${recipes}, ${palates.name}`, left);
        add(`expected left after ${recipes}, ${palates.name}`, expectedLeft);
      }
    }
  }
}

/** A coffee with the recipe on its card, absolute coded. */
interface Card extends Published {
  readonly at: readonly number[];
}

function fitted({ known, release, tried }: Published, recipes: number, told: ToldSign[] = []) {
  const { mean, covariance, signs } = known;
  return fitSurface({
    cups: tried.cups
      .slice(0, recipes * TASTERS.length)
      .map(({ X, ...cup }) => ({ ...cup, x: around(X, mean) })),
    told,
    prior: covariance,
    release,
    signOffset: signs,
  });
}

/** Heat is not measured at a café: its cups are noted at the card's. */
function wordsAt(
  { coffee, at: card }: Card,
  { chance, zero, palates }: { chance: Chance; zero: number; palates: CafePalates },
): Words & TrialPoint {
  const usually = card.map((value, j) => value + BETWEEN[j]! * chance.normal());
  const words = { fine: 0, sour: 0, bitter: 0 };
  for (let nth = 0; nth < palates.cups; nth++) {
    const X = usually.map((value, j) => value + WITHIN[j]! * chance.normal());
    const felt = coffee.underAt(X) + zero + WORD_NOISE_SD * chance.normal();
    const isManners = chance.isWithin(palates.polite);
    words[isManners || Math.abs(felt) < WORD_FROM ? 'fine' : felt > 0 ? 'sour' : 'bitter']++;
  }
  return { ...words, ...placeAt(ONE, [usually[0]!, card[1]!, usually[2]!]) };
}
