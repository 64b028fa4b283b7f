import { suggestMapping, suggestUnits } from './columns';
import { parseCsv, writeCsv } from './csv';
import { readRecipes, RECIPE_COLUMNS } from './recipeSheet';
import { runToEnd } from '@/core/runToEnd';
import type { ReadOptions } from './rows';
import { readShots, SHOT_SHEET_COLUMNS } from './shotSheet';
import { readTastings, TASTING_COLUMNS } from './tastingSheet';

function optionsFor(columns: Parameters<typeof suggestMapping>[0], csv: string) {
  const table = parseCsv(csv);
  const mapping = suggestMapping(columns, table.columns);
  const options: ReadOptions = {
    mapping,
    units: suggestUnits(columns, mapping, table),
    dateOrder: 'dmy',
    today: '2026-05-20',
    clock: 'pump',
    cremaGPerMl: 0.75,
    notationOf: (setup) => (setup === 'Lettered' ? { notation: 'letters', divisions: 8 } : {}),
  };
  return { table, options };
}

describe('units of columns', () => {
  const unitsOf = (csv: string) => optionsFor(RECIPE_COLUMNS, csv).options.units;

  it('are recognised by the words of a header', () => {
    expect(unitsOf('Coffee;Date;Dose (oz);Out g;Temp °F\nA;01.02.2026;0,63;36;200')).toEqual({
      doseG: 'oz',
      yieldG: 'g',
      temperatureC: 'F',
    });
  });

  it('are recognised by figures that can be nothing else, and taken as ours otherwise', () => {
    expect(unitsOf('coffee,date,dose,yield,temp\nA,01.02.2026,0.63,1.3,200')).toEqual({
      doseG: 'oz',
      yieldG: 'oz',
      temperatureC: 'F',
    });
    expect(unitsOf('coffee,date,dose,yield,temp\nA,01.02.2026,18,36,93')).toEqual({
      doseG: 'g',
      yieldG: 'g',
      temperatureC: 'C',
    });
  });
});

describe('a sheet of recipes', () => {
  const read = (csv: string) => {
    const { table, options } = optionsFor(RECIPE_COLUMNS, csv);
    return runToEnd(readRecipes(table, options));
  };

  it('is read with semicolons, decimal commas, ounces and °F', () => {
    const { entries, faults } = read(
      'Coffee;Decided;Dose oz;Yield oz;Temp F;Shot time;Grind\nMonte Claro;3.2.2024;0,635;1,34;199,4;28;11,5',
    );
    expect(faults).toEqual([]);
    expect(entries[0]).toMatchObject({
      row: 2,
      entry: {
        release: 'Monte Claro',
        decidedOn: '2024-02-03',
        doseG: 18,
        yieldG: 37.99,
        temperatureC: 93,
        timeS: [26, 30],
        clock: 'pump',
        dial: 11.5,
        style: 'classic',
      },
    });
  });

  it('takes a ratio for a yield, a written window, and a style by its name', () => {
    const { entries } = read(
      'release,date,dose,ratio,temp,time,style\nA,01/02/2024,18,1:2.5,93,25-31,Soak first',
    );
    expect(entries[0]!.entry).toMatchObject({ yieldG: 45, timeS: [25, 31], style: 'soakFirst' });
  });

  it('names row, column and remedy of each fault', () => {
    const { entries, faults } = read(
      'release,date,dose,yield,temp,time,clock\n,01/02/2024,18,36,93,28,\nA,31/02/2024,180,36,,28,moon',
    );
    expect(entries).toEqual([]);
    expect(faults.map(({ row, column }) => `${row} ${column}`)).toEqual([
      '2 release',
      '3 date',
      '3 dose',
      '3 temp',
      '3 clock',
    ]);
    expect(faults[2]!.message).toMatch(/outside 3-40 g/);
  });
});

