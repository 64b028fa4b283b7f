/**
 * Sixty coffees the demo house sold over the past three years: made up, drawn with a seed. The house
 * has its own taste in two things: it brews naturals hotter than the trade's rule, and gives light
 * coffee more water. The rest follows the rules, with the usual noise.
 */
import { featuresOf } from '@/core/coffee/features';
import { dot } from '@/core/linear';
import { designRow } from '@/core/start/design';
import { FACTORS, NOISE_SD, priorFor, type Factor, type Output } from '@/core/start/priors';
import type { Process, VarietyClass } from '@/core/vocabulary';
import type { DemoRelease } from './coffees';
import type { Chance } from '@/core/random';

export const PAST_COUNT = 60;
/** The oldest and the newest of them, days ago. */
const OLDEST_DAYS = 1080;
const NEWEST_DAYS = 130;

export interface PastCoffee extends DemoRelease {
  readonly daysAgo: number;
  /** What the house found best for it in the end. */
  readonly best: { readonly ratio: number; readonly temperatureC: number };
}

/** Where this house differs from the trade's rules. */
const OWN_WAYS: Readonly<Partial<Record<Output, Partial<Record<Factor, number>>>>> = {
  temperatureC: { natural: 1.5, anaerobicNatural: 1.8 },
  lnRatio: { light: 0.1 },
};

/** The dial at which the reference coffee runs on the window bench, and what a number does to ln time. */
const REFERENCE_DIAL = 13.5;
const LN_TIME_PER_DIAL = -0.15;

const PLACES = [
  { country: 'Ethiopia', region: 'Guji', altitudeM: 2050, variety: 'Local landraces' },
  { country: 'Ethiopia', region: 'Sidama', altitudeM: 1950, variety: 'Local landraces' },
  { country: 'Colombia', region: 'Huila', altitudeM: 1700, variety: 'Caturra' },
  { country: 'Colombia', region: 'Nariño', altitudeM: 1900, variety: 'Castillo' },
  { country: 'Brazil', region: 'Minas Gerais', altitudeM: 1100, variety: 'Yellow Catuaí' },
  { country: 'Kenya', region: 'Nyeri', altitudeM: 1800, variety: 'SL28' },
  { country: 'Guatemala', region: 'Huehuetenango', altitudeM: 1750, variety: 'Bourbon' },
  { country: 'Costa Rica', region: 'Tarrazú', altitudeM: 1650, variety: 'Catuaí' },
  { country: 'Rwanda', region: 'Nyamasheke', altitudeM: 1800, variety: 'Red Bourbon' },
  { country: 'Peru', region: 'Cajamarca', altitudeM: 1750, variety: 'Typica' },
  { country: 'Nicaragua', region: 'Matagalpa', altitudeM: 1300, variety: 'Maracaturra' },
] as const;

const FIRST_NAMES = [
  'Alto',
  'Monte',
  'Loma',
  'Río',
  'Serra',
  'Cerro',
  'Vale',
  'Puente',
  'Hill',
  'Ridge',
  'Well',
  'Stone',
];
const LAST_NAMES = [
  'Claro',
  'Sereno',
  'Alegre',
  'Verde',
  'Norte',
  'Lindo',
  'Bravo',
  'Ancho',
  'Fresco',
];

const NOTES: Readonly<Record<'washed' | 'fruity' | 'other', readonly string[]>> = {
  washed: ['jasmine', 'lemon', 'red apple', 'black tea', 'caramel', 'orange'],
  fruity: ['strawberry', 'blueberry', 'cocoa', 'raisin', 'mango', 'red wine'],
  other: ['honey', 'hazelnut', 'peach', 'milk chocolate', 'brown sugar'],
};

const ROASTS = [-1, -1, -1, -0.5, -0.5, 0, 0, 0, 0.5, 1] as const;
const PROCESSES: readonly Process[] = [
  'washed',
  'washed',
  'washed',
  'washed',
  'natural',
  'natural',
  'natural',
  'honey',
  'anaerobicNatural',
];

/** The coffees, oldest first. */
export function pastCoffees(chance: Chance): PastCoffee[] {
  const names = new Set<string>();
  return Array.from({ length: PAST_COUNT }, (_, i) => {
    const age = OLDEST_DAYS + (i / (PAST_COUNT - 1)) * (NEWEST_DAYS - OLDEST_DAYS);
    return pastCoffee(chance, Math.round(age), names);
  });
}

function pastCoffee(chance: Chance, daysAgo: number, names: Set<string>): PastCoffee {
  const place = chance.oneOf(PLACES);
  const process = chance.oneOf(PROCESSES);
  const roastLevel = chance.oneOf(ROASTS);
  const varietyClass: VarietyClass =
    place.country === 'Ethiopia'
      ? 'landrace'
      : place.variety === 'Maracaturra'
        ? 'bigBean'
        : 'ordinary';
  let name = '';
  while (name === '' || names.has(name)) {
    name = `${chance.oneOf(FIRST_NAMES)} ${chance.oneOf(LAST_NAMES)}`;
  }
  names.add(name);
  const densityGPerL = chance.isWithin(0.6) ? Math.round(705 + 22 * chance.normal()) : undefined;
  const altitudeM = place.altitudeM + 25 * Math.round(3 * chance.normal());
  const component = {
    ...place,
    sharePct: 100,
    producer: `${name} growers`,
    process,
    varietyClass,
    altitudeM,
    ...(densityGPerL !== undefined && { densityGPerL }),
  };
  const row = designRow(
    featuresOf({ roastLevel, restDays: 14, components: [component] }),
    'classic',
  );
  const found = (output: Output) => {
    const rules = priorFor(output, 'both').map(({ mean }) => mean);
    const own = FACTORS.map((factor) => OWN_WAYS[output]?.[factor] ?? 0);
    return dot(row, rules) + dot(row, own) + NOISE_SD[output] * chance.normal();
  };
  const dial = REFERENCE_DIAL + (0.1 * found('grindSteps')) / LN_TIME_PER_DIAL;
  const kind = process === 'washed' ? 'washed' : process === 'honey' ? 'other' : 'fruity';
  const notes = NOTES[kind];
  const first = Math.floor(chance.uniform() * notes.length);
  return {
    daysAgo,
    release: {
      name,
      serving: 'both',
      promisedNotes: [notes[first]!, notes[(first + 2) % notes.length]!],
      components: [component],
    },
    batches: [{ daysAgo: daysAgo + 14, roastLevel, sampleG: 700 }],
    truth: { trueDial: dial, roastLevel, ease: roastLevel + (process === 'washed' ? -0.2 : 0.4) },
    best: {
      ratio: Math.exp(found('lnRatio')),
      temperatureC: Math.round(2 * found('temperatureC')) / 2,
    },
  };
}
