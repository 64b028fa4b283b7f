/** How the house works: its schools, clock, tolerances and money. Lists of it are kept beside. */
import { USUAL_CREMA_G_PER_ML } from '../extraction/volume';
import {
  CLOCK_LABELS,
  CLOCKS,
  DOSE_SCHOOL_LABELS,
  DOSE_SCHOOLS,
  HEADSPACE_LABELS,
  HEADSPACES,
  REST_SCHOOL_LABELS,
  REST_SCHOOLS,
  STYLE_LABELS,
  STYLES,
  TASTE_LEVER_LABELS,
  TASTE_LEVERS,
  TEMPERATURE_SCHOOL_LABELS,
  TEMPERATURE_SCHOOLS,
} from '../vocabulary';
import { LANGUAGE_NAMES, LANGUAGES } from '../language';
import { flag, quantity, text, word, type Input, type Row } from './field';

export const HOUSE = {
  name: text('name', { label: 'Name of the roastery' }),
  brewStyle: word(STYLES, STYLE_LABELS, { label: 'Brew style' }),
  temperatureSchool: word(TEMPERATURE_SCHOOLS, TEMPERATURE_SCHOOL_LABELS, {
    label: 'Temperature school',
  }),
  restSchool: word(REST_SCHOOLS, REST_SCHOOL_LABELS, { label: 'Rest school' }),
  clock: word(CLOCKS, CLOCK_LABELS, { label: 'Clock' }),
  doseSchool: word(DOSE_SCHOOLS, DOSE_SCHOOL_LABELS, { label: 'Dose', default: 'locked' }),
  headspace: word(HEADSPACES, HEADSPACE_LABELS, { label: 'Basket', default: 'toRating' }),
  proofGoalPct: quantity('proofGoalPct', { default: 85 }),
  leastLiking: quantity('leastLiking', { default: 6 }),
  tasteLevers: word(TASTE_LEVERS, TASTE_LEVER_LABELS, {
    label: 'When the cup is not right',
    default: 'bySize',
  }),
  tasteFirst: flag({ label: 'The house tastes first' }),
  doseToleranceG: quantity('doseToleranceG', {}),
  yieldToleranceG: quantity('yieldToleranceG', {}),
  /** Of fresh espresso with its crema: what a visible millilitre weighs. */
  cremaGPerMl: quantity('cremaGPerMl', { step: 0.05, default: USUAL_CREMA_G_PER_ML }),
  /** Of the water it brews with, as CaCO₃; said on the card where known. */
  waterHardnessMgL: quantity('waterMgL', {
    label: 'Hardness',
    optional: true,
    column: 'water_hardness_mg_l',
  }),
  waterAlkalinityMgL: quantity('waterMgL', {
    label: 'Alkalinity',
    optional: true,
    column: 'water_alkalinity_mg_l',
  }),
  /** The language the house's own words on cards are in. */
  cardLanguage: word(LANGUAGES, LANGUAGE_NAMES, {
    label: 'Own words on cards are in',
    default: 'en',
  }),
  /** Where the house likes its cups to lie; drawn beside shots, and nothing is judged by it. */
  tdsFromPct: quantity('tdsPct', { label: 'Strength from', optional: true }),
  tdsToPct: quantity('tdsPct', { label: 'Strength to', optional: true }),
  extractionFromPct: quantity('extractionPct', { label: 'Extraction from', optional: true }),
  extractionToPct: quantity('extractionPct', { label: 'Extraction to', optional: true }),
  /** ISO 4217. */
  currency: text('note', { label: 'Currency' }),
  coffeePricePerKg: quantity('pricePerKg', { optional: true }),
  /** By its name in the public list of zones, as Europe/Madrid; the machine's when empty. */
  timeZone: text('note', { label: 'Time zone', default: '' }),
  publicAddress: text('address', { label: 'Public address', default: '' }),
  /** Where the cards are also put as a folder for a web host; nowhere when empty. */
  siteFolder: text('address', { label: 'Folder of the cards for a web host', default: '' }),
  backupFolder: text('address', { label: 'Folder of the backups', default: '' }),
  backupDays: quantity('backupDays', { isWhole: true, default: 7 }),
  backupWeeks: quantity('backupWeeks', { isWhole: true, default: 8 }),
} as const;

export type HouseRow = Row<typeof HOUSE>;
export type HouseInput = Input<typeof HOUSE>;
