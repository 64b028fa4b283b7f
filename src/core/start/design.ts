/**
 * From a release and a style to the row of the regression. Source: house heuristic (model.md §2).
 */
import type { Features } from '../coffee/features';
import {
  PROCESS_LABELS,
  STYLE_LABELS,
  VARIETY_LABELS,
  type BrewStyle,
  type Process,
} from '../vocabulary';
import { FACTORS, type AlteredStyle, type CrossedFactor, type Factor } from './priors';

/** Rest days are centred on 14 and clipped, so that a forgotten bag does not extrapolate. */
const REST_CENTRE_DAYS = 14;
const REST_CLIP = [-2, 3] as const;

/** What the factors read: features brought onto the scales of the rules. */
interface Reading {
  readonly features: Features;
  readonly style: BrewStyle;
  readonly crossed: Readonly<Record<CrossedFactor, number>>;
  readonly restWeeks: number;
}

/** How each factor is read, taken apart once: rows are made by the thousand. */
const READERS: readonly ((reading: Reading) => number)[] = FACTORS.map(readerOf);

function readerOf(factor: Factor): (reading: Reading) => number {
  const [head, tail] = factor.split(':') as [string, CrossedFactor | undefined];
  if (tail) return ({ style, crossed }) => (head === style ? crossed[tail] : 0);
  if (head in STYLE_LABELS) return ({ style }) => Number(head === style);
  switch (factor) {
    case 'base':
      return () => 1;
    case 'light':
    case 'dark':
    case 'intensity':
      return ({ crossed }) => crossed[factor];
    case 'landrace':
    case 'bigBean':
    case 'robusta':
      return ({ features }) => features.varietyShare[factor] ?? 0;
    case 'density':
      return ({ features }) => features.densityZ;
    case 'altitude':
      return ({ features }) => features.altitudeZ;
    case 'rest':
      return ({ restWeeks }) => restWeeks;
    default:
      return ({ features }) => features.processShare[factor as Process] ?? 0;
  }
}

/** Value of every factor for a release in a style, aligned with `FACTORS`. */
export function designRow(features: Features, style: BrewStyle): number[] {
  const roast = features.roastLevel ?? 0;
  const restWeeks = features.restDays === null ? 0 : (features.restDays - REST_CENTRE_DAYS) / 7;
  const reading: Reading = {
    features,
    style,
    crossed: {
      light: Math.max(0, -roast),
      // Beyond dark a coffee changes half as fast: nobody drinks it at 1:1.
      dark: Math.min(1, Math.max(0, roast)) + Math.max(0, roast - 1) / 2,
      intensity: features.intensity,
    },
    restWeeks: Math.min(REST_CLIP[1], Math.max(REST_CLIP[0], restWeeks)),
  };
  return READERS.map((read) => read(reading));
}

const FIXED_LABELS: Partial<Record<Factor, string>> = {
  base: 'Medium washed, classic',
  light: 'Lighter than medium',
  dark: 'Darker than medium',
  intensity: 'Process intensity',
  density: 'Green density',
  altitude: 'Altitude',
  rest: 'Rest days',
};

/** A person's word for a factor. */
export function factorLabel(factor: Factor): string {
  const fixed = FIXED_LABELS[factor];
  if (fixed) return fixed;
  const [head, tail] = factor.split(':') as [string, CrossedFactor | undefined];
  if (tail) {
    const with_ = { light: 'a light roast', dark: 'a dark roast', intensity: 'this process' }[tail];
    return `${STYLE_LABELS[head as AlteredStyle]}, with ${with_}`;
  }
  if (head in STYLE_LABELS) return `Style: ${STYLE_LABELS[head as BrewStyle].toLowerCase()}`;
  if (head in VARIETY_LABELS)
    return `Variety: ${VARIETY_LABELS[head as keyof typeof VARIETY_LABELS].toLowerCase()}`;
  return `Process: ${PROCESS_LABELS[head as keyof typeof PROCESS_LABELS].toLowerCase()}`;
}
