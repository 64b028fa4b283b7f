import { addDays } from '../rest/day';
import { restOn } from '../rest/rest';
import { say } from '@/words/say';
import { dueOf, whenOf, type Standing } from './due';

const TODAY = '2026-05-20';

/** A medium roast so many days old: opens at 6, best 8-21, fades at 35. */
function standing(daysOld: number, changes: Partial<Standing> = {}): Standing {
  const roastDate = addDays(TODAY, -daysOld);
  return {
    today: TODAY,
    roastDate,
    roastsAhead: [],
    rest: restOn({ roastDate, roastLevel: 0, school: 'byRoast', frozen: [], on: TODAY }),
    bench: null,
    isPublic: false,
    newerBatchOf: null,
    toCarry: null,
    leftG: null,
    checksAhead: [],
    checksAsked: [],
    heldCard: null,
    gramsPerCheck: 40,
    ...changes,
  };
}

const BENCH = {
  shots: 4,
  isOnTarget: false,
  next: 'Finer, 12 → 11',
  tasters: 0,
  isPublished: false,
  isCarried: false,
} as const;
const onTarget = (tasters: number) => ({ ...BENCH, isOnTarget: true, tasters });
const words = (state: Standing) => dueOf(state).map(({ message }) => say(message));

describe('what a release asks for', () => {
  it('says first why a planned card did not go out', () => {
    const held = standing(8, { bench: onTarget(2), heldCard: 'The recipe on the bench changed.' });
    expect(words(held)[0]).toBe('The planned card was held back: The recipe on the bench changed.');
  });

  it('asks nothing of a batch whose age nobody knows, but that its date is put right', () => {
    const roastDate = addDays(TODAY, 1);
    for (const bench of [null, BENCH])
      expect(words(standing(8, { roastDate, roastsAhead: [roastDate], bench }))).toEqual([
        'Roast date 21 May 2026 lies ahead of today: correct it, or the date of this machine.',
      ]);
  });

  it.each([
    [0, 'Fresh from the roaster: read it. Opens in 6 days.'],
    [3, 'Opens in 3 days: propose a starting recipe.'],
    [5, 'Opens tomorrow: have a starting recipe ready.'],
    [6, 'Open from today, no recipe yet: propose one.'],
    [7, 'Open since yesterday, no recipe yet: propose one.'],
    [8, 'Best from today, no recipe yet: propose one.'],
    [11, 'At its best for 3 days, no recipe yet: propose one.'],
    [30, 'Past its best without a recipe: take it away, or read what is left.'],
  ])('without a recipe, %d days old: %s', (daysOld, said) => {
    expect(words(standing(daysOld))).toEqual([said]);
  });

  it('says the next move of a dial-in under way', () => {
    expect(words(standing(9, { bench: BENCH }))).toEqual([
      '4 shots, not on target. Next: finer, 12 → 11.',
    ]);
    expect(words(standing(9, { bench: { ...BENCH, shots: 0 } }))).toEqual([
      'Recipe on the bench: pull the first shot.',
    ]);
  });

  it('waits for a coffee that is too fresh, and speaks the day before', () => {
    expect(words(standing(3, { bench: BENCH }))).toEqual([]);
    expect(words(standing(5, { bench: BENCH }))).toEqual([
      'Opens tomorrow: the recipe is on the bench.',
    ]);
  });

  it.each([
    [0, 'Best from today, on target, not yet tasted.'],
    [1, 'On target, not published: needs a second taster.'],
    [2, 'On target and tasted by two, not published.'],
  ])('on target, %d tasters: %s', (tasters, said) => {
    expect(words(standing(8, { bench: onTarget(tasters) }))).toEqual([said]);
  });

  it('is silent while the recipe on the bench is public and the coffee at its best', () => {
    const bench = { ...onTarget(2), isPublished: true };
    expect(words(standing(10, { bench, isPublic: true }))).toEqual([]);
  });

  it('warns before and after a public recipe outlives its batch', () => {
    const bench = { ...onTarget(2), isPublished: true };
    const at = (daysOld: number) => words(standing(daysOld, { bench, isPublic: true }));
    expect(at(20)).toEqual([
      'Best days end tomorrow, recipe is public: check that it still holds.',
    ]);
    expect(at(22)).toEqual([
      'Batch fading for one day, recipe still public: check it or withdraw it.',
    ]);
    expect(at(36)).toEqual(['Batch faded, recipe still public: withdraw or revise it.']);
  });

  it('counts the sample against the checks that are planned', () => {
    const planned = { checksAhead: ['2026-05-22', '2026-06-02'] };
    const bench = { ...onTarget(2), isPublished: true };
    const at = (leftG: number) => words(standing(10, { bench, leftG, ...planned }));
    expect(at(30)).toEqual(['30 g of sample left, two checks planned: they need 80 g.']);
    expect(at(-5)).toEqual(['0 g of sample left, two checks planned: they need 80 g.']);
    expect(at(80)).toEqual([]);
  });

  it('speaks of a check day only for a recipe that is public', () => {
    const bench = { ...onTarget(2), isPublished: true };
    const today = { checksAhead: [TODAY], bench };
    expect(words(standing(10, { ...today, isPublic: true }))[0]).toMatch(/check day.*is today/);
    expect(words(standing(10, today))).toEqual([]);
  });

  it('speaks of a check that was asked for until it is made, published or not, and once', () => {
    const bench = { ...onTarget(2), isPublished: true };
    const asked = { id: 'a', day: TODAY, why: 'two cafés run fast', roastDate: '2026-05-01' };
    const at = (more: Partial<Standing>) => words(standing(10, { bench, ...more }));
    const said = /batch of 1 May 2026 was asked for today: two cafés run fast/;
    expect(at({ checksAsked: [asked] })).toEqual([expect.stringMatching(said)]);
    expect(at({ checksAsked: [asked], checksAhead: [TODAY], isPublic: true })).toHaveLength(1);
    const late = { ...asked, day: addDays(TODAY, -3), why: '' };
    expect(at({ checksAsked: [late] })[0]).toMatch(/asked for 3 days ago: pull and taste it/);
  });

  it('puts the most urgent first', () => {
    const due = dueOf(standing(30, { isPublic: true, bench: { ...BENCH }, newerBatchOf: TODAY }));
    expect(due.map(({ urgency }) => urgency)).toEqual([3, 2, 2]);
    expect(due[0]!.stage).toBe('publish');
  });
});

