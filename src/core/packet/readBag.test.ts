import fc from 'fast-check';
import { readAltitudes } from './altitudes';
import { readDay } from './days';
import { readPacket } from './readBag';

const factsOf = (text: string) =>
  Object.fromEntries(readPacket(text).facts.map(({ field, value }) => [field, value]));

it('reads a bag that names its facts', () => {
  const text = [
    'DEMBI RIDGE',
    'Country: Ethiopia',
    'Region: Guji',
    'Washing station: Dembi Ridge',
    'Variety: Kurume, 74110',
    'Process: Anaerobic natural',
    'Altitude: 1,950–2,150 masl',
    'Harvest: November 2025 to January 2026',
    'Lot: DR-14',
    'Cup score: 88.5',
    'Tasting notes: bergamot, apricot & black tea',
    'Roasted on: 12 May 2026',
    'Best enjoyed with friends.',
  ].join('\n');
  expect(factsOf(text)).toEqual({
    name: 'DEMBI RIDGE',
    country: 'Ethiopia',
    region: 'Guji',
    producer: 'Dembi Ridge',
    variety: 'Kurume, 74110',
    varietyClass: 'landrace',
    process: 'anaerobicNatural',
    altitudeM: 1950,
    altitudeToM: 2150,
    harvest: 'November 2025 to January 2026',
    lot: 'DR-14',
    cupScore: 88.5,
    promisedNotes: ['bergamot', 'apricot', 'black tea'],
    roastDate: '2026-05-12',
  });
  expect(readPacket(text).left).toBe('Best enjoyed with friends.');
});

it('reads a paragraph, and shows the words of each fact where they stand', () => {
  const text =
    'This fully washed Red Bourbon grows in Rwanda at 1.800 - 2.000 m above the lake. It tastes of red apple, brown sugar and lime. A light roast, organic, crop 2025/26.';
  const { facts, left } = readPacket(text);
  expect(factsOf(text)).toEqual({
    process: 'washed',
    variety: 'Red Bourbon',
    varietyClass: 'ordinary',
    country: 'Rwanda',
    altitudeM: 1800,
    altitudeToM: 2000,
    promisedNotes: ['red apple', 'brown sugar', 'lime'],
    roastLevel: -1,
    harvest: '2025/26',
    certification: 'Organic',
  });
  for (const { words, at } of facts) expect(text.slice(at, at + words.length)).toBe(words);
  expect(left).toMatch(/^This grows in at above the lake/);
});

it.each([
  ['a cup that is naturally sweet is no natural', 'A natural sweetness of honey.', {}],
  [
    'a process beside bars',
    'Kenya | SL28, SL34 | washed',
    { country: 'Kenya', variety: 'SL28, SL34', varietyClass: 'ordinary', process: 'washed' },
  ],
  [
    'a region before its country',
    'Huila, Colombia\nHoney process',
    { region: 'Huila', country: 'Colombia', process: 'honey' },
  ],
  [
    'a blend by its shares',
    '60 % Brazil, 40 % Ethiopia',
    {
      'components.0.sharePct': 60,
      'components.0.country': 'Brazil',
      'components.1.sharePct': 40,
      'components.1.country': 'Ethiopia',
    },
  ],
  ['shares that make no whole', '60 % Brazil, 30 % Ethiopia', { country: 'Brazil' }],
  ['feet', 'Elevation: 6,200 ft', { altitudeM: 1890 }],
  ['a mass is no altitude', 'Net weight 250 g', {}],
  [
    'varieties of two classes are of none',
    'Variety: Pacamara, Bourbon',
    { variety: 'Pacamara, Bourbon' },
  ],
  [
    'what is added',
    'Co-fermented with passion fruit. Contains natural flavouring, may contain traces of nuts.',
    { process: 'infused', contains: 'natural flavouring, may contain traces of nuts' },
  ],
  [
    'a day and a roast in one line',
    'Roasted on: 12 May 2026, light roast',
    { roastDate: '2026-05-12', roastLevel: -1 },
  ],
  ['medium-dark before dark', 'Roast: medium-dark', { roastLevel: 0.5 }],
  ['nothing', 'Enjoy!', {}],
])('%s', (_name, text, wanted) => {
  expect(factsOf(text)).toEqual(wanted);
});

it.each([
  ['2026-05-12', '2026-05-12'],
  ['12.05.2026', '2026-05-12'],
  ['05/13/2026', '2026-05-13'],
  ['May 3rd, 2026', '2026-05-03'],
  ['3. Mai 2026', null],
  ['31.02.2026', null],
  ['soon', null],
])('the day of "%s" is %s', (text, day) => {
  expect(readDay(text)).toBe(day);
});

it('reads altitudes whichever end stands first, and refuses what no hill has', () => {
  expect(readAltitudes('2100 to 1900 masl', false)).toEqual([1900, 2100]);
  expect(readAltitudes('1.950 m', false)).toEqual([1950]);
  expect(readAltitudes('12 m', true)).toBeNull();
  expect(readAltitudes('1950', false)).toBeNull();
});

it('never throws, and every fact is of words that stand in the text', () => {
  const piece = fc.oneof(
    fc.constantFrom(
      'Ethiopia',
      'washed',
      '1,900 masl',
      'Process:',
      'Lot: 12',
      '60 %',
      '\n',
      ' | ',
      'notes of',
      'Gesha',
    ),
    fc.string({ maxLength: 12 }),
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
      const text = pieces.join(' ').replace(/\r/g, '');
      const { facts, left } = readPacket(text);
      for (const { words, at } of facts) expect(text.slice(at, at + words.length)).toBe(words);
      expect(left.length).toBeLessThanOrEqual(text.length);
    }),
  );
});

it('reads several facts of one line, each with its own words', () => {
  const text = [
    'Sierra Clara',
    'Colombia, Huila, Finca Sierra Clara',
    'Pink Bourbon, anaerobic natural, 1,750-1,900 masl',
    'Harvested May to July 2026, lot 42, organic, cup score 87.5',
    'Notes: strawberry, rose, cocoa nib. Roasted 20 Nov 2026',
    'Rested in cherry for four days.',
  ].join('\n');
  expect(factsOf(text)).toMatchObject({
    name: 'Sierra Clara',
    country: 'Colombia',
    region: 'Huila',
    producer: 'Finca Sierra Clara',
    harvest: 'May to July 2026',
    lot: '42',
    certification: 'Organic',
    cupScore: 87.5,
    promisedNotes: ['strawberry', 'rose', 'cocoa nib'],
    roastDate: '2026-11-20',
  });
  expect(readPacket(text).left).toBe('Rested in cherry for four days.');
});
