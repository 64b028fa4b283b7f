/** Publishing and withdrawing: the commands that leave the house. */
import { z } from 'zod';
import { UserFault, userFault } from '@/core/errors';
import { optionalText, parse, text } from '@/core/schema/fields';
import { defineCommand, personOf } from '@/data/command';
import { findHouse } from '@/data/house';
import { findRelease } from '@/data/releases';
import {
  findAddress,
  GATES,
  insertGatePass,
  insertVersion,
  listVersions,
  showPublicAgain,
  withdrawPublic,
} from '@/data/publications';
import { readCardOffers } from '@/views/cardOffers';
import { readRelease } from '@/views/release';
import { makeDocument, recipeBodySchema, writeDocument } from '@/formats/recipe/document';
import { FOR_MILK_WORDS, lackingOf, WORD_LABELS } from './check';
import { readDocument } from '@/formats/recipe/readers';
import { composeBody, composedShape, composeFaults } from './compose';
import { publishedBody } from './document';
import { GATE_LABELS } from './gateLabels';
import { readinessOf } from './readiness';

const passes = z.partialRecord(z.enum(GATES), optionalText('Why this gate is passed', 'words'));

export const publish = defineCommand({
  kind: 'publish',
  duty: 'lead',
  needsProof: true,
  input: z.strictObject({
    releaseId: z.string().max(64),
    /** The revision that was previewed: what is published is what was seen. */
    draftId: z.string().max(64),
    right: text(WORD_LABELS.right, 'words'),
    short: text(WORD_LABELS.short, 'words'),
    long: text(WORD_LABELS.long, 'words'),
    whatChanged: optionalText('What changed, and why', 'words'),
    ...composedShape,
    /** Reasons for passing gates that are not met. */
    passed: passes.default({}),
  }),
  run: ({ releaseId, draftId, passed, right, short, long, whatChanged, ...composed }, context) => {
    const words = { right, short, long, whatChanged };
    const { db, id, today } = context;
    const person = personOf(context);
    const house = findHouse(db)!;
    const view = readRelease(db, house, releaseId, { today });
    if (!view)
      throw userFault('notFound', 'releaseId', 'There is no such release. Reload the page.');
    if (view.bench?.draft.id !== draftId)
      throw userFault(
        'conflict',
        'draftId',
        'The recipe on the bench changed after this preview. Reload the page and look at it again.',
      );
    if (view.bench.draft.drink === 'milk') throw userFault('refused', 'draftId', FOR_MILK_WORDS);
    const readiness = readinessOf(view);
    const [newest] = listVersions(db, releaseId);
    const last = newest && readDocument(newest.document).body;
    const base = publishedBody(house, view, words, { today, last });
    const printed = last?.phases?.list.length;
    const offers = readCardOffers(db, house, view, { bench: view.bench, printed });
    const lacking = [
      ...lackingOf(words, view.versions[0]?.number ?? null, readiness, passed),
      ...composeFaults(base, composed, offers),
    ];
    if (lacking.length > 0) throw new UserFault('badInput', lacking);
    const open = readiness.flatMap(({ gate, isMet }) =>
      isMet ? [] : [{ gate, reason: passed[gate]! }],
    );
    const body = parse(recipeBodySchema, composeBody(base, composed, offers));
    const document = makeDocument(body);
    insertVersion(
      db,
      {
        id,
        releaseId,
        draftId,
        number: body.version,
        document: writeDocument(document),
        sha256: document.sha256,
      },
      person.id,
    );
    for (const { gate, reason } of open) insertGatePass(db, { versionId: id, gate, reason });
    const passWords = open
      .map(({ gate, reason }) => `; passed "${GATE_LABELS[gate].toLowerCase()}": ${reason}`)
      .join('');
    return {
      releaseId,
      words: `published version ${body.version}${passWords}`,
      result: { version: body.version, sha256: document.sha256 },
    };
  },
});

export const withdraw = defineCommand({
  kind: 'withdraw',
  duty: 'lead',
  input: z.strictObject({
    releaseId: z.string().max(64),
    why: text('What the page says about it', 'words'),
    /** The recipe was not right: the house model forgets it. */
    wasWrong: z.boolean().default(false),
  }),
  run: ({ releaseId, why, wasWrong }, { db }) => {
    const address = findAddress(db, releaseId);
    if (!address || address.withdrawnAt !== null)
      throw userFault('refused', '', 'Nothing of this release is public. Reload the page.');
    withdrawPublic(db, releaseId, { why, wasWrong });
    const forgotten = wasWrong ? ', as wrong' : '';
    return { releaseId, words: `withdrew the public recipe${forgotten}: ${why}`, result: {} };
  },
});

export const showAgain = defineCommand({
  kind: 'showAgain',
  duty: 'lead',
  needsProof: true,
  input: z.strictObject({ releaseId: z.string().max(64) }),
  run: ({ releaseId }, { db }) => {
    if (!findRelease(db, releaseId))
      throw userFault('notFound', 'releaseId', 'This release was deleted. Put it back first.');
    const address = findAddress(db, releaseId);
    if (!address || address.withdrawnAt === null)
      throw userFault('refused', '', 'Nothing of this release is withdrawn. Reload the page.');
    showPublicAgain(db, releaseId);
    return { releaseId, words: 'showed the withdrawn recipe again', result: {} };
  },
});
