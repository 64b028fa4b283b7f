/** Every line of a card as label and words, in each language: page, paper and comparison say the same. */
import type { HOLDS } from '@/core/entity/recipe';
import { altitudeWords } from '@/core/coffee/altitude';
import type { Language } from '@/core/language';
import { dayIn, figureIn } from '@/words/figures';
import { stepsIn } from '@/words/stepsIn';
import { heatOf } from '@/words/temperature';
import { cardWords, roastIn, type CardLine, type CardSay } from '@/words/cardWords';
import { programmeWords, shortProgrammeWords } from '@/core/programme/words';
import { TEMPERATURE_SCHOOL_LABELS } from '@/core/vocabulary';
import type { RecipeBody } from './document';
import { secondsIn } from './seconds';

export type { CardLine } from '@/words/cardWords';

/** The four figures that stand on the plate. */
export const CARD_FIGURES = ['Dose', 'In the cup', 'Time', 'Temperature'] as const;
/** What stands under them, in this order. */
export const CARD_FACTS = [
  'Ratio',
  'Tolerances',
  'Taste holds',
  'Programme',
  'Step by step',
  'Temperature is meant',
  'Basket',
  'Made on',
  'Grind',
  'Water',
  'Rest',
  'Served',
  'Look for',
  'The lot',
  'Contains',
] as const;
export const CARD_SENSES = ['When it is right', 'When it ran short', 'When it ran long'] as const;

const hasWords = (words: string) => words !== '';

/** How a card writes its figures. */
interface Speech {
  readonly language: Language;
  readonly say: CardSay;
  readonly figure: (value: number, digits: number) => string;
}

const speechOf = (language: Language): Speech => ({
  language,
  say: cardWords(language),
  figure: (value, digits) => figureIn(language, value, digits),
});

/** A figure with no more digits than it has. */
const bare = ({ figure }: Speech, value: number) =>
  figure(value, Math.min(2, (String(value).split('.')[1] ?? '').length));

/** The words the house wrote itself, in this language where it gave them, else in its own. */
export function ownWordsIn(body: RecipeBody, language: Language) {
  const { sensory, whatChanged, otherWords } = body;
  const own = { ...sensory, whatChanged };
  const other = otherWords?.[language] ?? {};
  const isSaid = (name: keyof typeof own) => hasWords((other[name] ?? '').trim());
  const said = (name: keyof typeof own) => (isSaid(name) ? other[name]! : own[name]);
  return {
    right: said('right'),
    short: said('short'),
    long: said('long'),
    whatChanged: said('whatChanged'),
    /** The language each stands in. */
    languageOf: (name: keyof typeof own): Language =>
      isSaid(name) ? language : (body.language ?? 'en'),
  };
}

export function cardLines(
  body: RecipeBody,
  language: Language = 'en',
): Readonly<Record<CardLine, string>> {
  const { coffee, recipe, setup, tolerance, confirmedShots } = body;
  const speech = speechOf(language);
  const { say, figure } = speech;
  const own = ownWordsIn(body, language);
  const g = (value: number) => bare(speech, value);
  return {
    Coffee: coffee.name,
    Components: coffee.components
      .map((component, _i, all) => componentWords(speech, component, all.length))
      .join('; '),
    Roast: coffee.roastLevel === undefined ? '' : roastIn(say, coffee.roastLevel),
    Dose: `${figure(recipe.doseG, 1)} g`,
    'In the cup': `${figure(recipe.yieldG, 1)} g`,
    Time: `${secondsIn(language, recipe.timeS)} ${say(`clock.${recipe.clock}`)}`,
    Temperature: heatOf(language, recipe.temperatureC),
    Ratio: `1:${figure(recipe.ratio, 2)}`,
    Tolerances: say('tolerances', {
      doseG: g(tolerance.doseG),
      yieldG: g(tolerance.yieldG),
    }),
    'Taste holds': holdsIn(speech, recipe),
    Programme: `${say(`style.${body.style}`)}: ${recipe.programme ?? ''}`,
    'Step by step': stepsWords(recipe),
    'Temperature is meant': measuredIn(speech, body),
    Basket: say('basket', {
      name: setup.basket,
      diameter: g(setup.diameterMm),
      rated: g(setup.ratedG),
    }),
    'Made on': say('madeOn', {
      machine: setup.machine,
      grinder: setup.grinder,
      dial: setup.dialWords ?? String(setup.dial),
    }),
    Grind: grindSinceIn(speech, body),
    Water: waterIn(speech, body),
    Rest: say('rest', {
      from: g(recipe.restDays[0]),
      to: g(recipe.restDays[1]),
      day: dayIn(language, coffee.roastDate),
    }),
    Served: coffee.serving === undefined ? '' : say(`served.${coffee.serving}`),
    'Look for': (coffee.promisedNotes ?? []).join(', '),
    'The lot': coffee.components
      .map((one) => lotWords(speech, one))
      .filter(hasWords)
      .join('; '),
    Contains: hasWords(coffee.contains ?? '') ? `${coffee.contains}. ${say('labelling')}` : '',
    'When it is right': own.right,
    'When it ran short': own.short,
    'When it ran long': own.long,
    Repeated: say('repeated', {
      isRepeated: confirmedShots > 1 ? 'yes' : 'no',
      times: confirmedShots,
    }),
    'Temperature school': TEMPERATURE_SCHOOL_LABELS[body.temperatureSchool],
  };
}