it('says when in words', () => {
  expect([0, 1, -1, 4, -9].map((days) => say(whenOf(TODAY, addDays(TODAY, days))))).toEqual([
    'today',
    'tomorrow',
    'yesterday',
    'in 4 days',
    '9 days ago',
  ]);
});

describe('a new batch of a coffee that has a recipe', () => {
  it('offers the last recipe for a new batch before all else', () => {
    const toCarry = { restDays: 8, dialWords: '12 → 11.5' };
    const due = dueOf(
      standing(60, { isPublic: true, bench: { ...BENCH, isPublished: true }, toCarry }),
    );
    expect(due[0]).toMatchObject({ code: 'newBatch', stage: 'pull', urgency: 3 });
    expect(say(due[0]!.message)).toContain('dial 12 → 11.5');
    // What the old batch has become is answered by the new one.
    expect(due.map(({ code }) => code)).not.toContain('fadedPublic');
  });

  it('asks of a recipe that carried over for one cup, then to republish it', () => {
    const carried = { ...BENCH, isOnTarget: true, isCarried: true };
    const codes = (tasters: number) =>
      dueOf(standing(10, { isPublic: true, bench: { ...carried, tasters } })).map(
        ({ code }) => code,
      );
    expect(codes(0)).toEqual(['carriedTaste']);
    expect(codes(1)).toEqual(['republish']);
  });
});
