/** Cafés: who they are, what they send, what was found and what they are answered. */
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { CAFE_CHECK } from '@/core/entity/cafeCheck';
import { PARTNER, type PartnerInput } from '@/core/entity/partner';
import { userFault } from '@/core/errors';
import { readTimes } from '@/core/cafes/schedule';
import { DIVISIONS, dialWords } from '@/core/grinder/notation';
import { day, oneOf, optionalText, text } from '@/core/schema/fields';
import { changedMeanwhile, defineCommand, personOf } from '@/data/command';
import type { Db } from '@/data/database';
import { deviceMoment, momentSaid } from '@/data/deviceMoment';
import { insertCheck, insertVisit, noteHelpSettled, removeCheck } from '@/data/cafeChecks';
import { keepSettled, SETTLED_CAUSES } from '@/data/cafesLearnt';
import { findHouse } from '@/data/house';
import { insertMessage } from '@/data/messages';
import {
  findPartner,
  findPartnerBySecret,
  insertPartner,
  removePartner,
  renewLink,
  setPartnerCoffees,
  setRoundAsked,
  updatePartner,
  type StoredPartner,
} from '@/data/partners';
import { findRelease } from '@/data/releases';
import { now } from '@/data/rows';
import { today } from '@/data/today';
import { publicRecipe, recipeAt, recipeInForce } from '@/views/publishedRecipe';
import { admitSheet } from './limits';

const MOST_COFFEES = 12;
const id = z.string().max(70);

function partnerOf(db: Db, partnerId: string): StoredPartner {
  const partner = findPartner(db, partnerId);
  if (partner === null)
    throw userFault('notFound', 'partnerId', 'There is no such café. Reload the page.');
  return partner;
}

export const savePartner = defineCommand({
  kind: 'savePartner',
  changes: ['partner'],
  duty: 'lead',
  input: z.strictObject({
    id: id.optional(),
    rowVersion: z.number().int().optional(),
    partner: z.strictObject(entryShape(PARTNER)),
    releaseIds: z.array(id).max(MOST_COFFEES, {
      error: `A sheet holds ${MOST_COFFEES} coffees. Take some away.`,
    }),
  }),
  run: ({ id: known, rowVersion = 0, partner, releaseIds }, context) => {
    const { db } = context;
    checkPartner(partner);
    for (const releaseId of releaseIds)
      if (!findRelease(db, releaseId))
        throw userFault('notFound', 'releaseIds', 'One of these coffees is gone. Reload the page.');
    const partnerId = known ?? context.id;
    if (known === undefined) insertPartner(db, partnerId, partner, personOf(context).id);
    else {
      partnerOf(db, known);
      if (!updatePartner(db, { id: known, rowVersion }, partner)) throw changedMeanwhile('café');
    }
    setPartnerCoffees(db, partnerId, [...new Set(releaseIds)]);
    return {
      releaseId: null,
      words: `${known === undefined ? 'added' : 'changed'} the café ${partner.name}`,
      result: { partnerId },
    };
  },
});

function checkPartner(partner: PartnerInput): void {
  const {
    checkTimes = '',
    timeZone = '',
    dialMin = 0,
    dialMax = 50,
    notation,
    divisions,
  } = partner;
  if (readTimes(checkTimes) === null)
    throw userFault('badInput', 'checkTimes', 'Write times of day as 7:00, 10:30, 14:00.');
  if (timeZone !== '' && !isTimeZone(timeZone))
    throw userFault(
      'badInput',
      'timeZone',
      `There is no time zone “${timeZone}”. Write it as Europe/Lisbon.`,
    );
  if (dialMin >= dialMax)
    throw userFault('badInput', 'dialMax', 'The highest dial is not above the lowest. Swap them.');
  if (notation === 'letters' || notation === 'marks') {
    const [least, most] = DIVISIONS[notation];
    if (divisions === undefined || divisions < least || divisions > most)
      throw userFault(
        'badInput',
        'divisions',
        `Say how many ${notation} lie between two numbers: ${least}-${most}.`,
      );
  }
}

function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

export const renewPartnerLink = defineCommand({
  kind: 'renewPartnerLink',
  changes: ['partner'],
  duty: 'lead',
  input: z.strictObject({ partnerId: id, isNew: z.boolean() }),
  run: ({ partnerId, isNew }, { db }) => {
    const { name } = partnerOf(db, partnerId);
    renewLink(db, partnerId, isNew);
    return {
      releaseId: null,
      words: isNew ? `made a new link for ${name}` : `revoked the link of ${name}`,
      result: {},
    };
  },
});

