/**
 * Every field of every sheet goes out, comes into another house and is the same there. The fields are
 * the entity's own: a new one fails here until it travels.
 */
import { BATCH } from '@/core/entity/batch';
import { COMPONENT } from '@/core/entity/component';
import { entriesOf, type Fields } from '@/core/entity/field';
import { RECIPE } from '@/core/entity/recipe';
import { RELEASE } from '@/core/entity/release';
import { SHOT } from '@/core/entity/shot';
import { SCALES, TASTING } from '@/core/entity/tasting';
import type { Db } from '@/data/database';
import { findBenchDraft, insertDraft, putOnBench } from '@/data/dialIns';
import { findHouse } from '@/data/house';
import { insertBatch, insertRelease, findReleaseNamed } from '@/data/releases';
import { insertShot, listShots } from '@/data/shots';
import { CAFE_CHECK } from '@/core/entity/cafeCheck';
import { checksOfPartner } from '@/data/cafeChecks';
import { listPartners, type StoredPartner } from '@/data/partners';
import { insertTasting, listTastings } from '@/data/tastings';
import { findLead } from '@/data/people';
import { exportSheet } from '@/features/import/exports';
import type { SheetName } from '@/features/import/sheetNames';
import { SHEETS } from '@/features/import/sheets';
import { suggestMapping } from '@/formats/sheets/columns';
import { parseCsv, writeCsv } from '@/formats/sheets/csv';
import { readinessOf } from '@/features/publish/readiness';
import { readRelease } from '@/views/release';
import { fullValues } from '../support/fullValues';
import { openHouse, send, SETUP, shotInput, TODAY, WORDS, type TestHouse } from '../support/house';

/** Takes a sheet of one house into another as its screen would: columns by their headers. */
function carry(from: Db, to: Db, sheet: SheetName): void {
  const csv = writeCsv(exportSheet(from, sheet));
  const mapping = suggestMapping(SHEETS[sheet].columns, parseCsv(csv).columns);
  send(to, SHEETS[sheet].command, { csv, mapping, dateOrder: 'ymd' });
}

function expectSame(fields: Fields, after: object, before: object): void {
  for (const [name] of entriesOf(fields)) {
    const value = (of: object) => (of as Readonly<Record<string, unknown>>)[name];
    expect({ [name]: value(before) }).not.toEqual({ [name]: undefined });
    expect({ [name]: value(after) }).toEqual({ [name]: value(before) });
  }
}

/** A house with one release of which everything is known, down to a cup. */
function fullHouse(): TestHouse & { readonly person: string } {
  const house = openHouse();
  const { db } = house;
  const person = findLead(db)!.id;
  const component = { ...fullValues(COMPONENT), sharePct: 100 };
  insertRelease(db, 'full', { ...fullValues(RELEASE), components: [component] }, person);
  // The shares of a batch are those of its only component.
  insertBatch(db, 'full-1', 'full', { ...fullValues(BATCH), sharesPct: '100' });
  db.prepare(`INSERT INTO dial_in VALUES ('d', 'full', 'full-1', ?, 'soakFirst', ?)`).run(
    house.setupId,
    '2026-05-10T08:00:00.000Z',
  );
  const recipe = { ...fullValues(RECIPE), restDays: [8, 21] as [number, number] };
  const draft = { temperatureSchool: 'both', startDial: 12, why: 'noted' } as const;
  insertDraft(db, 'q', 'd', { ...draft, decidedOn: '2026-05-10', recipe }, person);
  putOnBench(db, 'full', 'q');
  const pulledAt = '2026-05-18T09:05:00.000Z';
  insertShot(db, 's', { ...fullValues(SHOT), dial: 11, draftId: 'q', pulledAt }, person);
  const scales = fullValues(SCALES);
  const tastedAt = '2026-05-18T12:00:00.000Z';
  insertTasting(db, 't', { ...fullValues(TASTING), scales, shotId: 's', tastedAt }, person);
  return { ...house, person };
}

