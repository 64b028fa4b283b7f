/** One command of the shell: a schema in, a schema out, a pure function between. */
import { z } from 'zod';
import { parse } from '@/core/schema/fields';

export interface Command {
  readonly purpose: string;
  readonly run: (input: unknown) => unknown;
  readonly schema: () => { input: unknown; output: unknown };
}

export function command<In extends z.ZodType, Out extends z.ZodType>(options: {
  purpose: string;
  input: In;
  output: Out;
  /** Its answer is checked against `output` before it is printed. */
  run: (input: z.output<In>) => unknown;
}): Command {
  const { purpose, input, output, run } = options;
  return {
    purpose,
    run: (raw) => output.parse(run(parse(input, raw))),
    schema: () => ({
      input: z.toJSONSchema(input, { io: 'input', unrepresentable: 'any' }),
      output: z.toJSONSchema(output, { unrepresentable: 'any' }),
    }),
  };
}

/** An object with one value of a kind for each of these keys. */
export function keyed<K extends string, V extends z.ZodType>(keys: readonly K[], value: V) {
  return z.object(Object.fromEntries(keys.map((key) => [key, value])) as Record<K, V>);
}

/** Low and high. */
export const interval = z.tuple([z.number(), z.number()]);
/** Words with the code of what they are about. */
export const coded = z.array(z.object({ code: z.string(), text: z.string() }));
