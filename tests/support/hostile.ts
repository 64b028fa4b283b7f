/** Inputs that commands take, and ways to bend them: for the tests and the long run of faults. */
import fc from 'fast-check';
import { BATCH as BATCH_FIELDS } from '@/core/entity/batch';
import { COMPONENT as COMPONENT_FIELDS } from '@/core/entity/component';
import { CAFE_CHECK } from '@/core/entity/cafeCheck';
import { PARTNER } from '@/core/entity/partner';
import { RELEASE as RELEASE_FIELDS } from '@/core/entity/release';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { fullValues } from './fullValues';
import {
  BATCH,
  GRINDER,
  LEAD,
  MACHINE,
  RECIPE,
  RELEASE,
  SETUP,
  shotInput,
  WORDS,
  type TestHouse,
} from './house';

/** Values nobody means. */
export const strange = fc.oneof(
  fc.constantFrom(null, '', ' ', '0', 'x'.repeat(600), true, [], {}, -1, 0, 0.5, 2.5, 1e9, 1e-9),
  fc.double({ noNaN: true, noDefaultInfinity: true }),
  fc.integer({ min: -5, max: 500 }),
  fc.string({ maxLength: 12 }),
  fc.jsonValue({ maxDepth: 1 }),
);

/** Paths of every leaf and branch of an input. */
export function pathsOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (value === null || typeof value !== 'object') return [path];
  const inner = Object.entries(value).flatMap(([key, item]) =>
    pathsOf(item, [...path, Array.isArray(value) ? Number(key) : key]),
  );
  if (path.length > 0) return [path, ...inner];
  // What asks for nothing is bent as a whole.
  return inner.length === 0 ? [[]] : inner;
}

/** A copy with the value at a path replaced. */
export function bent(
  value: unknown,
  [head, ...rest]: readonly (string | number)[],
  by: unknown,
): unknown {
  if (head === undefined) return by;
  const copy = structuredClone(value) as Record<string | number, unknown>;
  copy[head] = bent(copy[head], rest, by);
  return copy;
}

