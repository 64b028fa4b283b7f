/** A trace as it comes in: from an instrument, a file, or the store. */
import { z } from 'zod';
import { inIssue } from '../message';

/** Ten points a second for three minutes. */
export const MOST_POINTS = 1800;

export const tracePoint = z.strictObject({
  timeS: z
    .number({ error: inIssue('trace.noTime') })
    .min(0, { error: inIssue('trace.beforePump') })
    .max(180, { error: inIssue('trace.tooLong', { mostS: 180 }) }),
  weightG: z
    .number({ error: inIssue('trace.noWeight') })
    .min(-20, { error: inIssue('trace.negative') })
    .max(300, { error: inIssue('trace.tooHeavy', { mostG: 300 }) }),
  pressureBar: z.number().min(0).max(20).optional(),
  flowMlS: z.number().min(0).max(30).optional(),
  temperatureC: z.number().min(0).max(130).optional(),
});

export const traceSchema = z
  .array(tracePoint)
  .min(5, { error: inIssue('trace.tooShort') })
  .max(MOST_POINTS, { error: inIssue('trace.tooManyPoints', { most: MOST_POINTS }) })
  .refine((points) => points.every((point, i) => i === 0 || point.timeS > points[i - 1]!.timeS), {
    error: inIssue('trace.order'),
  });

export type Trace = readonly z.output<typeof tracePoint>[];
