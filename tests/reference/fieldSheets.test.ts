/** Checks of cafés that come as a spreadsheet: every fault by row and column, all rows or none. */
import { checksOfPartner, visitsSince } from '@/data/cafeChecks';
import { listPartners } from '@/data/partners';
import { planImport } from '@/features/import/kinds';
import { SHEETS } from '@/features/import/sheets';
import { suggestMapping } from '@/formats/sheets/columns';
import { parseCsv } from '@/formats/sheets/csv';
import { openHouse, RELEASE, send, TODAY, WORDS } from '../support/house';

const HEADER = 'café;coffee;date;time of day;roasted;dose;yield;time;dial;taste;remark';

function openField() {
  const house = openHouse();
  const { db, releaseId, draftId } = house;
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  const partner = { name: 'Quay Nine', town: 'Ostrel', dialMax: 30 };
  send(db, 'savePartner', { partner, releaseIds: [releaseId] });
  const asked = (rows: readonly string[]) => {
    const csv = [HEADER, ...rows].join('\n');
    const mapping = suggestMapping(SHEETS.checks.columns, parseCsv(csv).columns);
    return { csv, mapping, units: {}, dateOrder: 'dmy' as const };
  };
  return { ...house, asked, partnerId: listPartners(db)[0]!.id };
}

const row = (changes: Record<string, string> = {}) =>
  Object.values({
    cafe: 'quay nine',
    coffee: RELEASE.name,
    date: '19.5.2026',
    at: '7:05',
    roasted: '8.5.2026',
    dose: '18,1',
    yield: '36,5',
    time: '26,5',
    dial: '11',
    taste: 'sour side',
    remark: 'first of the day',
    ...changes,
  }).join(';');

describe('checks in a spreadsheet', () => {
  it('are taken with commas and semicolons, coffees of one minute as one visit, once', () => {
    const { db, asked, partnerId, releaseId } = openField();
    const rows = [row(), row({ at: '10:30', time: '28' })];
    expect(planImport(db, 'checks', asked(rows), TODAY)).toMatchObject({
      faults: [],
      news: '2 new checks',
      known: 0,
    });
    expect(checksOfPartner(db, partnerId, '')).toEqual([]);
    send(db, 'importChecks', asked(rows));
    const [first] = checksOfPartner(db, partnerId, '');
    expect(first).toMatchObject({
      ...{ releaseId, roastDate: '2026-05-08', doseG: 18.1, yieldG: 36.5, timeS: 26.5, dial: 11 },
      ...{ taste: 'sour', remark: 'first of the day', shots: 1 },
    });
    expect(visitsSince(db, '')).toHaveLength(2);
    expect(planImport(db, 'checks', asked(rows), TODAY)).toMatchObject({ known: 2 });
  });

  it.each([
    [{ cafe: 'Nowhere' }, 'café', /no café called “Nowhere”\. Add it in Field/],
    [{ coffee: 'Nothing' }, 'coffee', /no release called “Nothing”/],
    [{ date: '21.5.2026' }, 'date', /in the future/],
    [{ at: 'noon' }, 'time of day', /no time of day\. Write it as 7:05/],
    [{ roasted: '20.5.2026' }, 'roasted', /roasted after it was checked/],
    [{ dial: '31' }, 'dial', /outside the grinder of Quay Nine: 0 to 30/],
    [{ taste: 'lovely' }, 'taste', /“lovely” is not known here\. Write one of: .*sour side/],
    [{ time: '400' }, 'time', /outside 1-180 s/],
  ])(
    'say what is wrong with %j, by row and column, and nothing is taken',
    (changes, column, words) => {
      const { db, asked, partnerId } = openField();
      const { faults } = planImport(db, 'checks', asked([row(), row(changes)]), TODAY);
      expect(faults).toEqual([{ row: 3, column, message: expect.stringMatching(words) as string }]);
      expect(() => send(db, 'importChecks', asked([row(), row(changes)]))).toThrow(words);
      expect(checksOfPartner(db, partnerId, '')).toEqual([]);
    },
  );

  it('need a public card to be judged by', () => {
    const { db, asked, releaseId } = openField();
    send(db, 'withdraw', { releaseId, why: 'sold out' });
    const { faults } = planImport(db, 'checks', asked([row()]), TODAY);
    expect(faults[0]!.message).toMatch(/no public card to be judged by/);
  });
});
