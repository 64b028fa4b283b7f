import { readNumber } from '@/core/readNumber';
import { faultOf } from '../../../tests/support/fault';
import { csvDay, decodeCsv, guessDateOrder, parseCsv, sheetRow } from './csv';

const bytes = (text: string) => new TextEncoder().encode(text);
const wordsOf = (act: () => unknown) => faultOf(act).message;

describe('the bytes of a file', () => {
  it('are UTF-8, with or without a mark', () => {
    expect(parseCsv(decodeCsv(bytes('\uFEFFname;x\nSítio;1\n'))).columns).toEqual(['name', 'x']);
  });

  it('are refused in another encoding, with what to do', () => {
    const latin1 = new Uint8Array([...bytes('name\nS'), 0xed, ...bytes('tio\n')]);
    expect(wordsOf(() => decodeCsv(latin1))).toMatch(
      /not in UTF-8\..*Save it again as “CSV UTF-8”/,
    );
    const utf16 = new Uint8Array([0xff, 0xfe, 0x61, 0x00, 0x0a, 0x00]);
    expect(wordsOf(() => decodeCsv(utf16))).toMatch(/in UTF-16/);
  });

  it('are refused above 5 MB', () => {
    expect(wordsOf(() => decodeCsv(new Uint8Array(5_000_001)))).toMatch(/over 5 MB\. Split it/);
  });
});

describe('a table', () => {
  it('may be separated by commas, semicolons or tabs, with quoted cells', () => {
    for (const separator of [',', ';', '\t']) {
      const text = `a${separator}b\r\n"x${separator}""y"""${separator}2\r\n\r\n`;
      expect(parseCsv(text)).toMatchObject({
        columns: ['a', 'b'],
        rows: [[`x${separator}"y"`, '2']],
        delimiter: separator,
      });
    }
  });

  it.each([
    ['', /no rows under its header/],
    ['a,b\n', /no rows under its header/],
    ['a,a\n1,2\n', /Two columns are called “a”/],
    ['a,b\n"1,2\n', /Row 2: a quotation mark is opened and not closed/],
    [`a\n${'1\n'.repeat(50_000)}`, /50000 rows; 5000 are taken at once\. Split it/],
    [`${Array.from({ length: 61 }, (_, i) => `c${i}`).join()}\n1\n`, /61 columns; 60 are taken/],
  ])('is refused with words: %j', (text, words) => {
    expect(wordsOf(() => parseCsv(text))).toMatch(words);
  });

  it('counts rows as a spreadsheet does', () => {
    expect(sheetRow(0)).toBe(2);
  });
});

describe('cells', () => {
  it('read decimal commas and leave words alone', () => {
    expect(['1,5', ' 2.5 ', '1 200', '', 'heavy'].map(readNumber)).toEqual([
      1.5,
      2.5,
      1200,
      undefined,
      'heavy',
    ]);
  });

  it('read days in the order that was chosen', () => {
    expect(csvDay('3.11.2026', 'dmy')).toBe('2026-11-03');
    expect(csvDay('11/3/26', 'mdy')).toBe('2026-11-03');
    expect(csvDay('2026-11-03', 'ymd')).toBe('2026-11-03');
    expect(csvDay('last Tuesday', 'dmy')).toBe('last Tuesday');
  });

  it('guess the order from values that fit only one', () => {
    expect(guessDateOrder(['2026-01-02'])).toBe('ymd');
    expect(guessDateOrder(['03/25/2026'])).toBe('mdy');
    expect(guessDateOrder(['25.03.2026', '01.02.2026'])).toBe('dmy');
  });
});
