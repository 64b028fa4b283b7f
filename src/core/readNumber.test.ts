import { inWords } from '@/words/faults';
import { quantityFault } from './limits';
import { readNumber } from './readNumber';

describe('a typed figure', () => {
  it.each<[string, number | string | undefined]>([
    ['36.5', 36.5],
    ['36,5', 36.5],
    [' 36,5 ', 36.5],
    ['1 850', 1850],
    ['1850', 1850],
    ['1.850', 1.85],
    ['0,635', 0.635],
    ['1,850.5', 1850.5],
    ['1.850,5', 1850.5],
    ['12,345,678', 12345678],
    ["1'850", 1850],
    ['-1,5', -1.5],
    ['', undefined],
    ['hot', 'hot'],
    ['1,850', '1,850'],
    ['18,000', '18,000'],
  ])('%j is read as %j', (text, value) => {
    expect(readNumber(text)).toBe(value);
  });

  it('that may be two is never guessed: both are named', () => {
    expect(inWords(quantityFault('altitudeM', readNumber('1,850'))!)).toMatch(
      /“1,850” may mean 1850 or 1\.850\. Write one of them/,
    );
  });
});
