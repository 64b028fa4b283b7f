/** What is sold. Its components and batches are entities of their own. */
import { SERVED, SERVED_LABELS } from '../vocabulary';
import { notes, text, word, type Entered, type Values } from './field';

export const RELEASE = {
  name: text('name', {
    label: 'Name of the release',
    isPublished: true,
    headers: ['release', 'name', 'coffee', 'coffee name'],
  }),
  serving: word(SERVED, SERVED_LABELS, {
    label: 'Served',
    unsaid: 'both',
    headers: ['served', 'serving'],
  }),
  promisedNotes: notes({
    label: 'Promised notes',
    oneLabel: 'A promised note',
    hint: 'Separated by commas',
    most: 12,
    unsaid: [],
    isPublished: true,
    headers: ['notes', 'promised notes', 'tasting notes', 'flavour notes', 'flavor notes'],
  }),
} as const;

export type ReleaseValues = Values<typeof RELEASE>;
export type ReleaseEntered = Entered<typeof RELEASE>;
