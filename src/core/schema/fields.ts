/**
 * Zod fields that say what is wrong with them as a code and its figures: name, range, what came. Every input of
 * the program crosses these at its edge.
 */
import { z } from 'zod';
import { LIMITS, quantityFault, TEXT_LIMITS, type LimitName, type TextLimit } from '../limits';
import { textFault } from '../text';
import { UserFault, type CodedFault } from '../errors';
import { asIssue, fault, fromIssue, inIssue } from '../message';

/** A measured quantity within its limits. */
export function quantity(name: LimitName) {
  const { min, max } = LIMITS[name];
  const error = ({ input }: { input?: unknown }) => {
    const wrong = quantityFault(name, input);
    return wrong ? asIssue(wrong) : '';
  };
  return z.number({ error }).min(min, { error }).max(max, { error });
}

/** A text that must say something, of bounded length. */
export function text(label: string, limit: TextLimit) {
  return optionalText(label, limit).min(
    1,
    inIssue('text.empty', { label, max: TEXT_LIMITS[limit] }),
  );
}

/** A text that may be empty: well formed, trimmed, its length as a person counts it. */
export function optionalText(label: string, limit: TextLimit) {
  const max = TEXT_LIMITS[limit];
  return z
    .string({ error: inIssue('text.missing', { label, max }) })
    .normalize('NFC')
    .trim()
    .superRefine((said, context) => {
      const wrong = textFault(said, label, max);
      if (wrong) context.addIssue({ code: 'custom', message: asIssue(wrong) });
    });
}

/** A word of a fixed list. */
export function oneOf<const T extends readonly string[]>(label: string, words: T) {
  return z.enum(words, {
    error: ({ input }) => {
      const came = String(JSON.stringify(input)?.slice(0, 40));
      const values = { label, words: words.join(', '), came };
      return inIssue(input === undefined ? 'word.missing' : 'word', values);
    },
  });
}

/** A calendar day, yyyy-mm-dd, that exists. */
export function day(label: string) {
  return z.iso.date({
    error: inIssue('day', { label }),
  });
}

/** Parses or throws one `UserFault` that lists every fault with its field. */
export function parse<T extends z.ZodType>(schema: T, input: unknown): z.output<T> {
  const result = schema.safeParse(input);
  if (result.success) return result.data;
  throw new UserFault('badInput', result.error.issues.flatMap(faultsOf));
}

/** What an issue says, as a code where one was given. */
export function faultsOf(issue: z.core.$ZodIssue): CodedFault[] {
  const field = issue.path.join('.');
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map((key) => {
        const named = [...issue.path, key].join('.');
        return { field: named, message: fault('unknownKey', { key: named }) };
      });
    case 'invalid_type': {
      const { input, expected } = issue;
      const values = { field: field || 'none', expected, came: input === undefined ? 'no' : 'yes' };
      const isOurs = !issue.message.startsWith('Invalid input');
      return [{ field, message: isOurs ? fromIssue(issue.message) : fault('kind', values) }];
    }
    default:
      return [{ field, message: fromIssue(issue.message) }];
  }
}
