/**
 * A recipe: one value wherever it stands, as a draft, in the house's history, on the plate, on a card and
 * in a document.
 */
import { CLOCK_LABELS, CLOCKS } from '../vocabulary';
import { quantity, range, steps, text, word, type Input, type Row } from './field';

/** What a trial says of a recipe; of another recipe it says nothing. */
export const HOLDS = {
  holdsYieldG: quantity('holdsYieldG', { step: 0.1, optional: true, isPublished: true }),
  holdsTemperatureC: quantity('holdsTemperatureC', {
    step: 0.1,
    optional: true,
    isPublished: true,
  }),
  holdsTimeS: quantity('holdsTimeS', { step: 0.5, optional: true, isPublished: true }),
  /** Points an average café cup lies under one that hits the recipe. */
  costPoints: quantity('costPoints', { step: 0.1, optional: true, isPublished: true }),
} as const;

export const RECIPE = {
  doseG: quantity('doseG', { step: 0.1, isPublished: true, headers: ['dose', 'in', 'dose in'] }),
  yieldG: quantity('yieldG', {
    step: 0.5,
    isPublished: true,
    headers: ['yield', 'out', 'beverage', 'beverage mass', 'cup'],
  }),
  temperatureC: quantity('temperatureC', {
    step: 0.5,
    isPublished: true,
    headers: ['temperature', 'temp', 'water temperature', 'brew temperature', 'brew temp'],
  }),
  timeS: range('timeS', {
    label: 'Time window',
    columns: ['time_low_s', 'time_high_s'],
    step: 1,
    isPublished: true,
  }),
  clock: word(CLOCKS, CLOCK_LABELS, {
    label: 'Clock',
    isPublished: true,
    headers: ['clock', 'time counts'],
  }),
  /** What the machine does in a few words, and step by step. */
  programme: text('name', {
    label: 'Programme',
    default: '',
    isPublished: true,
    headers: ['water', 'programme', 'profile'],
  }),
  steps: steps({ label: 'Programme, step by step', optional: true, isPublished: true }),
  restDays: range('restDays', {
    label: 'Rest span',
    columns: ['rest_from', 'rest_to'],
    isWhole: true,
    step: 1,
    isPublished: true,
  }),
  /** How far off a cup may be before it loses .3 points, as blind cups taught it; unknown without a trial. */
  ...HOLDS,
} as const;

export type StoredRecipeRow = Row<typeof RECIPE>;
export type RecipeInput = Input<typeof RECIPE>;
