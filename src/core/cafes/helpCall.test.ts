import { helpCall } from './helpCall';

const COFFEES = [
  { id: 'a', name: 'Harbour Lamp' },
  { id: 'b', name: 'Cerro Norte' },
];
const asked = (words: string, checks: Parameters<typeof helpCall>[0]['checks'] = []) =>
  helpCall({ words, coffees: COFFEES, checks });

it.each([
  ['It runs sour since noon', 'sour'],
  ['Harbour Lamp ist so sauer', 'sour'],
  ['trop amer depuis hier', 'bitter'],
  ['thin and watery', 'weak'],
  ['Está muy ácido', 'sour'],
  ['Nothing within reach is a good source of Americano', null],
])('%s: %s', (words, taste) => {
  expect(asked(words).taste).toBe(taste);
});

it('is about the coffee that is named, or the one cup of the sheet that tastes so, or none', () => {
  expect(asked('harbour lamp chokes').coffee).toBe('a');
  expect(asked('the single runs sour').coffee).toBeNull();
  expect(
    asked('Harbour Lamp and Cerro Norte run sour', [{ releaseId: 'a', taste: 'sour' }]).coffee,
  ).toBeNull();
  expect(
    asked('it is sour', [
      { releaseId: 'b', taste: 'sour' },
      { releaseId: 'a', taste: 'weak' },
    ]).coffee,
  ).toBe('b');
});