/** "± 2.1 g in the cup, ± 1.3 °C, ± 3 s": one thing off at a time, as blind cups taught it. */
function holdsIn(
  { say, figure }: Speech,
  {
    holdsYieldG,
    holdsTemperatureC,
    holdsTimeS,
    costPoints,
  }: Pick<RecipeBody['recipe'], keyof typeof HOLDS>,
): string {
  const within = [
    holdsYieldG !== undefined && say('holds.inTheCup', { g: figure(holdsYieldG, 1) }),
    holdsTemperatureC !== undefined && `± ${figure(holdsTemperatureC, 1)} °C`,
    holdsTimeS !== undefined && `± ${figure(holdsTimeS, 1)} s`,
  ].filter(Boolean);
  if (within.length === 0) return '';
  return say('holds.within', {
    list: within.join(', '),
    hasCost: costPoints === undefined ? 'no' : 'yes',
    cost: costPoints === undefined ? '' : figure(costPoints, 1),
  });
}

/** Older documents have it in words alone. */
function measuredIn({ language, say, figure }: Speech, body: RecipeBody): string {
  if (body.displayC !== undefined)
    return say('atGroup', { shown: `${figure(body.displayC, 1)} °C` });
  return body.temperatureMeasured === cardWords('en')('asSet') || language === 'en'
    ? body.temperatureMeasured.replace(cardWords('en')('asSet'), say('asSet'))
    : body.temperatureMeasured;
}

function grindSinceIn(speech: Speech, { grindSince }: RecipeBody): string {
  if (!grindSince || grindSince.steps === 0) return '';
  const { steps, version } = grindSince;
  const { language, say } = speech;
  return say('grindSince', {
    steps: stepsIn(language, steps),
    side: steps > 0 ? 'finer' : 'coarser',
    version,
  });
}

function waterIn(speech: Speech, { water }: RecipeBody): string {
  const { hardnessMgL, alkalinityMgL } = water ?? {};
  if (hardnessMgL === undefined && alkalinityMgL === undefined) return '';
  const shown = (value = 0) => bare(speech, value);
  const known = hardnessMgL === undefined ? 'alkalinity' : 'hardness';
  return speech.say('water', {
    known: hardnessMgL !== undefined && alkalinityMgL !== undefined ? 'both' : known,
    hardness: shown(hardnessMgL),
    alkalinity: shown(alkalinityMgL),
  });
}

/** The steps, where the programme's own words do not say them already. */
function stepsWords({ steps, programme }: RecipeBody['recipe']): string {
  if (!steps) return '';
  const words = programmeWords(steps);
  const isSaid =
    programme === words || (steps.length === 1 && programme === shortProgrammeWords(steps));
  return isSaid ? '' : words;
}

/** What the coffee is, on one line under its name. */
export function coffeeWords(body: RecipeBody, language: Language = 'en'): string {
  const { Components, Roast } = cardLines(body, language);
  return [Components, Roast && cardWords(language)('roasted', { word: Roast.toLowerCase() })]
    .filter((word) => word !== '')
    .join('; ');
}

type Component = RecipeBody['coffee']['components'][number];

/** "harvest 2025/26, lot 14, Organic, grown at 1900-2100 m". */
function lotWords(
  { say }: Speech,
  { harvest, lot, certification, altitudeM, altitudeToM }: Component,
): string {
  const altitude = altitudeWords({ altitudeM, altitudeToM });
  return [
    harvest && `${say('lot.harvest')} ${harvest}`,
    lot && `${say('lot.lot')} ${lot}`,
    certification ?? '',
    altitude && say('lot.grownAt', { m: altitude }),
  ]
    .filter((word): word is string => Boolean(word))
    .join(', ');
}

/** "70 % Colombia, Huila, Finca, Caturra, honey"; the share only where there is more than one. */
function componentWords({ say }: Speech, component: Component, count: number): string {
  const { sharePct, producer, region, country, variety, process } = component;
  const said = [
    producer,
    region,
    country,
    variety,
    process ? say(`process.${process}`).toLowerCase() : '',
  ]
    .filter(Boolean)
    .join(', ');
  return count > 1 ? `${sharePct} % ${said}` : said;
}
