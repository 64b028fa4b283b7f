/**
 * A command changes the topics it says it changes, and no other: told by the tables themselves. What is
 * kept in memory rests on this.
 */
import { readFileSync } from 'node:fs';
import { commands } from '@/app/commands';
import type { CommandKind } from '@/core/command/inputs';
import { CACHE_TAGS, type CacheTag } from '@/core/command/cacheTags';
import type { Db } from '@/data/database';
import { checksOfPartner, openHelp } from '@/data/cafeChecks';
import { findHouse } from '@/data/house';
import { listMessages, listRemarks } from '@/data/messages';
import { findPartner } from '@/data/partners';
import { findAddress } from '@/data/publications';
import { cached } from '@/data/cache';
import { findRelease } from '@/data/releases';
import { listParts } from '@/data/equipment';
import {
  BATCH,
  COMPONENT,
  GRINDER,
  LEAD,
  newId,
  openHouse,
  RECIPE,
  RELEASE,
  send,
  SETUP,
  shotInput,
  stopClock,
  WORDS,
} from '../support/house';

/** The topic each table belongs to; tables of no topic are no part of what is worked out. */
const TAG_OF: Readonly<Record<string, CacheTag>> = {
  house: 'house',
  person: 'people',
  invitation: 'people',
  machine: 'equipment',
  grinder: 'equipment',
  grinder_era: 'equipment',
  basket: 'equipment',
  setup: 'equipment',
  programme: 'programme',
  release: 'release',
  component: 'release',
  batch: 'batch',
  sample: 'batch',
  recheck: 'batch',
  dial_in: 'recipe',
  recipe_draft: 'recipe',
  bench: 'recipe',
  shot: 'shot',
  trace: 'shot',
  tasting: 'tasting',
  staged_shot: 'tasting',
  flight: 'flight',
  trial: 'trial',
  flight_cup: 'flight',
  flight_taster: 'flight',
  flight_sheet: 'flight',
  recipe_version: 'publication',
  publication: 'publication',
  gate_pass: 'publication',
  printed_paper: 'publication',
  planned_publication: 'publication',
  reader_remark: 'message',
  outbox_message: 'message',
  partner: 'partner',
  partner_coffee: 'partner',
  field_visit: 'check',
  field_check: 'check',
  field_settled: 'cafesLearnt',
};
const OF_NO_TAG = [
  'session',
  'known_browser',
  'sign_in_try',
  'door_log',
  'backup',
  'public_file',
  'event',
  'epoch',
  'edit',
  'findable',
  'findable_state',
  'taste_site',
  // Worked out from the checks after a command.
  'field_alarm',
  'field_slope',
  'field_judged',
];

function contents(db: Db): Map<string, string> {
  const tables = db
    .prepare(
      `SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'found%'`,
    )
    .all() as { name: string }[];
  return new Map(
    tables.map(({ name }) => [name, JSON.stringify(db.prepare(`SELECT * FROM ${name}`).all())]),
  );
}

const epochs = (db: Db) =>
  new Map(
    (db.prepare('SELECT topic, n FROM epoch').all() as { topic: CacheTag; n: number }[]).map(
      ({ topic, n }) => [topic, n],
    ),
  );

/** Sends a command and says which topics its tables changed in, and which epochs it raised. */
function changesOf(db: Db, kind: CommandKind, input: unknown, personId?: string | null) {
  const [before, epochsBefore] = [contents(db), epochs(db)];
  const result = send(db, kind, input, newId(), personId);
  const [after, epochsAfter] = [contents(db), epochs(db)];
  const changed = [...after].filter(([name, rows]) => before.get(name) !== rows);
  const topics = changed.flatMap(([name]) => TAG_OF[name] ?? []);
  const raised = CACHE_TAGS.filter((topic) => epochsAfter.get(topic) !== epochsBefore.get(topic));
  return { result, topics: [...new Set(topics)], raised };
}

it('every table belongs to a topic, or to none on purpose', () => {
  const { db } = openHouse();
  for (const name of contents(db).keys())
    expect([name in TAG_OF || OF_NO_TAG.includes(name), name]).toEqual([true, name]);
});

