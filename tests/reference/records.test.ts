/** A house that comes with years of spreadsheets: recipes, shots and tastings, in and out again. */
import { findHouse } from '@/data/house';
import { readHouseModel } from '@/views/houseModel';
import { readRecords } from '@/views/records';
import { findReleaseNamed } from '@/data/releases';
import { readRelease } from '@/views/release';
import type { Db } from '@/data/database';
import { exportSheet } from '@/features/import/exports';
import { planImport } from '@/features/import/kinds';
import { SHEET_NAMES, type SheetName } from '@/features/import/sheetNames';
import { SHEETS } from '@/features/import/sheets';
import { suggestMapping, suggestUnits } from '@/formats/sheets/columns';
import { parseCsv, writeCsv } from '@/formats/sheets/csv';
import { faultOf } from '../support/fault';
import { openHouse, send, TODAY, WORDS } from '../support/house';

function inputOf(sheet: SheetName, csv: string) {
  const table = parseCsv(csv);
  const mapping = suggestMapping(SHEETS[sheet].columns, table.columns);
  const units = suggestUnits(SHEETS[sheet].columns, mapping, table) as Record<string, 'g'>;
  return { csv, mapping: mapping as Record<string, string>, units, dateOrder: 'ymd' as const };
}

const bring = (db: Db, sheet: SheetName, csv: string) =>
  send(db, SHEETS[sheet].command, inputOf(sheet, csv));
const plan = (db: Db, sheet: SheetName, csv: string) =>
  planImport(db, sheet, inputOf(sheet, csv), TODAY);

const RELEASES = [
  'release;roast date;roast;process;altitude',
  ...Array.from({ length: 8 }, (_, i) => `Lot ${i};2024-0${i + 1}-03;Light;Natural;1800`),
].join('\n');
const RECIPES = [
  'release;decided on;dose oz;ratio;temp F;time;dial',
  ...Array.from({ length: 8 }, (_, i) => `Lot ${i};2024-0${i + 1}-20;0,635;3,1;196;30;${9 + i}`),
].join('\n');
const SHOTS = [
  'release,pulled on,hour,dial,dose,yield,time,pulled by,remark',
  'Lot 0,2024-01-21,9:00,9,18,56,29.5,Ines,',
  'Lot 0,2024-01-21,9:06,9,18.1,55.5,30.2,Somebody gone,"first of the day"',
].join('\n');
const TASTINGS = [
  'release,tasted on,pulled on,pulled at,taster,liking,sweetness,notes found',
  'Lot 0,2024-01-21,2024-01-21,9:06,Ines,8,7,"cocoa"',
].join('\n');

function houseWithRecords() {
  const house = openHouse();
  bring(house.db, 'releases', RELEASES);
  bring(house.db, 'recipes', RECIPES);
  return house;
}

describe('recipes of the house’s own records', () => {
  it('teach the model at once, and say they are records', () => {
    const { db } = houseWithRecords();
    const house = findHouse(db)!;
    const { decided, modelOf } = readHouseModel(db, house);
    expect(decided).toHaveLength(8);
    expect(decided[0]).toMatchObject({ name: 'Lot 0', version: null, dial: 9 });
    expect(decided[0]!.draft.recipe.doseG).toBeCloseTo(18, 1);
    expect(decided[0]!.draft.recipe.temperatureC).toBeCloseTo(91.1, 1);
    const light = modelOf('both').fits.temperatureC;
    expect(light.outputs).toHaveLength(8);
  });

  it('stand on the bench of a release that had none, and leave one that has its own alone', () => {
    const { db, releaseId } = houseWithRecords();
    const house = findHouse(db)!;
    const past = findReleaseNamed(db, 'Lot 3')!;
    const view = readRelease(db, house, past.id, { today: TODAY })!;
    expect(view.bench!.draft).toMatchObject({ startDial: 12, decidedOn: '2024-04-20' });
    bring(
      db,
      'recipes',
      'release,decided on,dose,yield,temp,time\nDembi Ridge,2026-05-09,17,40,90,25',
    );
    const own = readRelease(db, house, releaseId, { today: TODAY })!;
    expect(own.bench!.draft.recipe).toMatchObject({ doseG: 18, yieldG: 36 });
  });

  it('without a dial teach nothing about grind', () => {
    const { db } = openHouse();
    bring(
      db,
      'recipes',
      'release,decided on,dose,yield,temp,time\nDembi Ridge,2026-05-09,17,40,90,25',
    );
    const { history } = readHouseModel(db, findHouse(db)!);
    expect(history).toHaveLength(1);
    expect(history[0]!.grindSteps).toBeUndefined();
  });

  it.each([
    ['an unknown release', 'Nowhere,2024-02-01,18,36,93,28', /no release “Nowhere”/],
    ['a day before any roast', 'Lot 0,2023-02-01,18,36,93,28', /no batch roasted by 2023-02-01/],
    ['a day to come', 'Lot 0,2027-02-01,18,36,93,28', /in the future/],
    ['a dial the grinder lacks', 'Lot 0,2024-02-01,18,36,93,28,99', /outside 0-30/],
  ])('are refused for %s, with row and remedy, and nothing is stored', (_what, row, words) => {
    const { db } = houseWithRecords();
    const csv = `release,decided on,dose,yield,temp,time,dial\nLot 1,2024-02-25,18,40,93,28,10\n${row}`;
    expect(plan(db, 'recipes', csv).faults).toMatchObject([{ row: 3 }]);
    expect(faultOf(() => bring(db, 'recipes', csv)).message).toMatch(words);
    expect(readHouseModel(db, findHouse(db)!).decided).toHaveLength(8);
  });
});

