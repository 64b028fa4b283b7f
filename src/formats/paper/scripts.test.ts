import { existsSync } from 'node:fs';
import { faceFor, facesIn, pageFile, paperFile, runsOf, scriptFamilyOf } from './scripts';

describe('scripts beyond Latin', () => {
  it.each([
    ['Łódź – ½ °C → “x” · CaCO₃', []],
    ['Сидамо', ['noto-sans']],
    ['Ζάκυνθος', ['noto-sans']],
    ['कॉफ़ी', ['noto-sans']],
    ['ሲዳማ', ['noto-sans-ethiopic']],
    ['صنعاء', ['noto-sans-arabic']],
    ['埼玉', ['noto-sans-jp']],
    ['서울', ['noto-sans-kr']],
  ] as const)('%s is written by %j', (text, families) => {
    const found = new Set(facesIn(text, 400).map(({ family }) => family));
    expect([...found]).toEqual(families);
  });

  it('every face has its file, for page and for paper, in both weights', () => {
    for (const weight of [400, 600] as const)
      for (const face of facesIn('Сидамо ሲዳማ صنعاء 埼玉 서울 咖啡', weight)) {
        expect([face.file, existsSync(pageFile(face))]).toEqual([face.file, true]);
        expect([face.file, existsSync(paperFile(face))]).toEqual([face.file, true]);
        expect(scriptFamilyOf(face.file)).toBe(face.family);
      }
  });

  it('a text is parted where its font changes, and is whole when put together', () => {
    const text = 'Dembi ሲዳማ, 埼玉 2026';
    const runs = runsOf(text, 400);
    expect(runs.map(({ text: part }) => part).join('')).toBe(text);
    expect(runs.map(({ face }) => face?.family ?? 'own')).toEqual([
      'own',
      'noto-sans-ethiopic',
      'own',
      // The font is cut into many files: two signs may lie in two of them.
      'noto-sans-jp',
      'noto-sans-jp',
      'own',
    ]);
    expect(faceFor('a', 400)).toBeNull();
  });
});
