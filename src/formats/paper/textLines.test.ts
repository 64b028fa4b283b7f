/** @jest-environment node */
import fc from 'fast-check';
import { linesOf, remembered } from './textLines';

/** Every character as wide as the next. */
const even = (text: string) => [...text].length;

it('breaks between words, after hyphens, and inside a word that is too long', () => {
  expect(linesOf('dark chocolate and almond', 14, even)).toEqual(['dark chocolate', 'and almond']);
  expect(linesOf('straight-walled', 10, even)).toEqual(['straight-', 'walled']);
  expect(linesOf('a WWWWWWWW b', 4, even)).toEqual(['a WW', 'WWWW', 'WW b']);
  expect(linesOf('one\ntwo', 10, even)).toEqual(['one', 'two']);
  expect(linesOf('', 10, even)).toEqual(['']);
});

it('loses no character and makes no line too wide, whatever the text', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), fc.integer({ min: 3, max: 40 }), (text, width) => {
      const lines = linesOf(text, width, even);
      const plain = (words: string) => words.replace(/\s/g, '');
      expect(plain(lines.join(''))).toBe(plain(text));
      for (const line of lines) expect(even(line)).toBeLessThanOrEqual(width);
    }),
  );
});

it('asks a font once for each word', () => {
  const ask = jest.fn(even);
  const widthOf = remembered(ask);
  for (let size = 0; size < 20; size++) linesOf('plum plum plum', 9, widthOf);
  expect(ask.mock.calls.length).toBeLessThanOrEqual(4);
});
