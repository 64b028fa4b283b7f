/**
 * The range of every measured quantity, in one place: schemas, forms and the database agree on it.
 * Ranges bound what an espresso bench can produce; they are not advice.
 */
import { isAmbiguous } from './readNumber';
import { fault, type Message } from './message';

export interface Limit {
  readonly label: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
}

export const LIMITS = {
  doseG: { label: 'Dose', unit: 'g', min: 3, max: 40 },
  yieldG: { label: 'Yield', unit: 'g', min: 2, max: 200 },
  /** A choked shot may leave almost nothing in the cup, and must still be recordable. */
  shotYieldG: { label: 'Yield', unit: 'g', min: 0, max: 200 },
  stagedCupG: { label: 'Mass of a cup', unit: 'g', min: 0, max: 200 },
  shotYieldMl: { label: 'Yield by volume', unit: 'ml', min: 3, max: 300 },
  cupMl: { label: 'Cup', unit: 'ml', min: 20, max: 1000 },
  waterMgL: { label: 'Of the brewing water', unit: 'mg/L', min: 0, max: 500 },
  cremaGPerMl: { label: 'Weight of a visible ml', unit: 'g', min: 0.5, max: 1 },
  timeS: { label: 'Time', unit: 's', min: 1, max: 180 },
  firstDripS: { label: 'First drip', unit: 's', min: 0, max: 120 },
  peakBar: { label: 'Peak pressure', unit: 'bar', min: 0, max: 15 },
  beanC: { label: 'Beans at', unit: '°C', min: -40, max: 80 },
  groundC: { label: 'Grounds at', unit: '°C', min: -20, max: 100 },
  blondS: { label: 'Blonding', unit: 's', min: 0, max: 180 },
  temperatureC: { label: 'Temperature', unit: '°C', min: 60, max: 100 },
  tdsPct: { label: 'TDS', unit: '%', min: 0, max: 30 },
  extractionPct: { label: 'Extraction', unit: '%', min: 5, max: 40 },
  pressureBar: { label: 'Pressure', unit: 'bar', min: 1, max: 15 },
  /** bar or ml/s of a programme's step. */
  stepLevel: { label: 'Level', unit: '', min: 0, max: 12 },
  stepS: { label: 'Step', unit: 's', min: 0.5, max: 120 },
  dial: { label: 'Dial', unit: '', min: -1000, max: 10000 },
  purgeG: { label: 'Purge', unit: 'g', min: 0, max: 120 },
  restDays: { label: 'Rest days', unit: 'days', min: 0, max: 365 },
  altitudeM: { label: 'Altitude', unit: 'm', min: 0, max: 3500 },
  cupScore: { label: 'Cup score', unit: '', min: 0, max: 100 },
  densityGPerL: { label: 'Green density', unit: 'g/L', min: 500, max: 900 },
  moisturePct: { label: 'Green moisture', unit: '%', min: 5, max: 20 },
  colourBean: { label: 'Bean colour', unit: '', min: 0, max: 200 },
  colourGround: { label: 'Ground colour', unit: '', min: 0, max: 200 },
  weightLossPct: { label: 'Roast weight loss', unit: '%', min: 5, max: 30 },
  bagG: { label: 'Grams in the bag', unit: 'g', min: 1, max: 100000 },
  sampleG: { label: 'Sample set aside', unit: 'g', min: 0, max: 100000 },
  sharePct: { label: 'Share', unit: '%', min: 0.1, max: 100 },
  divisions: { label: 'Letters or marks', unit: '', min: 2, max: 200 },
  dialShift: { label: 'Shift of the dial', unit: '', min: -1000, max: 1000 },
  roastLevel: { label: 'Roast level', unit: '', min: -2, max: 2 },
  ratedG: { label: 'Basket rating', unit: 'g', min: 5, max: 30 },
  diameterMm: { label: 'Basket diameter', unit: 'mm', min: 35, max: 64 },
  retentionG: { label: 'Retention', unit: 'g', min: 0, max: 60 },
  stepSize: { label: 'Dial step', unit: '', min: 0.01, max: 100 },
  displayOffsetC: { label: 'Display above the group', unit: '°C', min: -15, max: 15 },
  secondsPerStep: { label: 'Seconds per step', unit: 's', min: 0.1, max: 20 },
  secondsPerStepHalf80: { label: 'Seconds per step, ±', unit: 's', min: 0, max: 20 },
  flushS: { label: 'Flush', unit: 's', min: 0, max: 30 },
  overrunG: { label: 'Overrun', unit: 'g', min: 0, max: 20 },
  depthMm: { label: 'Basket depth', unit: 'mm', min: 10, max: 60 },
  doseToleranceG: { label: 'Dose tolerance', unit: 'g', min: 0.05, max: 2 },
  yieldToleranceG: { label: 'Yield tolerance', unit: 'g', min: 0.1, max: 10 },
  pricePerKg: { label: 'Coffee price per kg', unit: '', min: 0, max: 10000 },
  umPerStep: { label: 'Burr travel per step', unit: 'µm', min: 0.5, max: 200 },
  halfLife: { label: 'Half-life', unit: 'releases', min: 5, max: 1000 },
  cup: { label: 'Score', unit: '', min: 0, max: 10 },
  strength: { label: 'Strength', unit: '', min: -2, max: 2 },
  proofGoalPct: { label: 'Sure enough at', unit: '%', min: 80, max: 90 },
  leastLiking: { label: 'A cup approves from a liking of', unit: '', min: 0, max: 10 },
  holdsYieldG: { label: 'Taste holds within, yield', unit: 'g', min: 0, max: 60 },
  holdsTemperatureC: { label: 'Taste holds within, temperature', unit: '°C', min: 0, max: 20 },
  holdsTimeS: { label: 'Taste holds within, time', unit: 's', min: 0, max: 90 },
  costPoints: { label: 'What cafés lose by being off', unit: '', min: 0, max: 10 },
  trialRecipes: { label: 'Recipes to taste at most', unit: '', min: 1, max: 60 },
  keepG: { label: 'Keep of this batch', unit: 'g', min: 0, max: 100000 },
  places: { label: 'Tasters', unit: '', min: 1, max: 30 },
  openHours: { label: 'Open for', unit: 'h', min: 1, max: 72 },
  shotsAveraged: { label: 'Shots averaged', unit: '', min: 1, max: 10 },
  backupDays: { label: 'Daily backups kept', unit: '', min: 1, max: 60 },
  backupWeeks: { label: 'Weekly backups kept', unit: '', min: 0, max: 200 },
} as const satisfies Record<string, Limit>;

