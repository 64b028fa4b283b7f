/** Publishing and withdrawing: the commands that leave the house. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { optionalText, parse, text } from '@/core/schema/fields';
import { defineCommand, personOf } from '@/data/command';
import { findHouse } from '@/data/house';
import { findRelease } from '@/data/releases';
import {
  findAddress,
  GATES,
  insertGatePass,
  insertVersion,
  showPublicAgain,
  withdrawPublic,
} from '@/data/publications';
import { readRelease, type ReleaseView } from '@/views/release';
import { makeDocument, recipeBodySchema, writeDocument } from '@/formats/recipe/document';
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
    right: text('How it tastes when right', 'words'),
    short: text('How it tastes when short', 'words'),
    long: text('How it tastes when long', 'words'),
    whatChanged: optionalText('What changed and why', 'words'),
    /** Reasons for passing gates that are not met. */
    passed: passes.default({}),
  }),
  run: ({ releaseId, draftId, passed, ...words }, context) => {
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
    if (view.versions.length > 0 && words.whatChanged === '')
      throw userFault(
        'badInput',
        'whatChanged',
        `What changed and why is empty. Say what is different from version ${view.versions[0]!.number}.`,
      );
    const open = openGates(view, passed);
    const body = parse(recipeBodySchema, publishedBody(house, view, words, today));
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

/** Gates that are not met, each with the reason it is passed for; refused without one. */
function openGates(view: ReleaseView, passed: z.output<typeof passes>) {
  return readinessOf(view)
    .filter(({ isMet }) => !isMet)
    .map(({ gate, words }) => {
      const reason = passed[gate] ?? '';
      if (reason === '')
        throw userFault(
          'badInput',
          `passed.${gate}`,
          `${GATE_LABELS[gate]}: ${words} Mend it, or say why it is passed.`,
        );
      return { gate, reason };
    });
}

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
      throw userFault('notFound', 'releaseId', 'This release was taken away. Put it back first.');
    const address = findAddress(db, releaseId);
    if (!address || address.withdrawnAt === null)
      throw userFault('refused', '', 'Nothing of this release is withdrawn. Reload the page.');
    showPublicAgain(db, releaseId);
    return { releaseId, words: 'showed the withdrawn recipe again', result: {} };
  },
});
