import { parseCsv, type DateOrder } from './csv';
import { suggestMapping as suggest } from './columns';
import { readReleases, RELEASE_COLUMNS } from './releaseSheet';
import { runToEnd } from '@/core/runToEnd';

const suggestMapping = (columns: readonly string[]) => suggest(RELEASE_COLUMNS, columns);

function read(csv: string, dateOrder: DateOrder = 'ymd') {
  const table = parseCsv(csv);
  const mapping = suggestMapping(table.columns);
  const options = {
    mapping,
    dateOrder,
    units: {},
    clock: 'pump',
    cremaGPerMl: 0.75,
    notationOf: () => ({}),
    today: '2026-05-20',
  } as const;
  return runToEnd(readReleases(table, options));
}

describe('a mapping', () => {
  it('is suggested from headers in any case and spelling, each column once', () => {
    expect(
      suggestMapping([
        'Coffee',
        'Roasted on',
        'Ground color',
        'Origin',
        'Country',
        'Elevation',
        '?',
      ]),
    ).toEqual({
      name: 'Coffee',
      roastDate: 'Roasted on',
      colourGround: 'Ground color',
      country: 'Origin',
      altitudeM: 'Elevation',
    });
  });
});

describe('rows', () => {
  it('of one name make one release with its components and batches', () => {
    const { releases, faults } = read(
      [
        'release,roast_date,batch,share,country,process,variety class,notes,roast',
        'Harbour,2026-05-01,A,70,Brazil,Natural,,"cocoa, nut",Medium-dark',
        'Harbour,2026-05-01,A,30,India,washed,Robusta,,Medium-dark',
        'harbour,2026-05-15,B,70,Brazil,Natural,,,0.5',
        'harbour,2026-05-15,B,30,India,washed,Robusta,,0.5',
        'Single,2026-05-02,,,Kenya,,,,',
      ].join('\n'),
    );
    expect(faults).toEqual([]);
    expect(releases).toHaveLength(2);
    const [blend, single] = releases;
    expect(blend!.release).toMatchObject({
      name: 'Harbour',
      promisedNotes: ['cocoa', 'nut'],
      serving: 'both',
      components: [
        { sharePct: 70, country: 'Brazil', process: 'natural' },
        { sharePct: 30, country: 'India', process: 'washed', varietyClass: 'robusta' },
      ],
    });
    expect(blend!.batches).toMatchObject([
      { label: 'A', roastDate: '2026-05-01', roastLevel: 0.5 },
      { label: 'B', roastDate: '2026-05-15', roastLevel: 0.5 },
    ]);
    expect(single!.release.components[0]!.sharePct).toBe(100);
  });

  it.each([
    ['shares that do not make 100', 'A,2026-05-01,60,x\nA,2026-05-01,30,y', 2, /add up to 90 %/],
    ['a share missing', 'A,2026-05-01,60,x\nA,2026-05-01,,y', 2, /Share is missing/],
    ['a future roast', 'A,2026-06-01,,x', 2, /in the future.*another order of day and month/],
    ['no name', 'B,2026-05-01,,x\n,2026-05-01,,y', 3, /Release is empty/],
    ['no day', 'A,soon,,x', 2, /not a calendar day/],
  ])('%s: the fault names row and column', (_name, rows, row, words) => {
    const { faults, releases } = read(`release,roast_date,share,country\n${rows}`);
    expect(faults).toHaveLength(1);
    expect(faults[0]).toMatchObject({ row, message: expect.stringMatching(words) });
    expect(releases.some(({ release }) => release.name === 'A')).toBe(false);
  });

  it('names words as people write them', () => {
    const { faults } = read('release,roast_date,process,roast\nA,2026-05-01,Natrual,Middling');
    expect(faults.map(({ column, message }) => [column, message])).toEqual([
      ['roast', expect.stringMatching(/“Middling” is not known here.*Medium-light/)],
      ['process', expect.stringMatching(/“Natrual” is not known here.*Carbonic maceration/)],
    ]);
  });
});