export const retirePartner = defineCommand({
  kind: 'retirePartner',
  changes: ['partner'],
  duty: 'lead',
  input: z.strictObject({ partnerId: id }),
  run: ({ partnerId }, { db }) => {
    const { name } = partnerOf(db, partnerId);
    removePartner(db, partnerId);
    return { releaseId: null, words: `took the café ${name} away`, result: {} };
  },
});

export const askRound = defineCommand({
  kind: 'askRound',
  changes: ['partner'],
  duty: 'lead',
  input: z.strictObject({ partnerId: id, isAsked: z.boolean() }),
  run: ({ partnerId, isAsked }, { db }) => {
    const { name } = partnerOf(db, partnerId);
    setRoundAsked(db, partnerId, isAsked);
    return {
      releaseId: null,
      words: isAsked
        ? `asked ${name} for a whole round of checks`
        : `no longer asks ${name} for a round`,
      result: {},
    };
  },
});

const sentChecks = z
  .array(
    z.strictObject({
      releaseId: id,
      roastDate: day('Roast date').optional(),
      check: z.strictObject(entryShape(CAFE_CHECK)),
    }),
  )
  .max(MOST_COFFEES, { error: `A sheet holds ${MOST_COFFEES} coffees. Send two.` });
type SentChecks = z.output<typeof sentChecks>;

/** Twelve coffees, each with a remark of every length in any script. */
const MOST_SHEET_BYTES = 64_000;

export const sendChecks = defineCommand({
  kind: 'sendChecks',
  changes: ['check'],
  duty: 'open',
  maxBytes: MOST_SHEET_BYTES,
  input: z.strictObject({
    secret: z.string().max(64),
    at: deviceMoment('check'),
    checks: sentChecks,
    help: optionalText('What is wrong', 'words').default(''),
  }),
  run: ({ secret, at, checks, help }, { db, id: visitId }) => {
    const partner = findPartnerBySecret(db, secret);
    if (partner === null)
      throw userFault(
        'gone',
        'secret',
        'This link is no longer in use. Ask the roastery for the new one.',
      );
    if (checks.length === 0 && help === '')
      throw userFault('badInput', 'checks', 'Nothing is filled in. Enter a time for one coffee.');
    admitSheet(db, partner.id);
    const { moment, isDatedHere } = believed(at);
    const visit = { id: visitId, partnerId: partner.id, visitedAt: moment, isDatedHere, help };
    insertVisit(db, { ...visit, enteredBy: null });
    keepChecks(db, partner, { visitId, at: moment }, checks);
    const isRound = partner.roundAskedAt !== null && checks.length > 0;
    if (isRound) setRoundAsked(db, partner.id, false);
    return {
      releaseId: null,
      words:
        help === ''
          ? `${partner.name} checked ${coffeesWords(checks.length)}`
          : `${partner.name} asks for help`,
      result: { isDatedHere },
      ...(isRound && { alsoChanged: ['partner' as const] }),
    };
  },
});

const coffeesWords = (count: number) => `${count} ${count === 1 ? 'coffee' : 'coffees'}`;

/** A phone with a clock that cannot be right loses nothing: its checks are dated when they arrive. */
function believed(at: string | undefined): { moment: string; isDatedHere: boolean } {
  try {
    return { moment: momentSaid('check', 'at', at), isDatedHere: false };
  } catch {
    return { moment: now(), isDatedHere: true };
  }
}

export const enterChecks = defineCommand({
  kind: 'enterChecks',
  changes: ['check'],
  duty: 'bench',
  input: z.strictObject({
    partnerId: id,
    at: z.iso.datetime({ error: 'When it was checked is not a date and time.' }),
    checks: sentChecks.min(1, { error: 'Nothing is filled in. Enter a time for one coffee.' }),
  }),
  run: ({ partnerId, at, checks }, context) => {
    const { db, id: visitId } = context;
    const partner = partnerOf(db, partnerId);
    const visitedAt = momentSaid('check', 'at', at);
    const enteredBy = personOf(context).id;
    insertVisit(db, { id: visitId, partnerId, visitedAt, isDatedHere: false, enteredBy, help: '' });
    keepChecks(db, partner, { visitId, at: visitedAt }, checks);
    return {
      releaseId: null,
      words: `wrote down ${coffeesWords(checks.length)} that ${partner.name} checked`,
      result: {},
    };
  },
});

