/** Publishing and withdrawing: the commands that leave the house. */
import { z } from 'zod';
import { UserFault, userFault } from '@/core/errors';
import { dayWords } from '@/core/dayWords';
import { PAPER_LABELS, PAPERS } from '@/core/papers';
import { daysBetween } from '@/core/rest/day';
import { day, oneOf, optionalText, parse, text } from '@/core/schema/fields';
import { publicAddress } from '@/data/address';
import { defineCommand, personOf, type Context } from '@/data/command';
import { findHouse } from '@/data/house';
import { insertMessage } from '@/data/messages';
import { insertPrinted, removePlanned, setPlanned } from '@/data/printed';
import { findRelease } from '@/data/releases';
import {
  findAddress,
  PUBLISH_CHECKS,
  insertPassedCheck,
  insertVersion,
  listVersions,
  showPublicAgain,
  withdrawPublic,
} from '@/data/publications';
import { readCardOffers } from '@/views/cardOffers';
import { readRelease } from '@/views/release';
import { makeDocument, recipeBodySchema, writeDocument } from '@/formats/recipe/document';
import { FOR_MILK_WORDS, gapsOf, WORD_LABELS, wordsLacking } from './check';
import { readDocument } from '@/formats/recipe/readers';
import { composeBody, composedShape, composeFaults } from './compose';
import { publishedBody } from './document';
import { GATE_LABELS } from './gateLabels';
import { newVersionMessages } from './newVersionMessages';
import { readinessOf } from './readiness';

const passes = z.partialRecord(
  z.enum(PUBLISH_CHECKS),
  optionalText('Why this gate is passed', 'words'),
);

const cardShape = {
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
} as const;

const card = z.strictObject(cardShape);
type Card = z.output<typeof card>;

/** The card a form describes, as it would be published now, with what still keeps it back. */
function cardOf({ db, today }: Pick<Context, 'db' | 'today'>, asked: Card) {
  const { releaseId, draftId, passed, right, short, long, whatChanged, ...composed } = asked;
  const words = { right, short, long, whatChanged };
  const house = findHouse(db)!;
  const view = readRelease(db, house, releaseId, { today });
  if (!view) throw userFault('notFound', 'releaseId', 'There is no such release. Reload the page.');
  if (view.bench?.draft.id !== draftId)
    throw userFault(
      'conflict',
      'draftId',
      'The recipe on the bench changed after this preview. Reload the page and look at it again.',
    );
  if (view.bench.draft.drink === 'milk') throw userFault('refused', 'draftId', FOR_MILK_WORDS);
  const [newest] = listVersions(db, releaseId);
  const last = newest && readDocument(newest.document).body;
  const base = publishedBody(house, view, words, { today, last });
  const printed = last?.phases?.list.length;
  const offers = readCardOffers(db, house, view, { bench: view.bench, printed });
  const readiness = readinessOf(view);
  const lastVersion = view.versions[0]?.number ?? null;
  return {
    last,
    base,
    body: () => parse(recipeBodySchema, composeBody(base, composed, offers)),
    open: readiness.flatMap(({ gate, isMet }) =>
      isMet ? [] : [{ gate, reason: passed[gate] ?? '' }],
    ),
    gaps: gapsOf(readiness, passed),
    lacking: [...wordsLacking(words, lastVersion), ...composeFaults(base, composed, offers)],
  };
}

export const publish = defineCommand({
  kind: 'publish',
  changes: ['publication', 'message'],
  duty: 'lead',
  needsFreshPassword: true,
  input: card,
  run: (asked, context) => {
    const { db, id } = context;
    const { releaseId, draftId } = asked;
    const person = personOf(context);
    const { last, body: bodyOf, open, gaps, lacking } = cardOf(context, asked);
    const faults = [...gaps, ...lacking];
    if (faults.length > 0) throw new UserFault('badInput', faults);
    const body = bodyOf();
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
    for (const { gate, reason } of open) insertPassedCheck(db, { versionId: id, gate, reason });
    const address = `${publicAddress(db)}/p/${findAddress(db, releaseId)!.token}/`;
    for (const message of newVersionMessages(body, { last, address }))
      insertMessage(
        db,
        { ...message, id: `${id}-${message.audience}`, releaseId, versionNumber: body.version },
        person.id,
      );
    removePlanned(db, releaseId);
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

/** So far ahead a card may wait. */
const MOST_DAYS_AHEAD = 120;

export const planPublication = defineCommand({
  kind: 'planPublication',
  changes: ['publication'],
  duty: 'lead',
  needsFreshPassword: true,
  input: z.strictObject({ ...cardShape, onDay: day('The day it goes out') }),
  run: ({ onDay, ...asked }, context) => {
    const { db, today } = context;
    const { base, lacking } = cardOf(context, asked);
    const ahead = daysBetween(today, onDay);
    const faults = [
      ...lacking,
      ...(ahead < 1 || ahead > MOST_DAYS_AHEAD
        ? [
            {
              field: 'onDay',
              message: `The day it goes out is not within the next ${MOST_DAYS_AHEAD} days. Choose a day after today, or publish now.`,
            },
          ]
        : []),
    ];
    if (faults.length > 0) throw new UserFault('badInput', faults);
    setPlanned(db, { releaseId: asked.releaseId, onDay, card: asked }, personOf(context).id);
    return {
      releaseId: asked.releaseId,
      words: `planned version ${base.version} for ${dayWords(onDay)}`,
      result: {},
    };
  },
});

export const cancelPlanned = defineCommand({
  kind: 'cancelPlanned',
  changes: ['publication'],
  duty: 'lead',
  input: z.strictObject({ releaseId: z.string().max(64) }),
  run: ({ releaseId }, { db }) => {
    if (!removePlanned(db, releaseId))
      throw userFault(
        'conflict',
        '',
        'Nothing is planned for this release any more. Reload the page.',
      );
    return { releaseId, words: 'took back a planned publication', result: {} };
  },
});

export const notePrinted = defineCommand({
  kind: 'notePrinted',
  changes: ['publication'],
  duty: 'bench',
  input: z.strictObject({
    releaseId: z.string().max(64),
    paper: oneOf('Paper', PAPERS),
    copies: z
      .number({ error: 'Copies is not a number. Enter 1-10000.' })
      .int({ error: 'Copies are whole. Enter 1-10000.' })
      .min(1, { error: 'Copies is under 1. Enter 1-10000.' })
      .max(10_000, { error: 'Copies is over 10000. Enter 1-10000.' }),
  }),
  run: ({ releaseId, paper, copies }, context) => {
    const { db, id } = context;
    const [newest] = listVersions(db, releaseId);
    if (!newest)
      throw userFault(
        'notFound',
        'releaseId',
        'Nothing of this release is published. Publish it first.',
      );
    insertPrinted(
      db,
      id,
      { releaseId, paper, copies, versionNumber: newest.number },
      personOf(context).id,
    );
    return {
      releaseId,
      words: `printed ${copies} × ${PAPER_LABELS[paper].toLowerCase()} of version ${newest.number}`,
      result: {},
    };
  },
});

export const withdraw = defineCommand({
  kind: 'withdraw',
  changes: ['publication'],
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
  changes: ['publication'],
  duty: 'lead',
  needsFreshPassword: true,
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