it('every command raises the epochs of all it changed', () => {
  const { db, releaseId, draftId, setupId } = openHouse();
  const batchId = `${releaseId}-1`;
  const tried = new Set<CommandKind>(['setUpHouse', 'importDocument']);
  const honest = (kind: CommandKind, input: unknown, personId?: string | null) => {
    tried.add(kind);
    const { result, topics, raised } = changesOf(db, kind, input, personId);
    expect({ kind, missing: topics.filter((topic) => !raised.includes(topic)) }).toEqual({
      kind,
      missing: [],
    });
    expect(raised).toEqual(expect.arrayContaining([...commands.get(kind)!.changes]));
    return result;
  };
  const { rowVersion, rules, halfLife, ...houseFields } = findHouse(db)!;
  honest('saveRules', { rowVersion, rules, halfLife });
  honest('saveHouse', { rowVersion: rowVersion + 1, house: houseFields });
  const token = newId();
  honest('invite', { forWhom: 'Tobin', role: 'bench', token });
  const tobin = newId();
  send(db, 'acceptInvitation', { ...LEAD, token, signInName: 'tobin', name: 'Tobin' }, tobin, null);
  tried.add('acceptInvitation');
  honest('changeRole', { personId: tobin, role: 'reader' });
  honest('endSessions', {});
  honest('saveUnits', { volume: 'flOz', temperature: 'C' });
  const [grinder] = listParts(db, 'grinder');
  honest('savePart', { part: 'grinder', id: grinder!.id, rowVersion: 1, fields: GRINDER });
  honest('beginCalibrationPeriod', {
    grinderId: grinder!.id,
    kind: 'zero',
    shift: 2,
    reason: 'cleaned',
  });
  const other = honest('saveSetup', { setup: { ...SETUP, name: 'Second' } });
  honest('remove', { what: 'setup', id: other.setupId });
  const steps = [{ drive: 'pressure', level: 9, seconds: 30, ramp: false }];
  const { id: programme } = honest('saveProgramme', { name: 'Own', style: 'classic', steps });
  honest('remove', { what: 'programme', id: programme });
  honest('restore', { what: 'programme', id: programme });
  honest('createRelease', { release: { ...RELEASE, name: 'Other' }, batch: BATCH });
  const longer = { ...RELEASE, components: [{ ...COMPONENT, process: 'honey' }] };
  const { editId } = honest('editRelease', { releaseId, rowVersion: 1, release: longer });
  honest('undoEdit', { editId });
  honest('editReleases', { releaseIds: [releaseId], serving: 'milk' });
  honest('trimDose', { releaseId });
  honest('saveBatch', { releaseId, batchId, rowVersion: 1, batch: { ...BATCH, label: 'B' } });
  honest('acceptRecipe', { ...RECIPE, releaseId, batchId, setupId, style: 'soakFirst' });
  honest('useRecipe', { releaseId, draftId });
  const { shotId } = honest('logShot', shotInput(draftId));
  const { draftId: _draftId, ...pulled } = shotInput(draftId);
  const { editId: shotEdit } = honest('correctShot', {
    ...pulled,
    shotId,
    rowVersion: 1,
    timeS: 27,
  });
  honest('undoEdit', { editId: shotEdit });
  honest('removeShot', { shotId });
  honest('restoreShot', { shotId });
  const cup = { moment: 'hot', serving: 'straight', notesFound: [], remark: '', tdsPct: 9 };
  const { tastingId } = honest('recordTasting', { ...cup, shotId, scales: { liking: 7 } });
  honest('correctTasting', { ...cup, tastingId, rowVersion: 1, scales: { liking: 6 } });
  honest('removeTasting', { tastingId });
  honest('restoreTasting', { tastingId });
  honest('noteStages', { shotId, cups: [{ massG: 12, taste: 'sweet' }], likeness: 'middle' });
  honest('saveTrial', { releaseId, rowVersion: 0, bounds: { yieldFromG: 30, mostRecipes: 9 } });
  const { timeS: window, temperatureC, yieldG, doseG } = RECIPE;
  const pull = { draftId, doseG, yieldG, temperatureC, timeS: window, clock: 'pump', dial: 12 };
  const arm = (label: string) => ({ label, serving: 'straight', pull });
  const { flightId, code: flightCode } = honest('planFlight', {
    releaseId,
    test: 'paired',
    question: 'Which',
    arms: [arm('One'), arm('Other')],
    places: 2,
    hours: 8,
  });
  honest('changeFlight', { flightId, places: 3, hours: 4 });
  const { code } = db.prepare('SELECT code FROM flight_cup').get() as { code: string };
  honest('pourCup', { flightId, code, shotId });
  const device = 'a'.repeat(32);
  const { tasterId } = honest('joinFlight', { flightCode, name: 'Wren', device }, null);
  const blind = { tasterId, device, code, moment: 'hot', scales: { liking: 7 } };
  honest('tasteBlind', { ...blind, notesFound: [], remark: '' }, null);
  honest('answerFlight', { tasterId, device, codes: [code] }, null);
  honest('freePlace', { tasterId });
  honest('revealFlight', { flightId });
  honest('decideFlight', { flightId, chosenArm: 0, decision: 'for a test' });
  honest('remove', { what: 'flight', id: flightId });
  const { sampleId } = honest('saveSample', { batchId, sample: { label: 'A', bagG: 250 } });
  honest('openSample', { batchId, sampleId });
  honest('remove', { what: 'sample', id: sampleId });
  const { recheckId } = honest('askRecheck', { batchId, recheck: { day: '2026-05-25' } });
  honest('remove', { what: 'recheck', id: recheckId });
  const own = { opens: 5, bestFrom: 8, bestTo: 21, fades: 30 };
  honest('saveSpan', { releaseId, rowVersion: findRelease(db, releaseId)!.rowVersion, span: own });
  honest('renewCalendar', {});
  honest('planPublication', { releaseId, draftId, ...WORDS, onDay: '2026-05-30' });
  honest('cancelPlanned', { releaseId });
  honest('publish', { releaseId, draftId, ...WORDS });
  honest('notePrinted', { releaseId, paper: 'bag', copies: 40 });
  const [first, second] = listMessages(db);
  honest('editMessage', { messageId: first!.id, rowVersion: 1, subject: 'New', body: 'Words' });
  honest('fileMessage', { messageId: second!.id });
  const said = { token: findAddress(db, releaseId)!.token, version: 1, language: 'de' };
  honest('leaveRemark', { ...said, words: 'Gut.' }, null);
  honest('settleRemark', { remarkId: listRemarks(db)[0]!.id });
  const partner = { name: 'Corner café', town: 'Harbourside' };
  const { partnerId } = honest('savePartner', { partner, releaseIds: [releaseId] });
  const { secret } = findPartner(db, String(partnerId))!;
  honest('askRound', { partnerId, isAsked: true });
  const check = { doseG: 18, yieldG: 36, timeS: 27, dial: 11 };
  const help = 'The machine sputters.';
  honest('sendChecks', { secret, checks: [{ releaseId, check }], help }, null);
  const at = '2026-05-20T11:30:00.000Z';
  honest('enterChecks', { partnerId, at, checks: [{ releaseId, check }] });
  const [sent] = checksOfPartner(db, String(partnerId), '');
  honest('removeCafeCheck', { checkId: sent!.id, isAway: true });
  honest('settleHelp', { visitId: openHelp(db)[0]!.id });
  honest('answerPartner', {
    ...{ partnerId, releaseId, subject: 'About your checks', body: 'Grind finer.' },
    signal: 'step of a test',
    asksRound: true,
  });
  honest('settleSignal', { signal: 'another', cause: 'burrs', note: '' });
  honest('importChecks', {
    csv: `cafe,release,date,at,dose,yield,time\nCorner café,${findRelease(db, releaseId)!.name},2026-05-19,7:05,18,36,27`,
    mapping: {
      ...{ cafe: 'cafe', release: 'release', checkedOn: 'date', checkedAt: 'at' },
      ...{ doseG: 'dose', yieldG: 'yield', timeS: 'time' },
    },
    dateOrder: 'ymd',
  });
  honest('renewPartnerLink', { partnerId, isNew: true });
  honest('retirePartner', { partnerId });
  // Late: pulled before the recipe was published, so its dial may be the one it ended on.
  const late = changesOf(db, 'logShot', shotInput(draftId));
  expect(late.raised).toContain('decidedShot');
  const newer = { ...BATCH, roastDate: '2026-05-12' };
  const { batchId: secondBatch } = honest('saveBatch', { releaseId, batch: newer });
  honest('carryRecipe', { releaseId, batchId: secondBatch });
  honest('withdraw', { releaseId, why: 'for a test' });
  honest('showAgain', { releaseId });
  const table = (csv: string, mapping: object) => ({ csv, mapping, dateOrder: 'ymd' });
  const named = { name: 'release', roastDate: 'roasted' };
  honest('importReleases', table('release,roasted\nLot,2026-05-01', named));
  const figures = { release: 'release', doseG: 'dose', yieldG: 'yield' };
  honest(
    'importRecipes',
    table('release,decided,dose,yield,temp,time\nLot,2026-05-10,18,40,93,28', {
      ...figures,
      decidedOn: 'decided',
      temperatureC: 'temp',
      time: 'time',
    }),
  );
  honest(
    'importShots',
    table('release,pulled,dial,dose,yield,time\nLot,2026-05-12,11,18,40,28', {
      ...figures,
      pulledOn: 'pulled',
      dial: 'dial',
      timeS: 'time',
    }),
  );
  honest(
    'importTastings',
    table('release,tasted,liking\nLot,2026-05-12,7', {
      release: 'release',
      tastedOn: 'tasted',
      liking: 'liking',
    }),
  );
  expect([...tried].sort()).toEqual([...commands.keys()].sort());
});

it('taking in a document changes release, batch and recipe', () => {
  const { db } = openHouse();
  // Its coffee was roasted after the day these tests stand at.
  stopClock('2026-12-01');
  const document = readFileSync('tests/golden/recipe-1-blend.json', 'utf8');
  const { topics, raised } = changesOf(db, 'importDocument', { document });
  expect(raised).toEqual(expect.arrayContaining(topics));
  expect([...raised].sort()).toEqual([...commands.get('importDocument')!.changes].sort());
});

describe('what is kept', () => {
  it('is worked out anew when one of its topics changed, and only then', () => {
    const { db, draftId } = openHouse();
    let times = 0;
    const read = (key = '') => cached(db, { name: 'a test', tags: ['shot'], key }, () => ++times);
    expect([read(), read(), read('other'), read()]).toEqual([1, 1, 2, 1]);
    send(db, 'saveUnits', { volume: 'flOz', temperature: 'C' });
    expect(read()).toBe(1);
    send(db, 'logShot', shotInput(draftId));
    expect([read(), read('other'), read()]).toEqual([3, 4, 3]);
  });
});
