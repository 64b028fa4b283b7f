/**
 * Format 1 of the recipe document, as it was published with Kettlebrand 0.5 and before. Frozen: nothing
 * here follows today's limits or words, so that a card published then always opens. Never edit it; what
 * it reads is brought to today's body in `readers.ts`.
 */
import { z } from 'zod';

const PROCESSES_1 = [
  'washed',
  'honey',
  'natural',
  'anaerobicWashed',
  'anaerobicNatural',
  'carbonicMaceration',
  'infused',
  'wetHulled',
  'barrelAged',
  'decaf',
  'other',
] as const;

const figure = z.number();
const name = z.string().max(80);
const sentences = z.string().max(400);
const date = z.iso.date();

const component = z.strictObject({
  sharePct: figure,
  country: name,
  region: name,
  producer: name,
  variety: name,
  process: z.enum(PROCESSES_1).optional(),
  varietyClass: z.enum(['ordinary', 'landrace', 'bigBean', 'robusta']).optional(),
  densityGPerL: figure.optional(),
  altitudeM: figure.optional(),
});

const step = z.strictObject({
  drive: z.enum(['pressure', 'flow']),
  level: figure,
  seconds: figure,
  ramp: z.boolean(),
  limitBar: figure.optional(),
});

const recipe = z.strictObject({
  doseG: figure,
  yieldG: figure,
  ratio: figure,
  temperatureC: figure,
  timeS: z.tuple([figure, figure]),
  clock: z.enum(['pump', 'firstDrip']),
  programme: name.optional(),
  steps: z.array(step).min(1).max(12).optional(),
  pressureBar: figure.optional(),
  grindUm: figure.optional(),
  restDays: z.tuple([figure, figure]),
});

export const bodyV1 = z.strictObject({
  roastery: name,
  coffee: z.strictObject({
    name,
    components: z.array(component).min(1).max(12),
    roastDate: date,
    roastLevel: figure.optional(),
    promisedNotes: z.array(z.string().max(40)).max(24),
  }),
  recipe,
  style: z.enum(['classic', 'longQuick', 'fastCoarse', 'soakFirst', 'shortDense', 'declining']),
  temperatureSchool: z.enum(['both', 'narrow', 'wide']),
  temperatureMeasured: name,
  tolerance: z.strictObject({ doseG: figure, yieldG: figure }),
  setup: z.strictObject({
    machine: name,
    grinder: name,
    dial: figure,
    basket: name,
    diameterMm: figure,
    ratedG: figure,
  }),
  sensory: z.strictObject({ right: sentences, short: sentences, long: sentences }),
  fits: z.array(z.never()).max(0),
  confirmedShots: z.number().int(),
  version: z.number().int().min(1),
  publishedOn: date,
  whatChanged: sentences,
});
