/** Commands that describe the bench. */
import { z } from 'zod';
import { PART_NAMES, type Part, type PartInput } from '@/core/entity/equipment';
import { userFault } from '@/core/errors';
import { perNumber } from '@/core/grinder/notation';
import { oneOf, parse } from '@/core/schema/fields';
import { NOTATION_LABELS } from '@/core/vocabulary';
import { changedMeanwhile, defineCommand, type Context } from '@/data/command';
import { findPart, insertPart, isGrinderUsed, updatePart } from '@/data/equipment';
import { keepBefore } from '@/data/edits';
import {
  findSetup,
  insertSetup,
  updateSetup,
  type SetupFields,
  type StoredSetup,
} from '@/data/setups';
import { PART_INPUTS, setupInput } from './schema';

export const savePart = defineCommand({
  kind: 'savePart',
  changes: ['equipment'],
  duty: 'lead',
  input: z.strictObject({
    part: oneOf('Part', PART_NAMES),
    id: z.string().max(64).optional(),
    rowVersion: z.number().int().optional(),
    fields: z.unknown(),
  }),
  run: ({ part, id, rowVersion = 0, fields: raw }, { db, id: newId }) => {
    const fields = parse(PART_INPUTS[part], raw) as PartInput[Part];
    if (id === undefined) insertPart(db, part, newId, fields);
    else {
      const before = findPart(db, part, id);
      if (part === 'grinder') refuseOtherScale(db, id, fields as PartInput['grinder']);
      if (!updatePart(db, part, { id, rowVersion }, fields)) throw changedMeanwhile(part);
      keepBefore(db, newId, { what: part, rowId: id, rowVersion, before });
    }
    return {
      releaseId: null,
      words: `saved the ${part} ${fields.name}`,
      result: { id: id ?? newId, ...(id !== undefined && { editId: newId }) },
    };
  },
});

/** Dials that were written down would all read otherwise. */
function refuseOtherScale(db: Context['db'], id: string, fields: PartInput['grinder']): void {
  const before = findPart(db, 'grinder', id);
  if (!before || perNumber(before) === perNumber(fields) || !isGrinderUsed(db, id)) return;
  throw userFault(
    'refused',
    'notation',
    `Recipes and shots of ${before.name} have their dials written as ${NOTATION_LABELS[before.notation]}. Describe it as a new grinder to write them otherwise.`,
  );
}

export const saveSetup = defineCommand({
  kind: 'saveSetup',
  changes: ['equipment'],
  duty: 'lead',
  input: z.strictObject({
    setupId: z.string().max(64).optional(),
    rowVersion: z.number().int().optional(),
    setup: setupInput,
  }),
  run: ({ setupId, rowVersion = 0, setup }, context) => {
    const { db, id } = context;
    const fields = {
      name: setup.name,
      machineId: partId('machine', setup.machineId, setup.machine, context),
      grinderId: partId('grinder', setup.grinderId, setup.grinder, context),
      basketId: partId('basket', setup.basketId, setup.basket, context),
      links: setup.links,
    };
    if (setupId === undefined) insertSetup(db, id, fields);
    else {
      const before = setupFields(findSetup(db, setupId));
      if (!updateSetup(db, { id: setupId, rowVersion }, fields)) throw changedMeanwhile('setup');
      keepBefore(db, id, { what: 'setup', rowId: setupId, rowVersion, before });
    }
    return {
      releaseId: null,
      words: `saved the setup ${setup.name}`,
      result: { setupId: setupId ?? id, ...(setupId !== undefined && { editId: id }) },
    };
  },
});

/** What was entered of a setup that is there. */
function setupFields(setup: StoredSetup | null): SetupFields | null {
  if (!setup) return null;
  const { name, machine, grinder, basket, links } = setup;
  return { name, machineId: machine.id, grinderId: grinder.id, basketId: basket.id, links };
}

/** The id of a part that is there, or of a new one made now; parts of three tables may share an id. */
function partId<P extends Part>(
  part: P,
  id: string | undefined,
  fields: PartInput[P] | undefined,
  context: Context,
): string {
  if (fields !== undefined) {
    insertPart(context.db, part, context.id, fields);
    return context.id;
  }
  if (id === undefined || !findPart(context.db, part, id))
    throw userFault('notFound', part, `That ${part} is gone. Choose another one.`);
  return id;
}
