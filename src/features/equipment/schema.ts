/** What a person enters of machine, grinder, basket and of a setup of the three. */
import { z } from 'zod';
import { oneOf, quantity, text } from '@/core/schema/fields';
import { BOILERS } from '@/core/schema/setup';
import { INSTRUMENT_LABELS, LINKS, type Instrument } from '@/core/vocabulary';

const yesNo = (label: string) => z.boolean({ error: `${label}: say yes or no.` });

export const machineInput = z
  .strictObject({
    name: text('Machine', 'name'),
    settableTemperature: yesNo('Temperature can be set'),
    fixedTemperatureC: quantity('temperatureC').optional(),
    displayOffsetC: quantity('displayOffsetC').optional(),
    pressureControl: yesNo('Pressure can be programmed'),
    flowControl: yesNo('Flow can be programmed'),
    preinfusion: yesNo('Pre-infusion'),
    boiler: oneOf('Boiler', BOILERS).optional(),
    flushS: quantity('flushS').optional(),
    overrunG: quantity('overrunG').optional(),
  })
  .refine(
    ({ settableTemperature, fixedTemperatureC }) =>
      settableTemperature || fixedTemperatureC !== undefined,
    {
      path: ['fixedTemperatureC'],
      error:
        'A machine without a settable temperature stands at some temperature. Enter it, 60-100 °C.',
    },
  );

export const grinderInput = z
  .strictObject({
    name: text('Grinder', 'name'),
    stepSize: quantity('stepSize'),
    finerIs: oneOf('Finer is', ['lower', 'higher']),
    min: quantity('dial'),
    max: quantity('dial'),
    retentionG: quantity('retentionG'),
    umPerStep: quantity('umPerStep').optional(),
    secondsPerStep: quantity('secondsPerStep').optional(),
    secondsPerStepHalf80: quantity('secondsPerStepHalf80').optional(),
    referenceDial: quantity('dial').optional(),
    stepless: yesNo('Stepless').default(false),
    chokesAt: quantity('dial').optional(),
  })
  .refine(({ min, max }) => min < max, {
    path: ['max'],
    error: 'The dial ends before it begins. Make the highest setting larger than the lowest.',
  })
  .superRefine(({ min, max, ...dials }, context) => {
    for (const name of ['referenceDial', 'chokesAt'] as const) {
      const dial = dials[name];
      if (dial !== undefined && (dial < min || dial > max))
        context.addIssue({
          code: 'custom',
          path: [name],
          message: `Dial ${dial} is outside ${min}-${max} of this grinder. Enter a setting it has.`,
        });
    }
  });

export const basketInput = z.strictObject({
  name: text('Basket', 'name'),
  diameterMm: quantity('diameterMm'),
  depthMm: quantity('depthMm').optional(),
  ratedG: quantity('ratedG'),
  pressurised: yesNo('Pressurised'),
});

export const PART_INPUTS = {
  machine: machineInput,
  grinder: grinderInput,
  basket: basketInput,
} as const;

const chosen = z.string().max(64).optional();
const link = (instrument: Instrument) =>
  oneOf(INSTRUMENT_LABELS[instrument], LINKS).default('none');

/** Each part is one that is described already, by its id, or a new one. */
export const setupInput = z
  .strictObject({
    name: text('Name of the setup', 'name'),
    machineId: chosen,
    machine: machineInput.optional(),
    grinderId: chosen,
    grinder: grinderInput.optional(),
    basketId: chosen,
    basket: basketInput.optional(),
    links: z
      .strictObject({
        scale: link('scale'),
        machineLink: link('machineLink'),
        refractometer: link('refractometer'),
        colourMeter: link('colourMeter'),
      })
      .prefault({}),
  })
  .superRefine((setup, context) => {
    for (const part of ['machine', 'grinder', 'basket'] as const)
      if ((setup[part] === undefined) === (setup[`${part}Id`] === undefined))
        context.addIssue({
          code: 'custom',
          path: [`${part}Id`],
          message: `Choose a ${part} that is there, or describe a new one.`,
        });
  });