it('every field of a release, its components, batches, recipes, shots and cups travels', () => {
  const { db } = fullHouse();
  const other = openHouse();
  for (const sheet of ['releases', 'recipes', 'shots', 'tastings'] as const)
    carry(db, other.db, sheet);
  const before = findReleaseNamed(db, fullValues(RELEASE).name)!;
  const after = findReleaseNamed(other.db, before.name)!;
  expectSame(RELEASE, after, before);
  expectSame(COMPONENT, after.components[0]!, before.components[0]!);
  expectSame(BATCH, after.batches[0]!, before.batches[0]!);
  const [draft, carried] = [findBenchDraft(db, 'full')!, findBenchDraft(other.db, after.id)!];
  expectSame(RECIPE, carried.recipe, draft.recipe);
  expectSame(SHOT, listShots(other.db, carried.dialInId)[0]!, listShots(db, 'd')[0]!);
  const [cup, carriedCup] = [
    listTastings(db, 'd')[0]!,
    listTastings(other.db, carried.dialInId)[0]!,
  ];
  expectSame(TASTING, carriedCup, cup);
  expectSame(SCALES, carriedCup.scales, cup.scales);
});

it('checks of cafés travel, dials as their grinders write them, and are taken once', () => {
  const [here, there] = [openHouse(), openHouse()];
  const partner = {
    name: 'Corner café',
    town: 'Quay',
    notation: 'letters',
    divisions: 10,
    dialMax: 99,
  };
  for (const { db, releaseId, draftId } of [here, there]) {
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    send(db, 'savePartner', { partner, releaseIds: [releaseId] });
  }
  const { db, releaseId } = here;
  const [{ id, secret }] = listPartners(db) as [StoredPartner];
  const check = { ...fullValues(CAFE_CHECK), dial: 92 };
  const checks = [{ releaseId, roastDate: '2026-05-08', check }];
  send(db, 'sendChecks', { secret, checks, help: '' }, undefined, null);
  expect([...exportSheet(db, 'checks')][1]).toContain('9 C');
  carry(db, there.db, 'checks');
  carry(db, there.db, 'checks');
  const [other] = listPartners(there.db) as [StoredPartner];
  const [mine, theirs] = [checksOfPartner(db, id, ''), checksOfPartner(there.db, other.id, '')];
  expect(theirs).toHaveLength(1);
  expectSame(CAFE_CHECK, theirs[0]!, mine[0]!);
  expect(theirs[0]).toMatchObject({ roastDate: '2026-05-08', visitedAt: mine[0]!.visitedAt });
});

it('a guest of a flight is one taster by name in another house too', () => {
  const { db, person } = fullHouse();
  const cup = { ...fullValues(TASTING), shotId: 's', guest: 'Öde Berg' };
  for (const [n, liking] of [8, 6].entries())
    insertTasting(db, `g${n}`, { ...cup, scales: { liking } }, person);
  const other = openHouse();
  for (const sheet of ['releases', 'recipes', 'shots', 'tastings'] as const)
    carry(db, other.db, sheet);
  const { id } = findReleaseNamed(other.db, fullValues(RELEASE).name)!;
  const guests = listTastings(other.db, findBenchDraft(other.db, id)!.dialInId).filter(
    ({ tastedBy }) => tastedBy === 'Öde Berg',
  );
  expect(guests.map(({ scales, remark }) => [scales.liking, remark])).toEqual([
    [8, cup.remark],
    [6, cup.remark],
  ]);
  expect(new Set(guests.map(({ tastedById }) => tastedById)).size).toBe(1);
  carry(db, other.db, 'tastings');
  expect(listTastings(other.db, findBenchDraft(other.db, id)!.dialInId)).toHaveLength(3);
});

it('simulated shots come back simulated, and open no gate', () => {
  const house = openHouse();
  const { db, releaseId, draftId } = house;
  const gate = () => {
    const view = readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!;
    return readinessOf(view).find(({ gate: name }) => name === 'confirmed')!;
  };
  const shots = [1, 2].map(() => send(db, 'logShot', shotInput(draftId, { isSimulated: true })));
  const csv = writeCsv(exportSheet(db, 'shots'));
  for (const { shotId } of shots) send(db, 'removeShot', { shotId });
  const mapping = suggestMapping(SHEETS.shots.columns, parseCsv(csv).columns);
  send(db, 'importShots', { csv, mapping, dateOrder: 'ymd' });
  expect(gate()).toMatchObject({ isMet: false, words: expect.stringMatching(/simulated/) });
});

it('what is there already stays as it is, also beside a second setup', () => {
  const { db } = fullHouse();
  send(db, 'saveSetup', { setup: { ...SETUP, name: 'Another bench' } });
  carry(db, db, 'shots');
  expect(listShots(db, 'd')).toHaveLength(1);
});