function keepChecks(
  db: Db,
  partner: StoredPartner,
  { visitId, at: moment }: { visitId: string; at: string },
  checks: SentChecks,
): void {
  const house = findHouse(db)!;
  for (const [i, { releaseId, roastDate, check }] of checks.entries()) {
    const at = `checks.${i}`;
    const published = recipeInForce(db, releaseId, moment);
    if (!partner.releaseIds.includes(releaseId) || published === null)
      throw userFault(
        'badInput',
        `${at}.releaseId`,
        'This coffee is not on the sheet of this café any more. Open the sheet anew; the roastery decides what is on it.',
      );
    checkDial(partner, check.dial, `${at}.check.dial`);
    if (roastDate !== undefined && roastDate > today())
      throw userFault(
        'badInput',
        `${at}.roastDate`,
        'The roast date lies ahead. Read it off the bag.',
      );
    const { doseG, yieldG, timeS, clock } = recipeAt(house, published.body, partner).recipe;
    insertCheck(db, {
      id: `${visitId}-${i}`,
      visitId,
      releaseId,
      versionNumber: published.body.version,
      roastDate: roastDate ?? null,
      target: { doseG, yieldG, timeS, clock },
      fields: check,
    });
  }
}

function checkDial(partner: StoredPartner, dial: number | undefined, field: string): void {
  if (dial === undefined || (dial >= partner.dialMin && dial <= partner.dialMax)) return;
  const shown = (figure: number) => dialWords(partner, figure);
  throw userFault(
    'badInput',
    field,
    `Dial ${shown(dial)} is outside this grinder’s ${shown(partner.dialMin)} to ${shown(partner.dialMax)}. Read it again; if the grinder is another one, tell the roastery.`,
  );
}

export const settleHelp = defineCommand({
  kind: 'settleHelp',
  changes: ['check'],
  duty: 'bench',
  input: z.strictObject({ visitId: id }),
  run: ({ visitId }, context) => {
    const partnerId = noteHelpSettled(context.db, visitId, personOf(context).id);
    if (partnerId === null)
      throw userFault('conflict', '', 'That call is settled already. Reload the page.');
    return { releaseId: null, words: 'settled a call for help', result: {} };
  },
});

export const removeCafeCheck = defineCommand({
  kind: 'removeCafeCheck',
  changes: ['check'],
  duty: 'bench',
  input: z.strictObject({ checkId: z.string().max(80), isAway: z.boolean() }),
  run: ({ checkId, isAway }, { db }) => {
    if (!removeCheck(db, checkId, isAway))
      throw userFault('notFound', 'checkId', 'That check is gone. Reload the page.');
    return {
      releaseId: null,
      words: `${isAway ? 'took away' : 'put back'} a check`,
      result: {},
      alsoChanged: ['removedCheck'],
    };
  },
});

export const answerPartner = defineCommand({
  kind: 'answerPartner',
  changes: ['message'],
  duty: 'lead',
  input: z.strictObject({
    partnerId: id,
    releaseId: id,
    subject: text('Subject', 'address'),
    body: text('Message', 'story'),
    signal: z.string().max(200).optional(),
    asksRound: z.boolean(),
  }),
  run: ({ partnerId, releaseId, subject, body, signal, asksRound }, context) => {
    const { db, id: messageId } = context;
    const partner = partnerOf(db, partnerId);
    const published = publicRecipe(db, releaseId);
    if (published === null)
      throw userFault(
        'refused',
        'releaseId',
        'This coffee has no public card now. Choose another.',
      );
    const personId = personOf(context).id;
    const about = { id: messageId, partnerId, releaseId, versionNumber: published.body.version };
    insertMessage(db, { ...about, audience: 'partner', subject, body }, personId);
    if (signal !== undefined) keepSettled(db, { signal, cause: 'answered', note: '' }, personId);
    if (asksRound) setRoundAsked(db, partnerId, true);
    return {
      releaseId,
      words: `wrote an answer to ${partner.name}`,
      result: { messageId },
      alsoChanged: [
        ...(signal === undefined ? [] : ['cafesLearnt' as const]),
        ...(asksRound ? ['partner' as const] : []),
      ],
    };
  },
});

export const settleSignal = defineCommand({
  kind: 'settleSignal',
  changes: ['cafesLearnt'],
  duty: 'bench',
  input: z.strictObject({
    signal: text('Signal', 'address'),
    cause: oneOf('Cause', SETTLED_CAUSES),
    note: optionalText('Note', 'words'),
  }),
  run: (settled, context) => {
    keepSettled(context.db, settled, personOf(context).id);
    return { releaseId: null, words: 'noted what a signal from the field was', result: {} };
  },
});
