/**
 * What an experienced lead would say of cups: a liked one wins, a thin one is not sour, a very sour one lies far. Written
 * from how the work is done, row by row.
 */
import { SEEN, SEEN_AS_NOTES, type Seen } from '@/core/vocabulary';
import { ask, check, GRINDER, liked, sour, type Row } from '../support/judged';

/** Loved, and as sharp as a bright coffee may be. */
const loved = { ...liked, liking: 9 };
const bright = { ...loved, sharpness: 5.5 };
const lemon = { sharpness: 9, bitterness: 1, sweetness: 2, liking: 1 };

const ROWS: Readonly<Record<string, Row>> = {
  // A liked cup wins.
  'on target, a light coffee, liked and sharper than its roast allows': {
    shots: [{ timeS: 28.3 }, { timeS: 27.8, taste: bright }],
    target: { roastLevel: -1 },
    status: 'approved',
    way: 'stay',
    or: /^Hotter: 93\.0 → 94\.0/,
  },
  'the same cup, less liked, moves': {
    shots: [{ timeS: 28.3 }, { timeS: 27.8, taste: { ...bright, liking: 7 } }],
    target: { roastLevel: -1 },
    status: 'taste',
    way: 'hotter',
  },
  'liked, and a little sharp for a medium roast': {
    shots: [{ timeS: 28.3 }, { timeS: 27.8, taste: { ...loved, sharpness: 4.2 } }],
    status: 'approved',
    or: /^Hotter/,
  },
  'liked, but far too sharp for a medium roast': {
    shots: [{ timeS: 28.3 }, { timeS: 27.8, taste: { ...loved, sharpness: 9 } }],
    status: 'taste',
    way: 'longer',
  },
  'liked, but bitter': {
    shots: [{ timeS: 28.3 }, { timeS: 27.8, taste: { ...loved, bitterness: 7 } }],
    status: 'taste',
    way: 'coarser',
  },
  'two at the edge of their window, both loved': {
    shots: [
      { timeS: 30, taste: loved },
      { timeS: 29.8, taste: loved },
    ],
    target: { timeS: [25, 30] },
    status: 'repeat',
    way: 'stay',
    why: ['wonHere'],
    or: /^Off the edge: coarser/,
  },
  'two at the edge, nobody tasted them': {
    shots: [{ timeS: 30 }, { timeS: 29.8 }],
    target: { timeS: [25, 30] },
    status: 'grind',
    way: 'coarser',
    why: ['edge'],
  },
  'liked once outside the window, where time comes first': {
    shots: [{ timeS: 22, taste: loved }],
    status: 'grind',
    way: 'finer',
    or: /move the window to 20-24 s/,
    window: [20, 24],
  },
  'liked twice outside the window, where time comes first': {
    shots: [
      { timeS: 22, taste: loved },
      { timeS: 23, taste: loved },
    ],
    status: 'taste',
    way: 'stay',
    why: ['likedOutside'],
    says: /keep it, and move the window to 21-25 s/,
    window: [21, 25],
  },
  'once too fast and once too slow at one dial, both liked, prove nothing together': {
    shots: [
      { timeS: 22, taste: loved },
      { timeS: 35, taste: loved },
    ],
    status: 'prep',
    way: 'stay',
    why: ['odd'],
  },
  'a liked cup cut early gives its yield too, the first time beside the next step': {
    shots: [{ timeS: 23, yieldG: 30, taste: loved }],
    status: 'measure',
    or: /keep it, at 30\.0 g in 21-25 s/,
    keptYieldG: 30,
    window: [21, 25],
  },
  'a liked cup cut early twice is the recipe': {
    shots: [
      { timeS: 23, yieldG: 30, taste: loved },
      { timeS: 24, yieldG: 30.6, taste: loved },
    ],
    status: 'taste',
    why: ['likedOutside'],
    says: /keep it, at 30\.5 g in 2\d-2\d s/,
    keptYieldG: 30.5,
  },
  'liked with a wrong dose keeps nothing': {
    shots: [
      { timeS: 22, doseG: 16.5, taste: loved },
      { timeS: 22, doseG: 16.5, taste: loved },
    ],
    status: 'measure',
    why: ['doseOff'],
    window: undefined,
  },
  // Thin is not sour.
  'thin and not sharp: shorter, never longer or hotter': {
    shots: [
      { timeS: 28, taste: { sharpness: 2, bitterness: 1, sweetness: 5, body: 1, liking: 5 } },
    ],
    status: 'taste',
    way: 'shorter',
    why: ['taste.weak'],
    says: /36\.0 → 33\.0 g/,
  },
  'thin and sharp is under': {
    shots: [
      { timeS: 28, taste: { sharpness: 7, bitterness: 1, sweetness: 3, body: 1, liking: 3 } },
    ],
    status: 'taste',
    way: 'longer',
    why: ['taste.under'],
  },
  'called weak, with a little edge': {
    shots: [{ timeS: 28, taste: { sharpness: 4.5, bitterness: 1, sweetness: 5, strength: -1 } }],
    status: 'taste',
    way: 'shorter',
    says: /36\.0 → 33\.0 g/,
  },
  'called very weak moves further': {
    shots: [{ timeS: 28, taste: { sharpness: 2, bitterness: 1, sweetness: 5, strength: -2 } }],
    status: 'taste',
    way: 'shorter',
    says: /36\.0 → 30\.5 g/,
  },
  'called too strong': {
    shots: [{ timeS: 28, taste: { sharpness: 2, bitterness: 1, sweetness: 5, strength: 2 } }],
    status: 'taste',
    way: 'longer',
    says: /36\.0 → 41\.5 g/,
  },
  // Very sour means far.
  'a very light coffee like lemon at 1:2, in time': {
    shots: [{ timeS: 28, taste: lemon }],
    target: { roastLevel: -2 },
    status: 'taste',
    way: 'longer',
    says: /1:2\.(5|6|7)/,
  },
  'the same sharpness, well liked on so light a coffee, stays': {
    shots: [{ timeS: 28.2 }, { timeS: 27.9, taste: { ...loved, sharpness: 9 } }],
    target: { roastLevel: -2 },
    status: 'approved',
  },
  'sour by half as much moves less': {
    shots: [{ timeS: 28, taste: { ...lemon, sharpness: 5.8 } }],
    target: { roastLevel: -2 },
    status: 'taste',
    way: 'finer',
  },
  'slow and sour on a light coffee: into the window first': {
    shots: [{ timeS: 38, taste: lemon }],
    target: { roastLevel: -1 },
    status: 'grind',
    way: 'coarser',
    why: ['tooSlow', 'slowAndSourLight'],
    says: /into the window first.*hotter or longer/,
  },
  'slow and sour on a medium coffee still contradict each other': {
    shots: [{ timeS: 38, taste: lemon }],
    status: 'prep',
    why: ['slowAndSour'],
  },
  // More than one lever.
  'a house that reaches for heat first, far under': {
    shots: [{ timeS: 28, taste: sour }],
    also: { levers: 'heatFirst' },
    status: 'taste',
    way: 'hotter',
    or: /^Longer: 36\.0 → 4\d/,
    says: /93\.0 → 95\.0 °C.*Two ways: hotter, and a little stronger; longer, and weaker/,
  },
  'a house that reaches for heat first, on a machine that sets none': {
    shots: [{ timeS: 28, taste: sour }],
    also: { levers: 'heatFirst', machine: { settableTemperature: false } },
    status: 'taste',
    way: 'longer',
    or: /^Grind finer/,
  },
  'a house that reaches for the ratio first, a little over': {
    shots: [{ timeS: 28, taste: { ...liked, liking: 6, bitterness: 5.2 } }],
    also: { levers: 'ratioFirst' },
    status: 'taste',
    way: 'shorter',
    or: /^Cooler: 93\.0 → 92\.0/,
  },
  'a house that reaches for the grind first, at the fine end of its dial': {
    shots: [{ dial: 0, timeS: 28, taste: sour }],
    target: { startDial: 0 },
    also: { levers: 'grindFirst' },
    status: 'taste',
    way: 'longer',
  },
  // A basket has a limit.
  'slow, and the screen marks the puck: less coffee before coarser': {
    shots: [{ timeS: 38, seen: ['screenPrint'] }],
    status: 'dose',
    way: 'less dose',
    why: ['basketFull', 'tooSlow'],
    says: /18\.0 → 17\.5 g.*The screen marks the puck/,
  },
  'slow with 20 g in a basket made for 18 g': {
    shots: [{ timeS: 38 }],
    target: { doseG: 20, yieldG: 40 },
    also: { basket: { ratedG: 18 } },
    status: 'dose',
    way: 'less dose',
    why: ['basketFull'],
    says: /20\.0 → 18\.0 g/,
  },
  'choked with 20 g in a basket made for 18 g: the pressure is said first': {
    shots: [{ yieldG: 0.5, timeS: 30 }],
    target: { doseG: 20, yieldG: 40 },
    also: { basket: { ratedG: 18 } },
    status: 'dose',
    way: 'less dose',
    why: ['choked', 'basketFull'],
    says: /vent before you loosen.*less coffee first/,
  },
  'fast, and the screen marks the puck: finer, as always': {
    shots: [{ timeS: 20, seen: ['screenPrint'] }],
    status: 'grind',
    way: 'finer',
  },
  'fast, and a soupy puck: no fault of the basket': {
    shots: [{ timeS: 20, seen: ['mud'] }],
    status: 'grind',
    way: 'finer',
  },
  'a dose trimmed over the rating for this grinder is meant': {
    shots: [{ timeS: 38, doseG: 18.8, aimDoseG: 18.8 }],
    also: { basket: { ratedG: 18 }, doseSchool: 'trim' },
    status: 'grind',
    way: 'coarser',
  },
  'half a gram over the rating is no fault': {
    shots: [{ timeS: 38 }],
    target: { doseG: 18.5 },
    also: { basket: { ratedG: 18 } },
    status: 'grind',
    way: 'coarser',
  },
  // A step that jumps over the window.
  'two shots on either side of the window and no setting between': {
    shots: [
      { dial: 10, timeS: 24 },
      { dial: 10, timeS: 24.4, purgeG: 6 },
      { dial: 9, timeS: 33, purgeG: 6 },
      { dial: 9, timeS: 33.5, purgeG: 6 },
    ],
    also: { grinder: { ...GRINDER, umPerStep: 60 } },
    status: 'nearest',
    way: 'stay',
    why: ['jumps'],
    says: /jumps over 26-30 s: 10 runs about 24 s, 9 about 33 s.*Use 10 with 1[89]\.\d g, or taste both/,
    or: /dose 18\.0 → 1[89]\.\d g/,
    offersTrim: true,
  },
  'one shot on one of the sides is not enough to say so': {
    shots: [
      { dial: 10, timeS: 24 },
      { dial: 10, timeS: 24.4, purgeG: 6 },
      { dial: 9, timeS: 33, purgeG: 6 },
    ],
    also: { grinder: { ...GRINDER, umPerStep: 60 } },
    status: 'repeat',
  },
  'water as hot as it goes': {
    shots: [{ timeS: 28, taste: sour }],
    target: { temperatureC: 96.5 },
    also: { levers: 'heatFirst' },
    status: 'taste',
    way: 'longer',
  },
};

it.each(Object.entries(ROWS))('%s', (_name, row) => check(row));

it('reads every observation on a shot, or calls it a note', () => {
  const shots = [{ timeS: 38 }, { timeS: 24.6 }, { timeS: 20, yieldG: 12 }];
  const advised = (seen: readonly Seen[]) =>
    shots.map((shot) => {
      const { status, reasons } = ask({ shots: [{ ...shot, seen: [...seen] }] });
      return [status, reasons.map(({ code }) => code)];
    });
  const plain = JSON.stringify(advised([]));
  const unread = SEEN.filter((word) => JSON.stringify(advised([word])) === plain);
  expect(unread).toEqual(SEEN_AS_NOTES);
});
