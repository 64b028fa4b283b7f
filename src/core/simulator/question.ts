/** A simulated shot as it is asked for from outside: one schema, and the simulator's input made of it. */
import { z } from 'zod';
import { PROCESS_INTENSITY } from '../coffee/features';
import { programmeSchema } from '../schema/programme';
import { STYLE_STEPS } from '../programme/styles';
import { oneOf, quantity } from '../schema/fields';
import { basketSchema } from '../schema/setup';
import { PROCESSES, STYLES } from '../vocabulary';
import type { SimulateInput } from './simulate';
import { inIssue } from '../message';

function within(label: string, min: number, max: number, range: string) {
  const error = ({ input }: { input?: unknown }) => {
    const values = {
      label,
      range,
      value: String(input),
      came: String(JSON.stringify(input)?.slice(0, 40)),
    };
    return typeof input === 'number'
      ? inIssue('quantity.outside', values)
      : inIssue('quantity.noNumber', values);
  };
  return z.number({ error }).min(min, { error }).max(max, { error });
}
const departure = (label: string) => within(label, -1, 1, '-1 to 1 (ln)');

export const simulateSchema = z.strictObject({
  coffee: z.strictObject({
    roastLevel: quantity('roastLevel').default(0),
    process: oneOf('Process', PROCESSES).default('washed'),
    restDays: quantity('restDays').default(14),
    lnResistance: departure('Resistance').optional(),
    lnEase: departure('Ease').optional(),
  }),
  setup: z.strictObject({ basket: basketSchema.required({ diameterMm: true }) }),
  shot: z.strictObject({
    doseG: quantity('doseG'),
    yieldG: quantity('yieldG'),
    temperatureC: quantity('temperatureC').default(93),
    grindUm: within('Grind', 150, 900, '150-900 µm').default(400),
    style: oneOf('Style', STYLES).optional(),
    programme: programmeSchema.optional(),
    mostS: quantity('timeS').optional(),
    prep: within('Preparation', 0, 1, '0-1').optional(),
    beanC: z.number().min(-30).max(80).optional(),
    isMisted: z.boolean().optional(),
    isColdMetal: z.boolean().optional(),
    cutsS: z.array(quantity('timeS')).max(12).optional(),
  }),
  /** Absent or null: the mean shot without noise. */
  seed: z.int().min(0).max(4_294_967_295).nullable().default(null),
});

export function simulateInputOf({
  coffee: { process, ...coffee },
  setup: { basket },
  shot: { style = 'classic', programme, ...shot },
  seed,
}: z.output<typeof simulateSchema>): SimulateInput {
  return {
    coffee: { ...coffee, intensity: PROCESS_INTENSITY[process] },
    basket: { diameterMm: basket.diameterMm, ratedG: basket.ratedG },
    shot: { ...shot, programme: programme ?? STYLE_STEPS[style] },
    seed,
  };
}
