/**
 * Zod fields that word their own faults: name, range, what came, remedy. Every input of the program
 * crosses these at its edge.
 */
import { z } from 'zod';
import { LIMITS, quantityFault, TEXT_LIMITS, type LimitName, type TextLimit } from '../limits';
import { textFault } from '../text';
import { UserFault, type Fault } from '../errors';

/** A measured quantity within its limits. */
export function quantity(name: LimitName) {
  const { min, max } = LIMITS[name];
  const error = ({ input }: { input?: unknown }) => quantityFault(name, input) ?? '';
  return z.number({ error }).min(min, { error }).max(max, { error });
}

function came(input: unknown): string {
  return input === undefined ? '' : ` (came: ${JSON.stringify(input)?.slice(0, 40)})`;
}

/** A text that must say something, of bounded length. */
export function text(label: string, limit: TextLimit) {
  return optionalText(label, limit).min(
    1,
    `${label} is empty. Enter 1-${TEXT_LIMITS[limit]} characters.`,
  );
}

/** A text that may be empty: well formed, trimmed, its length as a person counts it. */
export function optionalText(label: string, limit: TextLimit) {
  const max = TEXT_LIMITS[limit];
  return z
    .string({ error: `${label} is missing. Enter up to ${max} characters.` })
    .normalize('NFC')
    .trim()
    .superRefine((said, context) => {
      const message = textFault(said, label, max);
      if (message) context.addIssue({ code: 'custom', message });
    });
}

/** A word of a fixed list. */
export function oneOf<const T extends readonly string[]>(label: string, words: T) {
  return z.enum(words, {
    error: (issue) =>
      `${label}${came(issue.input)} is not one of ${words.join(', ')}. Choose one of these.`,
  });
}

/** A calendar day, yyyy-mm-dd, that exists. */
export function day(label: string) {
  return z.iso.date({
    error: `${label} is not a calendar day. Enter day, month and year, as 2026-05-20.`,
  });
}

/** Parses or throws one `UserFault` that lists every fault with its field. */
export function parse<T extends z.ZodType>(schema: T, input: unknown): z.output<T> {
  const result = schema.safeParse(input);
  if (result.success) return result.data;
  throw new UserFault('badInput', result.error.issues.flatMap(faultsOf));
}

function faultsOf(issue: z.core.$ZodIssue): Fault[] {
  const field = issue.path.join('.');
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({
        field: [...issue.path, key].join('.'),
        message: `Unknown key "${[...issue.path, key].join('.')}". Remove it, or see the schema for the keys that are taken.`,
      }));
    case 'invalid_type':
      return [
        {
          field,
          message: issue.message.startsWith('Invalid input')
            ? `"${field || 'The input'}" must be ${issue.expected}${issue.input === undefined ? ' and is missing or of another kind' : ''}. Give it.`
            : issue.message,
        },
      ];
    default:
      return [{ field, message: issue.message }];
  }
}