export type LimitName = keyof typeof LIMITS;

/** Longest text taken: names on a plate, remarks in a ledger. */
export const TEXT_LIMITS = {
  name: 80,
  note: 40,
  remark: 500,
  words: 400,
  story: 2000,
  address: 200,
} as const;
export type TextLimit = keyof typeof TEXT_LIMITS;

/** What is wrong with a value of a quantity, and what to enter; null when it is in range. */
export function quantityFault(name: LimitName, value: unknown): Message | null {
  const { label, unit, min, max } = LIMITS[name];
  const range = rangeWords(name);
  if (value === undefined) return fault('quantity.missing', { label, range });
  if (typeof value === 'string' && isAmbiguous(value)) {
    const figure = value.replace(/\s/g, '');
    const [whole, decimal] = [figure.replace(',', ''), figure.replace(',', '.')];
    return fault('quantity.ambiguous', { label, typed: value, whole, decimal });
  }
  if (typeof value !== 'number' || Number.isNaN(value))
    return fault('quantity.noNumber', {
      label,
      range,
      came: String(JSON.stringify(value)?.slice(0, 40)),
    });
  if (value >= min && value <= max) return null;
  return fault('quantity.outside', { label, range, value: `${value}${unit ? ` ${unit}` : ''}` });
}

/** "3-40 g", for messages and hints. */
export function rangeWords(name: LimitName): string {
  const { min, max, unit } = LIMITS[name];
  const separator = min < 0 ? ' to ' : '-';
  return `${min}${separator}${max}${unit ? ` ${unit}` : ''}`;
}

/** So many releases at once can still be looked over. */
export const MOST_AT_ONCE = 200;
/** So many can be named in one address. */
export const MOST_EXPORTED = 100;
