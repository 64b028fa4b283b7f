/** What readers say, and what the house writes to partners and team. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { LANGUAGES } from '@/core/language';
import { oneOf, text } from '@/core/schema/fields';
import { changedMeanwhile, defineCommand, personOf } from '@/data/command';
import { fileMessage, insertRemark, settleRemark, updateMessage } from '@/data/messages';
import { findPublished } from '@/data/publications';
import { admitRemark } from './limits';

export const leaveRemark = defineCommand({
  kind: 'leaveRemark',
  changes: ['message'],
  duty: 'open',
  input: z.strictObject({
    token: z.string().max(64),
    version: z.number().int().min(1).max(100_000),
    language: oneOf('Language', LANGUAGES),
    words: text('Your remark', 'words'),
  }),
  run: ({ token, version, language, words }, { db, id, caller }) => {
    const shown = findPublished(db, token);
    if (!shown || shown.withdrawnAt !== null || version > shown.number)
      throw userFault('notFound', 'token', 'This card is no longer public. Ask the roastery.');
    admitRemark(db, shown.releaseId, caller.source ?? '');
    insertRemark(db, { id, releaseId: shown.releaseId, versionNumber: version, language, words });
    return {
      releaseId: shown.releaseId,
      words: `a reader of version ${version} left a remark`,
      result: {},
    };
  },
});

export const settle = defineCommand({
  kind: 'settleRemark',
  changes: ['message'],
  duty: 'bench',
  input: z.strictObject({ remarkId: z.string().max(64) }),
  run: ({ remarkId }, context) => {
    const releaseId = settleRemark(context.db, remarkId, personOf(context).id);
    if (releaseId === null)
      throw userFault('conflict', '', 'That remark is settled already. Reload the page.');
    return { releaseId, words: 'settled a reader’s remark', result: {} };
  },
});

export const editMessage = defineCommand({
  kind: 'editMessage',
  changes: ['message'],
  duty: 'lead',
  input: z.strictObject({
    messageId: z.string().max(64),
    rowVersion: z.number().int(),
    subject: text('Subject', 'address'),
    body: text('Message', 'story'),
  }),
  run: ({ messageId, ...fields }, { db }) => {
    const releaseId = updateMessage(db, { id: messageId, ...fields });
    if (releaseId === null) throw changedMeanwhile('message');
    return { releaseId, words: 'changed a message', result: {} };
  },
});

export const file = defineCommand({
  kind: 'fileMessage',
  changes: ['message'],
  duty: 'lead',
  input: z.strictObject({ messageId: z.string().max(64) }),
  run: ({ messageId }, context) => {
    const releaseId = fileMessage(context.db, messageId, personOf(context).id);
    if (releaseId === null)
      throw userFault('conflict', '', 'That message is filed already. Reload the page.');
    return { releaseId, words: 'filed a message as told', result: {} };
  },
});