describe('shots and tastings', () => {
  it('join the recipe of their dial-in, with rest days, hours and names kept', () => {
    const { db } = houseWithRecords();
    bring(db, 'shots', SHOTS);
    bring(db, 'tastings', TASTINGS);
    const house = findHouse(db)!;
    const id = findReleaseNamed(db, 'Lot 0')!.id;
    const { shots } = readRelease(db, house, id, { today: TODAY })!.bench!;
    expect(shots).toHaveLength(2);
    expect(shots[0]).toMatchObject({ pulledBy: 'Ines', restDays: 18, dial: 9, tastings: [] });
    expect(shots[1]!.remark).toBe('first of the day; pulled by Somebody gone');
    expect(shots[1]!.tastings).toMatchObject([{ notesFound: ['cocoa'], scales: { liking: 8 } }]);
    const { dialIns, cups } = readRecords(db, house);
    expect(dialIns.find(({ releaseId }) => releaseId === id)).toMatchObject({ shots: 2 });
    expect(cups).toMatchObject([{ releaseId: id, liking: 8, found: ['cocoa'] }]);
  });

  it('ask for the recipe, or the shot, they belong to', () => {
    const { db } = openHouse();
    bring(db, 'releases', RELEASES);
    expect(plan(db, 'shots', SHOTS).faults[0]!.message).toMatch(/Import its recipe first/);
    bring(db, 'recipes', RECIPES);
    expect(plan(db, 'tastings', TASTINGS).faults[0]!.message).toMatch(/Import its shots first/);
  });
});

describe('export', () => {
  it('writes what a person would, under our own headers, in grams and °C', () => {
    const { db } = houseWithRecords();
    bring(db, 'shots', SHOTS);
    const cells = (sheet: SheetName, at: number) => {
      const [header, ...rows] = exportSheet(db, sheet);
      return Object.fromEntries(header!.map((name, i) => [name, rows[at]![i]]));
    };
    expect(cells('releases', 0)).toMatchObject({ process: 'Natural', roast: -1 });
    expect(cells('recipes', 0)).toMatchObject({
      release: 'Lot 0',
      'roast date': '2024-01-03',
      setup: 'Window bench',
      style: 'Classic',
      'decided on': '2024-01-20',
      dose: 18,
      dial: 9,
      clock: 'from the pump',
    });
    expect(cells('shots', 1)).toMatchObject({
      'pulled on': '2024-01-21',
      'pulled at': '09:06:00',
      dose: 18.1,
      purged: 'no',
    });
    for (const sheet of SHEET_NAMES) {
      const [header] = exportSheet(db, sheet);
      const mapping = suggestMapping(SHEETS[sheet].columns, header!.map(String));
      expect(Object.keys(mapping)).toEqual(Object.keys(SHEETS[sheet].columns));
    }
  });

  it('of every sheet comes in again and changes nothing', () => {
    const { db, releaseId, draftId } = houseWithRecords();
    bring(db, 'shots', SHOTS);
    bring(db, 'tastings', TASTINGS);
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    const partner = { name: 'Quay Nine', town: 'Ostrel' };
    const { partnerId } = send(db, 'savePartner', { partner, releaseIds: [releaseId] });
    const checks = [{ releaseId, check: { doseG: 18, yieldG: 36, timeS: 28 } }];
    send(db, 'enterChecks', { partnerId, at: '2026-05-20T11:00:00.000Z', checks });
    for (const sheet of SHEET_NAMES) {
      const rows = [...exportSheet(db, sheet)];
      const { faults, news, known } = plan(db, sheet, writeCsv(rows));
      expect(faults).toEqual([]);
      expect(news).toMatch(/^0 new/);
      expect(known).toBe(rows.length - 1);
    }
  });

  it('goes whole into an empty house, which then proposes the same', () => {
    const { db } = houseWithRecords();
    bring(db, 'shots', SHOTS);
    bring(db, 'tastings', TASTINGS);
    const other = openHouse();
    // Checks follow their cafés and public cards: tests/reference/roundTrip.
    for (const sheet of SHEET_NAMES.filter((name) => name !== 'checks'))
      bring(other.db, sheet, writeCsv(exportSheet(db, sheet)));
    const figures = (from: Db) =>
      readHouseModel(from, findHouse(from)!).history.map(({ recipe, grindSteps, style }) => ({
        style,
        grindSteps,
        ratio: recipe.ratio.toFixed(3),
        temperatureC: recipe.temperatureC,
        timeS: recipe.timeS,
      }));
    expect(figures(other.db)).toEqual(figures(db));
    expect(readRecords(other.db, findHouse(other.db)!).cups).toHaveLength(1);
  });
});
