/** Putting a recipe on the bench. */
import { z } from 'zod';
import { dayWords } from '@/core/dayWords';
import { userFault } from '@/core/errors';
import { DRAFT } from '@/core/entity/draft';
import { entryShape } from '@/core/schema/entry';
import { RECIPE } from '@/core/entity/recipe';
import { dialRangeWords, dialWords } from '@/core/grinder/notation';
import { oneOf, text } from '@/core/schema/fields';
import { STYLES, STYLE_LABELS, type Drink } from '@/core/vocabulary';
import { defineCommand, personOf } from '@/data/command';
import {
  ensureDialIn,
  findBenchDraft,
  insertDraft,
  listOpenDrafts,
  putOnBench,
} from '@/data/dialIns';
import { findRelease } from '@/data/releases';
import { findSetup } from '@/data/setups';

const draftEntry = entryShape(DRAFT);

const acceptInput = z.strictObject({
  releaseId: z.string().max(64),
  batchId: z.string().max(70),
  setupId: z.string({ error: 'No setup is chosen. Choose a machine, grinder and basket.' }).max(64),
  style: oneOf('Style', STYLES),
  temperatureSchool: draftEntry.temperatureSchool,
  ...entryShape(RECIPE),
  programme: text('Programme', 'name'),
  drink: draftEntry.drink,
  startDial: draftEntry.startDial,
  why: draftEntry.why,
  /** What the lead set otherwise than proposed, in words. */
  overruled: z.array(text('What was overruled', 'name')).max(12).optional(),
  /** The revision that stood on the bench when this one was made. */
  basedOn: z.string().max(64).nullable().optional(),
  /** The model's own figures, kept beside what the lead made of them. */
  proposed: z.record(z.string().max(40), z.number()).optional(),
});

export const acceptRecipe = defineCommand({
  kind: 'acceptRecipe',
  changes: ['recipe'],
  duty: 'lead',
  input: acceptInput,
  run: ({ basedOn, overruled = [], ...input }, context) => {
    const { db, id } = context;
    const release = findRelease(db, input.releaseId);
    const setup = findSetup(db, input.setupId);
    if (!release?.batches.some((batch) => batch.id === input.batchId) || !setup)
      throw userFault(
        'notFound',
        'releaseId',
        'The release, batch or setup is gone. Reload the page.',
      );
    const { grinder } = setup;
    if (input.startDial < grinder.min || input.startDial > grinder.max)
      throw userFault(
        'badInput',
        'startDial',
        `Dial ${dialWords(grinder, input.startDial)} is outside ${dialRangeWords(grinder)} of ${grinder.name}. Enter a setting the grinder has.`,
      );
    if (basedOn !== undefined && (findBenchDraft(db, input.releaseId)?.id ?? null) !== basedOn)
      throw userFault(
        'conflict',
        'basedOn',
        'Someone else put another recipe on the bench meanwhile: the plate shows it now. Yours is kept here; put it on the bench again if it is still to replace theirs.',
      );
    const dialInId = ensureDialIn(db, id, input);
    insertDraft(db, id, dialInId, { ...input, recipe: input }, personOf(context).id);
    putOnBench(db, input.releaseId, id);
    return {
      releaseId: input.releaseId,
      words: `put a ${STYLE_LABELS[input.style].toLowerCase()} recipe${forWords(input.drink)} on the bench, ${input.doseG} → ${input.yieldG} g${overruleWords(overruled, input.why)}`,
      result: { draftId: id },
    };
  },
});

const forWords = (drink: Drink) => (drink === 'milk' ? ' for milk drinks' : '');

/** Overruling the model is recorded with its reason. */
function overruleWords(overruled: readonly string[], why: string): string {
  if (overruled.length === 0) return '';
  return `, overruling the proposal on ${overruled.join(', ')}: ${why || 'no reason given'}`;
}

export const useRecipe = defineCommand({
  kind: 'useRecipe',
  changes: ['recipe'],
  duty: 'lead',
  input: z.strictObject({ releaseId: z.string().max(64), draftId: z.string().max(64) }),
  run: ({ releaseId, draftId }, { db }) => {
    const draft = listOpenDrafts(db, releaseId).find(({ id }) => id === draftId);
    if (!draft)
      throw userFault(
        'notFound',
        'draftId',
        'That recipe is no longer open: a newer one stands in its place. Reload the page.',
      );
    const previousDraftId = findBenchDraft(db, releaseId)?.id ?? null;
    putOnBench(db, releaseId, draftId);
    const batch = findRelease(db, releaseId)?.batches.find(({ id }) => id === draft.batchId);
    return {
      releaseId,
      words: `put the ${STYLE_LABELS[draft.style].toLowerCase()} recipe${forWords(draft.drink)}${batch ? ` of the batch roasted ${dayWords(batch.roastDate)}` : ''} on the bench again, ${draft.recipe.doseG} → ${draft.recipe.yieldG} g`,
      result: { previousDraftId },
    };
  },
});
