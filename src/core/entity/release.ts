/** What is sold. Its components and batches are entities of their own. */
import { DOSE_SCHOOL_LABELS, DOSE_SCHOOLS, SERVED, SERVED_LABELS } from '../vocabulary';
import { flag, notes, quantity, text, word, type Input, type Row } from './field';

export const RELEASE = {
  name: text('name', {
    label: 'Name of the release',
    isPublished: true,
    headers: ['release', 'name', 'coffee', 'coffee name'],
  }),
  serving: word(SERVED, SERVED_LABELS, {
    label: 'Served',
    default: 'both',
    isPublished: true,
    headers: ['served', 'serving'],
  }),
  /** May a dial-in of this coffee touch the dose? As the house does when default. */
  doseSchool: word(DOSE_SCHOOLS, DOSE_SCHOOL_LABELS, {
    label: 'Dose while dialling in',
    hint: 'Empty: as the house does',
    optional: true,
    headers: ['dose school'],
  }),
  promisedNotes: notes({
    label: 'Promised notes',
    oneLabel: 'A promised note',
    hint: 'Separated by commas',
    most: 12,
    default: [],
    isPublished: true,
    headers: ['notes', 'promised notes', 'tasting notes', 'flavour notes', 'flavor notes'],
  }),
  /** A menu, a season, a customer: lists are narrowed by them. */
  tags: notes({
    label: 'Tags',
    oneLabel: 'A tag',
    hint: 'The house’s own, separated by commas: a menu, a season',
    most: 12,
    default: [],
    headers: ['tags', 'labels'],
  }),
  pricePerKg: quantity('pricePerKg', {
    hint: 'This coffee’s own; empty for the house’s usual',
    step: 1,
    optional: true,
    headers: ['price per kg', 'price'],
  }),
  /** Kept beside the proposal, and never taken for an overruling of it. */
  suggestedRecipe: text('words', {
    label: 'Recipe its supplier suggests',
    hint: 'In their words; shown beside the proposal',
    default: '',
    headers: ['suggested recipe', 'supplier recipe', 'importer recipe'],
  }),
  contains: text('words', {
    label: 'Allergens and added flavours',
    hint: 'On the card; local food-labelling law decides what must be declared',
    default: '',
    isPublished: true,
    headers: ['contains', 'allergens', 'added flavours', 'flavourings'],
  }),
  story: text('story', {
    label: 'Story',
    hint: 'On the public page',
    default: '',
    isPublished: true,
    headers: ['story', 'description'],
  }),
  freeNotes: text('story', {
    label: 'Notes of the house',
    hint: 'Stay in the house',
    default: '',
    headers: ['house notes', 'free notes', 'internal notes'],
  }),
  /** The house is done with it: left out of what is at hand, and of nothing else. */
  isArchived: flag({ label: 'Archived', default: false, headers: ['archived'] }),
} as const;

export type ReleaseRow = Row<typeof RELEASE>;
export type ReleaseInput = Input<typeof RELEASE>;
