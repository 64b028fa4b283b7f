import fc from 'fast-check';
import { z } from 'zod';
import { wordedFaults } from '@/words/faults';
import { UserFault } from '../errors';
import { LIMITS, rangeWords, type LimitName } from '../limits';
import { day, oneOf, optionalText, parse, quantity, text } from './fields';
import { grinderSchema, setupSchema } from './setup';
import { recipeSchema } from './recipe';
import { releaseFactsSchema } from './release';
import { shotSchema } from './shot';

const NAMES = Object.keys(LIMITS) as LimitName[];

function faults(schema: z.ZodType, input: unknown) {
  try {
    parse(schema, input);
  } catch (error) {
    if (error instanceof UserFault) return wordedFaults(error.faults);
    throw error;
  }
  return [];
}

describe('a measured quantity', () => {
  it('takes exactly its range, and its fault names label, value, range and remedy', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NAMES),
        fc.double({ min: -2000, max: 20_000, noNaN: true }),
        (name, value) => {
          const { min, max, label } = LIMITS[name];
          const found = faults(quantity(name), value);
          if (value >= min && value <= max) expect(found).toEqual([]);
          else {
            expect(found[0]!.message).toContain(label);
            expect(found[0]!.message).toContain(String(value));
            expect(found[0]!.message).toContain(`Enter ${rangeWords(name)}`);
          }
        },
      ),
    );
  });

  it.each([
    [undefined, /Dose is missing\. Enter 3-40 g/],
    ['18 g', /not a number \(came: "18 g"\)/],
    [NaN, /not a number/],
    [Infinity, /not a number|outside 3-40 g/],
    [null, /not a number \(came: null\)/],
  ])('refuses %p', (value, words) => {
    expect(faults(quantity('doseG'), value)[0]!.message).toMatch(words);
  });

  it('writes a range that goes below zero with a word', () => {
    expect(rangeWords('roastLevel')).toBe('-2 to 2');
    expect(rangeWords('temperatureC')).toBe('60-100 °C');
  });
});

describe('words and days', () => {
  it('trims a text, and says when it is empty or too long', () => {
    expect(parse(text('Name', 'name'), '  Lume  ')).toBe('Lume');
    expect(faults(text('Name', 'name'), '   ')[0]!.message).toMatch(/Name is empty\. Enter 1-80/);
    expect(faults(optionalText('Remark', 'remark'), 'x'.repeat(501))[0]!.message).toMatch(
      /501 characters; it takes 500\. Shorten it/,
    );
  });

  it('lists the words it takes', () => {
    expect(faults(oneOf('Moment', ['hot', 'warm']), 'tepid')[0]!.message).toBe(
      'Moment (came: "tepid") is not one of hot, warm. Choose one of these.',
    );
  });

  it.each(['2026-02-30', '30/02/2026', '', 'today'])('refuses %p as a day', (value) => {
    expect(faults(day('Roast date'), value)[0]!.message).toMatch(
      /not a calendar day\. Enter day, month and year/,
    );
  });
});

describe('whole inputs', () => {
  it('names every unknown key by its path', () => {
    const schema = z.strictObject({ shot: z.strictObject({ doseG: quantity('doseG') }) });
    const found = faults(schema, { shot: { doseG: 18, cup: 1 }, extra: true });
    expect(found.map(({ field }) => field).sort()).toEqual(['extra', 'shot.cup']);
  });

  it('says what kind of thing is missing', () => {
    expect(faults(z.strictObject({ shots: z.array(z.number()) }), {})[0]!.message).toMatch(
      /"shots" must be array.*missing/,
    );
  });

  it('lists all faults at once', () => {
    const found = faults(shotSchema, {
      dial: 11,
      doseG: 2,
      yieldG: 300,
      timeS: 0,
      clock: 'sun',
      purged: 'yes',
      seen: [],
    });
    expect(found.map(({ field }) => field)).toEqual([
      'doseG',
      'yieldG',
      'timeS',
      'clock',
      'purged',
    ]);
  });

  it('holds a recipe together: ratio, window and rest span', () => {
    const recipe = {
      doseG: 18,
      yieldG: 36,
      ratio: 2,
      temperatureC: 93,
      timeS: [26, 30],
      clock: 'pump',
      restDays: [8, 21],
    };
    expect(faults(recipeSchema, recipe)).toEqual([]);
    expect(faults(recipeSchema, { ...recipe, ratio: 2.5 })[0]!.field).toBe('ratio');
    expect(faults(recipeSchema, { ...recipe, timeS: [30, 26] })[0]!.message).toMatch(
      /Time window ends before it begins/,
    );
    expect(faults(recipeSchema, { ...recipe, restDays: [21, 8] })[0]!.message).toMatch(
      /Rest span ends before it begins/,
    );
    expect(faults(recipeSchema, { ...recipe, timeS: 28 })[0]!.message).toMatch(/\[low, high\]/);
  });

  it('wants shares that make a whole', () => {
    const half = { sharePct: 50 };
    expect(faults(releaseFactsSchema, { components: [half, half] })).toEqual([]);
    expect(
      faults(releaseFactsSchema, { components: [half, { sharePct: 45 }] })[0]!.message,
    ).toMatch(/add up to 95 %.*100 %/);
  });

  it('wants a dial that goes somewhere, and takes a machine by its name', () => {
    const grinder = { stepSize: 1, finerIs: 'lower', min: 10, max: 10, retentionG: 1 };
    expect(faults(grinderSchema, grinder)[0]!.field).toBe('max');
    expect(parse(setupSchema, { machine: 'Lever' })).toEqual({ machine: { name: 'Lever' } });
  });
});
