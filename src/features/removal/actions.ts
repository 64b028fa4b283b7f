/** Taking things away and putting them back. */
import { z } from 'zod';
import type { CacheTag } from '@/core/command/cacheTags';
import type { BatchInput } from '@/core/entity/batch';
import type { Part, PartInput } from '@/core/entity/equipment';
import type { ShotInput } from '@/core/entity/shot';
import type { Db } from '@/data/database';
import type { ProgrammeInput } from '@/core/entity/programme';
import { userFault } from '@/core/errors';
import { oneOf } from '@/core/schema/fields';
import { defineCommand, personOf, type Context } from '@/data/command';
import { findEdits, type Editable } from '@/data/edits';
import { updatePart } from '@/data/equipment';
import { updateHouse, type HouseFields } from '@/data/house';
import { closeInvitationsFor } from '@/data/invitations';
import { countLeads, findPerson, isNameTaken } from '@/data/people';
import { updateProgramme } from '@/data/programmes';
import { updateBatch, updateRelease, type ReleaseFields } from '@/data/releases';
import { findShotWhereabouts, updateShot } from '@/data/shots';
import { findTasting, updateTasting, type CorrectedTasting } from '@/data/tastings';
import { updateSetup, type SetupFields } from '@/data/setups';
import type { Seen } from '@/data/table';
import {
  nameOf,
  REMOVABLE,
  releaseOf,
  setRemoved,
  whatHolds,
  type Removable,
} from '@/data/removal';
import { endSessions } from '@/data/session';

const input = z.strictObject({ what: oneOf('What', REMOVABLE), id: z.string().max(70) });

/** What may be removed is about these. */
const REMOVABLES: readonly CacheTag[] = [
  'release',
  'batch',
  'flight',
  'equipment',
  'programme',
  'people',
];

export const remove = defineCommand({
  kind: 'remove',
  changes: REMOVABLES,
  duty: 'lead',
  input,
  run: ({ what, id }, context) => {
    const held = whatHolds(context.db, what, id);
    if (held) throw userFault('refused', 'id', held);
    const { db } = context;
    if (what !== 'person') return move(what, id, true, context);
    keepALead(id, context);
    const outcome = move(what, id, true, context);
    endSessions(db, id, { exceptId: null });
    closeInvitationsFor(db, id);
    return outcome;
  },
});

export const restore = defineCommand({
  kind: 'restore',
  changes: REMOVABLES,
  duty: 'lead',
  input,
  run: ({ what, id }, context) => {
    const name = what === 'person' ? nameOf(context.db, what, id) : null;
    if (name !== null && isNameTaken(context.db, name, id))
      throw userFault(
        'conflict',
        'id',
        `Somebody else is called ${name} now. Invite them anew under another name.`,
      );
    return move(what, id, false, context);
  },
});

/** Takes an edit back, as long as nobody changed the row since. */
export const undoEdit = defineCommand({
  kind: 'undoEdit',
  changes: [
    'release',
    'batch',
    'equipment',
    'programme',
    'house',
    'shot',
    'tasting',
    'decidedShot',
  ],
  duty: 'bench',
  input: z.strictObject({ editId: z.string().max(64) }),
  run: ({ editId }, context) => {
    const edits = findEdits(context.db, editId);
    const [first] = edits;
    if (!first)
      throw userFault('notFound', 'editId', 'There is no such change to undo. Reload the page.');
    for (const { what, rowId, madeVersion, before } of edits) {
      const isOfBench = what === 'shot' || what === 'tasting';
      if (!isOfBench && personOf(context).role !== 'lead')
        throw userFault('refused', 'editId', 'Only the lead undoes this. Ask the lead.');
      const seen = { id: rowId, rowVersion: madeVersion };
      if (!RESTORE[what](context, seen, before as never))
        throw userFault(
          'conflict',
          'editId',
          'This was changed again since, so the undo was left alone: both changes stand as they are now.',
        );
    }
    const { what, rowId } = first;
    const isOne = edits.length === 1;
    return {
      releaseId: isOne ? releaseOfEdit(context.db, what, rowId) : null,
      words: isOne ? `undid a change of the ${what}` : `undid a change of ${edits.length} rows`,
      result: {},
    };
  },
});

function releaseOfEdit(db: Db, what: Editable, id: string): string | null {
  switch (what) {
    case 'release':
    case 'batch':
      return releaseOf(db, what, id);
    case 'shot':
      return findShotWhereabouts(db, id)?.releaseId ?? null;
    case 'tasting':
      return findTasting(db, id)?.releaseId ?? null;
    default:
      return null;
  }
}

type Restore<T> = (context: Context, seen: Seen, before: T) => boolean;

const restorePart =
  <P extends Part>(part: P): Restore<PartInput[P]> =>
  ({ db }, seen, before) =>
    updatePart(db, part, seen, before);

const RESTORE: { readonly [E in Editable]: Restore<never> } = {
  house: ({ db }, { rowVersion }, before: HouseFields) => updateHouse(db, rowVersion, before),
  release: ({ db }, seen, before: ReleaseFields) => updateRelease(db, seen, before),
  batch: ({ db }, seen, before: BatchInput) => updateBatch(db, seen, before),
  machine: restorePart('machine'),
  grinder: restorePart('grinder'),
  basket: restorePart('basket'),
  setup: ({ db }, seen, before: SetupFields) => updateSetup(db, seen, before),
  programme: (context, seen, before: ProgrammeInput) =>
    updateProgramme(context.db, seen, before, personOf(context).id),
  shot: ({ db }, seen, before: ShotInput) => updateShot(db, seen, before),
  tasting: ({ db }, seen, before: CorrectedTasting) => updateTasting(db, seen, before),
};

function move(what: Removable, id: string, removed: boolean, { db }: Context) {
  const releaseId = releaseOf(db, what, id);
  const named = what === 'person' || what === 'invitation' ? nameOf(db, what, id) : null;
  if (!setRemoved(db, what, id, removed))
    throw userFault(
      'notFound',
      'id',
      `There is no such ${what} to ${removed ? 'delete' : 'restore'}. Reload the page.`,
    );
  return {
    releaseId,
    words: `${removed ? 'deleted' : 'restored'} ${named ?? `a ${what}`}`,
    result: {},
    changesAccess: named !== null,
  };
}

function keepALead(id: string, context: Context): void {
  if (id === personOf(context).id)
    throw userFault('refused', 'id', 'You cannot take yourself away. Ask another lead to do it.');
  if (findPerson(context.db, id)?.role === 'lead' && countLeads(context.db) < 2)
    throw userFault('refused', 'id', 'This is the only lead. Make someone else lead first.');
}