/** How much there is of everything: a write of any kind changes it. */
export function sizes(db: Db): string {
  const tables = [
    'release',
    'component',
    'batch',
    'setup',
    'recipe_draft',
    'shot',
    'tasting',
    'staged_shot',
    'flight',
    'flight_cup',
    'flight_taster',
    'flight_sheet',
    'recipe_version',
    'event',
    'person',
    'invitation',
    'machine',
    'gate_pass',
    'sample',
    'recheck',
    'reader_remark',
    'outbox_message',
    'printed_paper',
    'planned_publication',
    'partner',
    'partner_coffee',
    'field_visit',
    'field_check',
    'field_settled',
  ];
  return tables
    .map((table) => (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n)
    .join();
}

/** All that a card can say beside its recipe. */
const CARD = {
  phases: [
    { from: 8, to: 14, steps: 0 },
    { from: 15, to: 21, steps: 0.5 },
  ],
  hasDrinks: true,
  fits: [{ audience: 'home54', tried: 'at the second bench' }],
  otherWords: { de: { right: 'Zitrone und Honig.' } },
};

const PULL = {
  doseG: 18,
  yieldG: 36,
  temperatureC: 93,
  timeS: [26, 30],
  clock: 'pump',
  dial: 12,
  beans: 'room',
} as const;

/** An input of each command that is taken as it stands, or refused for what it asks alone. */
export function validInputs(
  { db, releaseId, setupId, draftId }: TestHouse,
  shotId: string,
): [string, unknown][] {
  const edit = { releaseId, rowVersion: 1 };
  const HOUSE = {
    ...(({ rowVersion: _rowVersion, coffeePricePerKg: _price, ...others }) => others)(
      findHouse(db)!,
    ),
    coffeePricePerKg: 22,
    closedWeekdays: [7],
    closedDates: ['2026-12-25'],
    roastMap: [
      { roastLevel: -1, colourGround: 95, colourBean: 84 },
      { roastLevel: 1, colourGround: 65, colourBean: 60 },
    ],
  };
  return [
    [
      'createRelease',
      {
        release: {
          ...fullValues(RELEASE_FIELDS),
          components: [{ ...fullValues(COMPONENT_FIELDS), sharePct: 100 }],
        },
        batch: fullValues(BATCH_FIELDS),
      },
    ],
    ['saveBatch', { releaseId, batch: { ...BATCH, label: 'B2' } }],
    ['editRelease', { ...edit, release: RELEASE }],
    ['editReleases', { releaseIds: [edit.releaseId], serving: 'milk', addNotes: ['fig'] }],
    [
      'saveSetup',
      {
        setup: {
          ...SETUP,
          machine: { ...MACHINE, settableTemperature: false, fixedTemperatureC: 93 },
          grinder: { ...GRINDER, umPerStep: 10, secondsPerStep: 2 },
        },
      },
    ],
    ['savePart', { part: 'machine', fields: { ...MACHINE, displayOffsetC: 1.5 } }],
    [
      'saveProgramme',
      {
        name: 'Slow rise',
        style: 'classic',
        isFirst: true,
        steps: [{ drive: 'flow', level: 3, seconds: 6, ramp: true, limitBar: 6 }],
      },
    ],
    ['remove', { what: 'batch', id: `${releaseId}-1` }],
    ['restore', { what: 'release', id: releaseId }],
    ['invite', { forWhom: 'Tobin', role: 'bench', token: 't'.repeat(40) }],
    ['useRecipe', { releaseId, draftId }],
    ['undoEdit', { editId: 'an-edit-made' }],
    ['acceptInvitation', { token: 't'.repeat(40), ...LEAD, signInName: 'someone' }],
    ['changeRole', { personId: 'nobody', role: 'reader' }],
    ['saveUnits', { volume: 'flOz', temperature: 'F' }],
    ['withdraw', { releaseId, why: 'sold out' }],
    ['showAgain', { releaseId }],
    ['saveHouse', { rowVersion: 1, house: HOUSE }],
    [
      'importReleases',
      {
        csv: 'release,roast_date\nOne,2026-05-01\n',
        mapping: { name: 'release', roastDate: 'roast_date' },
        dateOrder: 'ymd',
      },
    ],
    [
      'acceptRecipe',
      {
        ...RECIPE,
        releaseId,
        setupId,
        batchId: `${releaseId}-1`,
        proposed: { a: 1 },
        steps: [{ drive: 'pressure', level: 9, seconds: 30, ramp: false }],
      },
    ],
    ['logShot', shotInput(draftId, { seen: ['mud'], purgeG: 3, aimDoseG: 18.2 })],
    ['removeShot', { shotId }],
    ['restoreShot', { shotId }],
    [
      'recordTasting',
      {
        shotId,
        moment: 'hot',
        serving: 'milk',
        scales: { acidity: 5, strength: 1, signs: ['salty'] },
        notesFound: ['lime'],
        remark: '',
        tdsPct: 9,
      },
    ],
    [
      'saveTrial',
      {
        releaseId,
        rowVersion: 0,
        bounds: { yieldFromG: 30, yieldToG: 45, timeFromS: 22, mostRecipes: 9, keepG: 250 },
      },
    ],
    ['noteStages', { shotId, cups: [{ massG: 12, tdsPct: 12, taste: 'sour' }], likeness: 'first' }],
    [
      'planFlight',
      {
        releaseId,
        test: 'ranking',
        question: 'Three temperatures',
        arms: [91, 93, 95].map((temperatureC) => ({
          label: `${temperatureC} °C`,
          serving: 'straight',
          pull: { ...PULL, draftId, temperatureC },
        })),
        places: 6,
        hours: 8,
        hasDuplicate: true,
        asksLikeness: true,
      },
    ],
    ['changeFlight', { flightId: 'a-flight', places: 6, hours: 8 }],
    ['pourCup', { flightId: 'a-flight', code: '123', shotId }],
    ['freePlace', { tasterId: 'a-taster' }],
    ['revealFlight', { flightId: 'a-flight' }],
    ['decideFlight', { flightId: 'a-flight', chosenArm: 0, decision: 'sweeter' }],
    ['joinFlight', { flightCode: 'ABCD2345', name: 'Wren', device: 'a'.repeat(32) }],
    [
      'tasteBlind',
      {
        tasterId: 'a-taster',
        device: 'a'.repeat(32),
        code: '123',
        moment: 'hot',
        scales: { liking: 7, strength: 0, signs: [] },
        notesFound: ['plum'],
        remark: '',
        likeness: 'first',
      },
    ],
    ['answerFlight', { tasterId: 'a-taster', device: 'a'.repeat(32), codes: ['123'] }],
    ['publish', { releaseId, draftId, ...WORDS, whatChanged: 'words', ...CARD }],
    [
      'planPublication',
      { releaseId, draftId, ...WORDS, whatChanged: 'words', ...CARD, onDay: '2026-06-20' },
    ],
    ['cancelPlanned', { releaseId }],
    [
      'saveSample',
      {
        batchId: `${releaseId}-1`,
        sample: {
          label: 'A',
          bagG: 250,
          place: 'shelf',
          frozenOn: '2026-05-10',
          thawedOn: '2026-05-12',
        },
      },
    ],
    ['openSample', { batchId: `${releaseId}-1`, sampleId: null }],
    ['askRecheck', { batchId: `${releaseId}-1`, recheck: { day: '2026-05-25', why: 'odd' } }],
    [
      'saveSpan',
      { releaseId, rowVersion: 1, span: { opens: 5, bestFrom: 8, bestTo: 21, fades: 30 } },
    ],
    ['renewCalendar', {}],
    ['notePrinted', { releaseId, paper: 'bag', copies: 40 }],
    ['leaveRemark', { token: 'a-token', version: 1, language: 'de', words: 'Sehr gut.' }],
    ['settleRemark', { remarkId: 'a-remark' }],
    ['editMessage', { messageId: 'a-message', rowVersion: 1, subject: 'New', body: 'Words' }],
    ['fileMessage', { messageId: 'a-message' }],
    [
      'savePartner',
      {
        partner: { ...fullValues(PARTNER), checkTimes: '7:00, 14:00', timeZone: 'Europe/Lisbon' },
        releaseIds: [releaseId],
      },
    ],
    ['renewPartnerLink', { partnerId: 'a-partner', isNew: true }],
    ['retirePartner', { partnerId: 'a-partner' }],
    ['askRound', { partnerId: 'a-partner', isAsked: true }],
    [
      'sendChecks',
      {
        secret: 'a-secret',
        at: '2026-05-20T11:30:00.000Z',
        checks: [{ releaseId, roastDate: '2026-05-08', check: fullValues(CAFE_CHECK) }],
        help: 'Sour since yesterday.',
      },
    ],
    [
      'enterChecks',
      {
        partnerId: 'a-partner',
        at: '2026-05-20T11:30:00.000Z',
        checks: [{ releaseId, check: fullValues(CAFE_CHECK) }],
      },
    ],
    ['settleHelp', { visitId: 'a-visit' }],
    ['removeCafeCheck', { checkId: 'a-check', isAway: true }],
    [
      'answerPartner',
      {
        ...{ partnerId: 'a-partner', releaseId, subject: 'Checks', body: 'Finer.' },
        signal: 'step',
        asksRound: false,
      },
    ],
    ['settleSignal', { signal: 'step', cause: 'scale', note: 'known weight was 0.7 g off' }],
    ['importDocument', { document: '{"format":"kettlebrand-recipe"}' }],
    ['setUpHouse', { houseName: 'Another', code: 'AAAA-BBBB-CCCC', ...LEAD }],
  ];
}
