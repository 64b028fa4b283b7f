/** Every line of a card as label and words: page, paper and comparison say the same. */
import type { HOLDS } from '@/core/entity/recipe';
import { LABELLING_CAUTION } from './labelling';
import { figure } from '@/core/figure';
import { altitudeWords } from '@/core/coffee/altitude';
import { dayWords } from '@/core/dayWords';
import {
  CLOCK_LABELS,
  PROCESS_LABELS,
  roastWord,
  SERVED_LABELS,
  STYLE_LABELS,
  TEMPERATURE_SCHOOL_LABELS,
} from '@/core/vocabulary';
import { programmeWords, shortProgrammeWords } from '@/core/programme/words';
import { fahrenheitOf } from '@/core/units';
import type { RecipeBody } from './document';

export type CardLine =
  | 'Coffee'
  | 'Components'
  | 'Roast'
  | 'Dose'
  | 'In the cup'
  | 'Time'
  | 'Temperature'
  | 'Ratio'
  | 'Tolerances'
  | 'Taste holds'
  | 'Programme'
  | 'Step by step'
  | 'Temperature is meant'
  | 'Basket'
  | 'Made on'
  | 'Rest'
  | 'Served'
  | 'Look for'
  | 'When it is right'
  | 'When it ran short'
  | 'When it ran long'
  | 'The lot'
  | 'Contains'
  | 'Repeated'
  | 'Temperature school';

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
  'Rest',
  'Served',
  'Look for',
  'The lot',
  'Contains',
] as const;
export const CARD_SENSES = ['When it is right', 'When it ran short', 'When it ran long'] as const;

/** The safety notes of every card. */
export const CARD_CAUTION =
  'If a shot chokes, wait for the pressure to vent before you loosen the portafilter. Group, portafilter and steam scald. For electrical, water and pressure work: the maker’s manual and a licensed technician.';

const hasWords = (words: string) => words !== '';

export function cardLines(body: RecipeBody): Readonly<Record<CardLine, string>> {
  const { coffee, recipe, setup, sensory, tolerance, confirmedShots } = body;
  return {
    Coffee: coffee.name,
    Components: coffee.components.map(componentWords).join('; '),
    Roast: coffee.roastLevel === undefined ? '' : roastWord(coffee.roastLevel),
    Dose: `${figure(recipe.doseG, 1)} g`,
    'In the cup': `${figure(recipe.yieldG, 1)} g`,
    Time: `${recipe.timeS[0]}-${recipe.timeS[1]} s ${CLOCK_LABELS[recipe.clock]}`,
    Temperature: `${figure(recipe.temperatureC, 1)} °C (${figure(fahrenheitOf(recipe.temperatureC), 0)} °F)`,
    Ratio: `1:${figure(recipe.ratio, 2)}`,
    Tolerances: `dose ± ${tolerance.doseG} g, yield ± ${tolerance.yieldG} g`,
    'Taste holds': holdsWords(recipe),
    Programme: `${STYLE_LABELS[body.style]}: ${recipe.programme ?? ''}`,
    'Step by step': stepsWords(recipe),
    'Temperature is meant': body.temperatureMeasured,
    Basket: `${setup.basket}, ${setup.diameterMm} mm, rated ${setup.ratedG} g`,
    'Made on': `${setup.machine}; ${setup.grinder} at ${setup.dialWords ?? setup.dial}. Your dial will differ: grind for the time.`,
    Rest: `Use from day ${recipe.restDays[0]} to ${recipe.restDays[1]} after the roast of ${dayWords(coffee.roastDate)}`,
    Served: coffee.serving === undefined ? '' : SERVED_LABELS[coffee.serving],
    'Look for': (coffee.promisedNotes ?? []).join(', '),
    'The lot': coffee.components.map(lotWords).filter(hasWords).join('; '),
    Contains: hasWords(coffee.contains ?? '') ? `${coffee.contains}. ${LABELLING_CAUTION}` : '',
    'When it is right': sensory.right,
    'When it ran short': sensory.short,
    'When it ran long': sensory.long,
    Repeated:
      confirmedShots > 1
        ? `Repeated on target ${confirmedShots} times.`
        : 'Not yet repeated on target.',
    'Temperature school': TEMPERATURE_SCHOOL_LABELS[body.temperatureSchool],
  };
}

/** "± 2.1 g in the cup, ± 1.3 °C, ± 3 s": one thing off at a time, as blind cups taught it. */
export function holdsWords({
  holdsYieldG,
  holdsTemperatureC,
  holdsTimeS,
  costPoints,
}: Pick<RecipeBody['recipe'], keyof typeof HOLDS>): string {
  const within = [
    holdsYieldG !== undefined && `± ${figure(holdsYieldG, 1)} g in the cup`,
    holdsTemperatureC !== undefined && `± ${figure(holdsTemperatureC, 1)} °C`,
    holdsTimeS !== undefined && `± ${figure(holdsTimeS, 1)} s`,
  ].filter(Boolean);
  if (within.length === 0) return '';
  const cost =
    costPoints === undefined
      ? ''
      : `; what cafés are usually off by costs about ${figure(costPoints, 1)}`;
  return `within ${within.join(', ')} (about 0.3 points of 10 each${cost})`;
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
export function coffeeWords(body: RecipeBody): string {
  const { Components, Roast } = cardLines(body);
  return [Components, Roast && `${Roast.toLowerCase()} roast`]
    .filter((word) => word !== '')
    .join('; ');
}

type Component = RecipeBody['coffee']['components'][number];

/** "harvest 2025/26, lot 14, Organic, grown at 1900-2100 m". */
function lotWords({ harvest, lot, certification, altitudeM, altitudeToM }: Component): string {
  const altitude = altitudeWords({ altitudeM, altitudeToM });
  return [
    harvest && `harvest ${harvest}`,
    lot && `lot ${lot}`,
    certification ?? '',
    altitude && `grown at ${altitude}`,
  ]
    .filter((word): word is string => Boolean(word))
    .join(', ');
}

/** "70 % Colombia, Huila, Finca, Caturra, honey"; the share only where there is more than one. */
function componentWords(component: Component, _index: number, all: readonly Component[]): string {
  const { sharePct, producer, region, country, variety, process } = component;
  const words = [
    producer,
    region,
    country,
    variety,
    process ? PROCESS_LABELS[process].toLowerCase() : '',
  ]
    .filter(Boolean)
    .join(', ');
  return all.length > 1 ? `${sharePct} % ${words}` : words;
}
