/** Publishing: the one command that leaves the house. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { optionalText, parse, text } from '@/core/schema/fields';
import { defineCommand, personOf } from '@/data/command';
import { findHouse } from '@/data/house';
import { insertVersion } from '@/data/publications';
import { readRelease } from '@/data/releaseView';
import { makeDocument, recipeBodySchema, writeDocument } from '@/formats/recipeDocument';
import { publishedBody } from './document';

export const publish = defineCommand({
  kind: 'publish',
  input: z.strictObject({
    releaseId: z.string().max(64),
    /** The revision that was previewed: what is published is what was seen. */
    draftId: z.string().max(64),
    right: text('How it tastes when right', 'words'),
    short: text('How it tastes when short', 'words'),
    long: text('How it tastes when long', 'words'),
    whatChanged: optionalText('What changed and why', 'words'),
  }),
  run: ({ releaseId, draftId, ...words }, context) => {
    const { db, id, today } = context;
    const person = personOf(context);
    const house = findHouse(db)!;
    const view = readRelease(db, house, releaseId, today);
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
    const body = parse(recipeBodySchema, publishedBody(house, view, words, today));
    const document = makeDocument(body);
    insertVersion(
      db,
      {
        id,
        releaseId,
        number: body.version,
        document: writeDocument(document),
        sha256: document.sha256,
      },
      person.id,
    );
    return {
      releaseId,
      words: `published version ${body.version}`,
      result: { version: body.version, sha256: document.sha256 },
    };
  },
});
