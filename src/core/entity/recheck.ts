/** A check of a batch that somebody asked for, beside those its span plans: cafés found it off, say. */
import { day, text } from './field';

export const RECHECK = {
  day: day({ label: 'On' }),
  why: text('words', { label: 'Why', default: '' }),
} as const;
