/** A trace as it comes in: from an instrument, a file, or the store. */
import { z } from 'zod';

/** Ten points a second for three minutes. */
export const MOST_POINTS = 1800;

export const tracePoint = z.strictObject({
  timeS: z
    .number({ error: 'A time of the trace is not a number. Mend the row.' })
    .min(0, { error: 'A time of the trace is before the pump. Mend the row.' })
    .max(180, { error: 'The trace is over 180 s long. Cut it.' }),
  weightG: z
    .number({ error: 'A weight of the trace is not a number. Mend the row.' })
    .min(-20, { error: 'A weight of the trace is under -20 g. Tare the scale.' })
    .max(300, { error: 'A weight of the trace is over 300 g. Mend the row.' }),
  pressureBar: z.number().min(0).max(20).optional(),
  flowMlS: z.number().min(0).max(30).optional(),
  temperatureC: z.number().min(0).max(130).optional(),
});

export const traceSchema = z
  .array(tracePoint)
  .min(5, { error: 'The trace has under five points, which is no shot.' })
  .max(MOST_POINTS, { error: `The trace has over ${MOST_POINTS} points. Thin it out.` })
  .refine((points) => points.every((point, i) => i === 0 || point.timeS > points[i - 1]!.timeS), {
    error: 'The times of the trace do not rise. Put the rows in order.',
  });

export type Trace = readonly z.output<typeof tracePoint>[];
