import fc from 'fast-check';
import { inWords } from '@/words/faults';
import { characterCount, textFault } from './text';

it.each([
  ['plain words', 'räisin', null],
  ['two lines', 'one\ntwo', null],
  ['a bell', 'a\u0007b', /cannot be seen/],
  ['a turned direction', 'abc\u202Edef', /turn the direction/],
  ['half a sign', 'a\uD83D', /cannot be seen/],
  ['nothing to see', '\u200B\u200B', /shows nothing/],
  ['too many', 'x'.repeat(11), /has 11 characters; it takes 10/],
])('%s', (_name, text, words) => {
  const fault = textFault(text, 'Remark', 10);
  if (words === null) expect(fault).toBeNull();
  else expect(inWords(fault!)).toMatch(words);
});

it('counts as a person counts: an accent is no character, nor is a part of a sign', () => {
  expect(characterCount('e\u0301te\u0301')).toBe(3);
  expect(characterCount('👩‍👩‍👧')).toBe(1);
  const parts = inWords(textFault('👩‍👩‍👧'.repeat(3), 'Remark', 10)!);
  expect(parts).toMatch(/made of many parts, 15 in all/);
});

it('lets no text through that the store would refuse', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 30 }), (text) => {
      if (textFault(text, 'Remark', 12) === null) expect([...text].length).toBeLessThanOrEqual(12);
    }),
  );
});
