/** One change of several releases at once. */
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { RELEASE } from '@/core/entity/release';
import { userFault } from '@/core/errors';
import { MOST_AT_ONCE, TEXT_LIMITS } from '@/core/limits';
import { SERVED_LABELS } from '@/core/vocabulary';
import { defineCommand } from '@/data/command';
import { keepBefore } from '@/data/edits';
import { findReleases, updateRelease, type StoredRelease } from '@/data/releases';

const shape = entryShape(RELEASE);

const input = z
  .strictObject({
    releaseIds: z
      .array(z.string().max(64))
      .min(1, { error: 'No release is chosen. Tick those it is for.' })
      .max(MOST_AT_ONCE, { error: `At most ${MOST_AT_ONCE} releases at once. Untick some.` }),
    serving: shape.serving.unwrap().optional(),
    /** Added to the promised notes of each that does not have them. */
    addNotes: shape.promisedNotes.unwrap().optional(),
    /** Added to the tags of each that does not have them. */
    addTags: shape.tags.unwrap().optional(),
    isArchived: z.boolean().optional(),
  })
  .refine(
    ({ serving, addNotes = [], addTags = [], isArchived }) =>
      serving !== undefined || addNotes.length + addTags.length > 0 || isArchived !== undefined,
    { path: ['serving'], error: 'Nothing is to be changed. Say what, and press again.' },
  );
type Change = Omit<z.output<typeof input>, 'releaseIds'>;

export const editReleases = defineCommand({
  kind: 'editReleases',
  changes: ['release'],
  duty: 'lead',
  input,
  run: ({ releaseIds, ...change }, { db, id }) => {
    const releases = findReleases(db, releaseIds);
    if (releases.length !== new Set(releaseIds).size)
      throw userFault(
        'notFound',
        'releaseIds',
        'One of these releases is gone: somebody deleted it. Reload the page; nothing was changed.',
      );
    for (const before of releases) {
      const { id: rowId, rowVersion } = before;
      updateRelease(db, { id: rowId, rowVersion }, changed(before, change));
      keepBefore(db, id, { what: 'release', rowId, rowVersion, before });
    }
    const one = releases.length === 1 ? releases[0]! : null;
    return {
      releaseId: one?.id ?? null,
      words: `${changeWords(change)}: ${one?.name ?? `${releases.length} releases`}`,
      result: { editId: id },
    };
  },
});

function changed(before: StoredRelease, { serving, addNotes, addTags, isArchived }: Change) {
  return {
    ...before,
    promisedNotes: withMore(before, 'promisedNotes', addNotes),
    tags: withMore(before, 'tags', addTags),
    ...(serving !== undefined && { serving }),
    ...(isArchived !== undefined && { isArchived }),
  };
}

/** Lists of words that several releases can get more of, and by which key. */
const LISTS = {
  promisedNotes: { key: 'addNotes', words: 'promised notes' },
  tags: { key: 'addTags', words: 'tags' },
} as const;

function withMore(
  before: StoredRelease,
  list: keyof typeof LISTS,
  more: readonly string[] = [],
): string[] {
  const all = [...new Set([...before[list], ...more])];
  const { most } = RELEASE[list];
  if (all.length <= most) return all;
  throw userFault(
    'badInput',
    LISTS[list].key,
    `${before.name.slice(0, TEXT_LIMITS.note)} would have ${all.length} ${LISTS[list].words}; at most ${most}. Untick it, or add fewer. Nothing was changed.`,
  );
}

function changeWords({ serving, addNotes = [], addTags = [], isArchived }: Change): string {
  return [
    serving === undefined ? '' : `served ${SERVED_LABELS[serving].toLowerCase()}`,
    addNotes.length === 0 ? '' : `promises ${addNotes.join(', ')} too`,
    addTags.length === 0 ? '' : `tagged ${addTags.join(', ')}`,
    isArchived === undefined ? '' : isArchived ? 'archived' : 'no longer archived',
  ]
    .filter(Boolean)
    .join(', ');
}
