import { asksCommas, guessCommas, settled } from './commas';
import { parseCsv } from './csv';

const table = (csv: string) => parseCsv(csv);

describe('commas in the figures of a file', () => {
  it.each([
    ['dose;altitude\n18,5;1,850', 'decimal'],
    ['dose,altitude\n18.5,"1,850"', undefined],
    ['dose,altitude\n"18,5","1,850"', 'decimal'],
    ['price,altitude\n"1,200.50","1,850"', 'thousands'],
    ['dose;altitude\n18;1,850', 'decimal'],
  ])('of %j mean %s', (csv, commas) => {
    expect(guessCommas(table(csv))).toBe(commas);
  });

  it('are asked about only where a figure may be two', () => {
    expect(asksCommas(table('dose,altitude\n18.5,"1,850"'))).toBe(true);
    expect(asksCommas(table('dose,altitude\n18.5,1850'))).toBe(false);
  });

  it('are settled as was said, and left alone where nobody said', () => {
    expect([settled('1,850', 'decimal'), settled('1,850', 'thousands')]).toEqual(['1.850', '1850']);
    expect([settled('1,850', undefined), settled('18,5', 'thousands')]).toEqual(['1,850', '18,5']);
  });
});
