import fc from 'fast-check';
import { inWords } from '@/words/faults';
import { DIVISIONS, dialFault, dialWords, readDial, type Notation } from './notation';

const LETTERS: Notation = { notation: 'letters', divisions: 8 };
const MARKS: Notation = { notation: 'marks', divisions: 12 };
const TURNS: Notation = { notation: 'turns' };

describe('a dial in its own notation', () => {
  it.each<[Notation, number, string]>([
    [{}, 9.5, '9.5'],
    [TURNS, 1.5, '1.5 turns'],
    [TURNS, 1, '1 turn'],
    [LETTERS, 74, '9 C'],
    [LETTERS, 74.4, '9 C'],
    [LETTERS, 0, '0 A'],
    [LETTERS, -1, '-1 H'],
    [MARKS, 18, '1 turn 6'],
    [MARKS, 24, '2 turns 0'],
  ])('%j %f is shown as %s', (grinder, dial, words) => {
    expect(dialWords(grinder, dial)).toBe(words);
  });

  it.each<[Notation, string, number]>([
    [{}, '9,5', 9.5],
    [TURNS, '1.5', 1.5],
    [TURNS, '1,5 turns', 1.5],
    [TURNS, '1 t', 1],
    [LETTERS, '9c', 74],
    [LETTERS, ' 9 C ', 74],
    [MARKS, '1 turn 6', 18],
    [MARKS, '1+6', 18],
    [MARKS, '1 6', 18],
    [MARKS, '2', 24],
  ])('%j reads %s', (grinder, text, dial) => {
    expect(readDial(grinder, text)).toBe(dial);
  });

  it.each<[Notation, string, RegExp]>([
    [LETTERS, '9 K', /“9 K”.*A to H.*9 A/],
    [LETTERS, '9', /number and letter/],
    [LETTERS, '9.5', /number and letter/],
    [MARKS, '1 turn 12', /12 marks.*1 turn 11/],
    [TURNS, 'one turn', /1\.5 turns/],
    [{}, '9 C', /9 or 9\.5/],
  ])('%j refuses %s with the remedy', (grinder, text, words) => {
    expect(readDial(grinder, text)).toBe(text);
    expect(inWords(dialFault(grinder, text)!)).toMatch(words);
  });

  it('is missing, not wrong, when nothing is typed', () => {
    expect(readDial(LETTERS, ' ')).toBeUndefined();
    expect(dialFault(LETTERS, '')).toBeNull();
  });

  it('reads back whatever it shows', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('letters' as const, 'marks' as const),
        fc.integer({ min: DIVISIONS.letters[0], max: DIVISIONS.letters[1] }),
        fc.integer({ min: 0, max: 1000 }),
        (notation, divisions, dial) => {
          const grinder = { notation, divisions };
          expect(readDial(grinder, dialWords(grinder, dial))).toBe(dial);
        },
      ),
    );
    fc.assert(
      fc.property(fc.integer({ min: -1000, max: 100_000 }), (hundredths) => {
        for (const grinder of [{}, TURNS])
          expect(readDial(grinder, dialWords(grinder, hundredths / 100))).toBe(hundredths / 100);
      }),
    );
  });
});