describe('a sheet of shots', () => {
  it('reads signs, yes and no, hours, and who pulled', () => {
    const { table, options } = optionsFor(
      SHOT_SHEET_COLUMNS,
      'coffee,date,hour,grind,in,out,time,first drip,purged,seen,tds,barista\nA,20/04/2026,9:05,12,18.1,36.4,27.9,6.2,x,"spurts; Holes in the puck",9.4,Tobin',
    );
    const { entries, faults } = runToEnd(readShots(table, options));
    expect(faults).toEqual([]);
    expect(entries[0]!.entry).toMatchObject({
      pulledOn: '2026-04-20',
      pulledAt: '9:05',
      purged: true,
      seen: ['spurt', 'holes'],
      tdsPct: 9.4,
      person: 'Tobin',
    });
  });

  it('reads dials as their grinder writes them, and says how where it cannot', () => {
    const rows = (dial: string) =>
      `coffee,date,setup,grind,in,out,time,temp\nA,20/04/2026,Lettered,${dial},18,36,28,93`;
    const read = (dial: string) => {
      const { table, options } = optionsFor(SHOT_SHEET_COLUMNS, rows(dial));
      return runToEnd(readShots(table, options));
    };
    expect(read('9 c').entries[0]!.entry.dial).toBe(74);
    expect(read('9 K').faults).toMatchObject([
      { row: 2, column: 'grind', message: expect.stringMatching(/“9 K”.*A to H/) as string },
    ]);
  });

  it('takes a volume for a mass, but never one without a unit', () => {
    const read = (header: string, figure: string) => {
      const { table, options } = optionsFor(
        SHOT_SHEET_COLUMNS,
        `coffee,date,grind,in,${header},time,temp\nA,20/04/2026,9,18,${figure},28,93`,
      );
      return runToEnd(readShots(table, options));
    };
    const weighed = ({ entries }: ReturnType<typeof read>) => entries[0]!.entry;
    expect(weighed(read('yield ml', '48'))).toMatchObject({ yieldMl: 48, yieldG: 36 });
    expect(weighed(read('volume', '48 ml'))).toMatchObject({ yieldMl: 48, yieldG: 36 });
    expect(weighed(read('volume fl oz', '1.6')).yieldMl).toBeCloseTo(47.3, 1);
    expect(read('volume', '48').faults).toContainEqual({
      row: 2,
      column: 'volume',
      message: expect.stringMatching(/without a unit.*ml or fl oz/) as string,
    });
  });

  it('refuses what no bench produces', () => {
    const { table, options } = optionsFor(
      SHOT_SHEET_COLUMNS,
      'coffee,date,grind,in,out,time,first drip,purged\nA,20/04/2026,12,18,36,28,40,perhaps',
    );
    const { faults } = runToEnd(readShots(table, options));
    expect(faults.map(({ column }) => column).sort()).toEqual(['purged']);
    const again = parseCsv('coffee,date,grind,in,out,time,first drip\nA,20/04/2026,12,18,36,28,40');
    expect(runToEnd(readShots(again, options)).faults[0]!.message).toMatch(/first drip/i);
  });
});

describe('a sheet of tastings', () => {
  it('reads scales, found notes and signs, and refuses an empty cup', () => {
    const { table, options } = optionsFor(
      TASTING_COLUMNS,
      'coffee,tasted on,taster,sourness,sweetness,score,notes found,defects,served\nA,20/04/2026,Ines,2,7,8,"cocoa, raisin",papery,In milk\nA,20/04/2026,Ines,,,,,,',
    );
    const { entries, faults } = runToEnd(readTastings(table, options));
    expect(entries[0]!.entry).toMatchObject({
      scales: { sharpness: 2, sweetness: 7, liking: 8, signs: ['papery'] },
      notesFound: ['cocoa', 'raisin'],
      serving: 'milk',
      moment: 'warm',
    });
    expect(faults).toMatchObject([{ row: 3, column: 'score' }]);
    expect(faults[0]!.message).toMatch(/Nothing was judged/);
  });
});

describe('writing', () => {
  it('quotes what needs it, marks UTF-8, and lets no cell act as a formula', () => {
    const text = writeCsv([
      ['a', 'b'],
      ['x, "y"', -2],
      ['=1+1', '-ä'],
    ]);
    expect(text).toBe('\uFEFFa,b\r\n"x, ""y""",-2\r\n"\'=1+1","\'-ä"\r\n');
    expect(parseCsv(text).rows).toEqual([
      ['x, "y"', '-2'],
      ['=1+1', '-ä'],
    ]);
  });
});
