/** Releases and batches from a spreadsheet into a house: all rows or none, and never twice. */
import fc from 'fast-check';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { readRelease } from '@/views/release';
import { findReleaseNamed, listReleaseNames } from '@/data/releases';
import { planImport as planSheet } from '@/features/import/kinds';
import type { ImportInput } from '@/features/import/prepared';
import { parseCsv } from '@/formats/sheets/csv';
import { suggestMapping } from '@/formats/sheets/columns';
import { RELEASE_COLUMNS } from '@/formats/sheets/releaseSheet';
import { faultOf } from '../support/fault';
import { openHouse, send, TODAY } from '../support/house';

const planImport = (db: Db, input: ImportInput, today: string) =>
  planSheet(db, 'releases', input, today);

const HEADER = 'release,roast_date,batch,share,country,process,colour_ground,sample_g';

function inputOf(rows: readonly string[], header = HEADER) {
  const csv = [header, ...rows].join('\n');
  return {
    csv,
    mapping: suggestMapping(RELEASE_COLUMNS, parseCsv(csv).columns),
    units: {},
    dateOrder: 'ymd' as const,
  };
}

describe('an import', () => {
  it('makes releases one can go on with: rest, facts and sample as if entered by hand', () => {
    const { db } = openHouse();
    send(
      db,
      'importReleases',
      inputOf([
        'Bay Blend,2026-05-10,B1,75,Brazil,Natural,"72,5",900',
        'Bay Blend,2026-05-10,B1,25,India,Washed,"72,5",900',
      ]),
    );
    const found = findReleaseNamed(db, 'bay blend')!;
    const view = readRelease(db, findHouse(db)!, found.id, { today: TODAY })!;
    expect(view.release.components.map(({ sharePct }) => sharePct)).toEqual([75, 25]);
    expect(view.batch).toMatchObject({ label: 'B1', leftG: 900, roast: { level: 0.5 } });
    expect(view.batch.rest.restDays).toBe(10);
  });

  it('takes nothing when one row of many is wrong', () => {
    const { db } = openHouse();
    const rows = Array.from({ length: 40 }, (_, i) => `Lot ${i},2026-05-01,,,Peru,Washed,,`);
    rows[25] = 'Lot 25,2026-05-01,,,Peru,Washd,,';
    const fault = faultOf(() => send(db, 'importReleases', inputOf(rows)));
    expect(fault.message).toMatch(/^Row 27, process: “Washd” is not known here/);
    expect(listReleaseNames(db)).toHaveLength(1);
  });

  it('gives a release that is here the batches it lacks, and leaves its facts alone', () => {
    const { db, releaseId } = openHouse();
    const rows = [
      'dembi ridge,2026-05-08,,,Nowhere,Natural,,',
      'Dembi Ridge,2026-05-18,Second,,Nowhere,Natural,,500',
    ];
    // Two sets of facts under one name would be two components: the sheet says one.
    const input = inputOf(rows);
    expect(planImport(db, input, TODAY)).toMatchObject({
      rows: 2,
      faults: [],
      news: '0 new releases, 1 new batch',
      known: 1,
    });
    send(db, 'importReleases', input);
    const view = readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!;
    expect(view.batches.map(({ label }) => label)).toEqual(['Second', '']);
    expect(view.release.components[0]!.country).toBe('Ethiopia');
    expect(planImport(db, input, TODAY)).toMatchObject({
      news: '0 new releases, 0 new batches',
      known: 2,
    });
  });

  it('is refused without a column for name or day, and for a column the file has not', () => {
    const { db } = openHouse();
    const input = inputOf(['x,2026-05-01,,,,,,']);
    const { name: _name, ...nameless } = input.mapping;
    expect(faultOf(() => planImport(db, { ...input, mapping: nameless }, TODAY)).message).toMatch(
      /No column is chosen for name of the release/,
    );
    const wrong = { ...input.mapping, country: 'land' };
    expect(faultOf(() => planImport(db, { ...input, mapping: wrong }, TODAY)).faults[0]).toEqual({
      field: 'mapping.country',
      message: 'The file has no column “land”. Choose one it has.',
    });
  });

  it('stored twice under one id counts once', () => {
    const { db } = openHouse();
    const input = inputOf(['Lot 1,2026-05-01,,,Peru,Washed,,']);
    const id = 'the-same-import-twice';
    expect(send(db, 'importReleases', input, id)).toEqual(send(db, 'importReleases', input, id));
    expect(listReleaseNames(db)).toHaveLength(2);
  });

  it('never throws anything but words, whatever the cells say', () => {
    const { db } = openHouse();
    const cell = fc.oneof(
      fc.constantFrom('', '100', '2026-05-01', 'Washed', '-1', '"a, b"', '1e9', 'NaN', '٣'),
      fc.string({ maxLength: 8 }).map((text) => text.replace(/[\r\n",]/g, '')),
    );
    const row = fc.array(cell, { minLength: 1, maxLength: 9 }).map((cells) => cells.join(','));
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 6 }), (rows) => {
        const before = listReleaseNames(db).length;
        const input = { ...inputOf(['x,2026-05-01,,,,,,']), csv: [HEADER, ...rows].join('\n') };
        try {
          const plan = planImport(db, input, TODAY);
          for (const { row: at, message } of plan.faults) {
            expect(at).toBeGreaterThanOrEqual(2);
            expect(message.length).toBeGreaterThan(10);
          }
          if (plan.faults.length === 0)
            expect(plan.news !== '0 new releases, 0 new batches' || plan.known > 0).toBe(true);
        } catch (error) {
          expect(error).toHaveProperty('faults');
        }
        expect(listReleaseNames(db)).toHaveLength(before);
      }),
      { numRuns: 400 },
    );
  });
});
