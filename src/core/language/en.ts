import { CLOCK_LABELS, PROCESS_LABELS, SERVED_LABELS, STYLE_LABELS } from '../vocabulary';
import { AUDIENCE_LABELS } from '../fits/audience';
import type { CardWords } from './cardWords';
import { LABELLING_CAUTION } from './labelling';

export const en: CardWords = {
  labels: {
    Coffee: 'Coffee',
    Components: 'Components',
    Roast: 'Roast',
    Dose: 'Dose',
    'In the cup': 'In the cup',
    Time: 'Time',
    Temperature: 'Temperature',
    Ratio: 'Ratio',
    Tolerances: 'Tolerances',
    'Taste holds': 'Taste holds',
    Programme: 'Programme',
    'Step by step': 'Step by step',
    'Temperature is meant': 'Temperature is meant',
    Basket: 'Basket',
    'Made on': 'Made on',
    Grind: 'Grind',
    Water: 'Water',
    Rest: 'Rest',
    Served: 'Served',
    'Look for': 'Look for',
    'The lot': 'The lot',
    Contains: 'Contains',
    'When it is right': 'When it is right',
    'When it ran short': 'When it ran short',
    'When it ran long': 'When it ran long',
    Repeated: 'Repeated',
    'Temperature school': 'Temperature school',
  },
  clock: CLOCK_LABELS,
  process: PROCESS_LABELS,
  roast: {
    '-2': 'Ultra light',
    '-1': 'Light',
    '-0.5': 'Medium-light',
    '0': 'Medium',
    '0.5': 'Medium-dark',
    '1': 'Dark',
    '2': 'Very dark',
  },
  style: STYLE_LABELS,
  served: SERVED_LABELS,
  tolerances: (doseG, yieldG) => `dose ± ${doseG} g, yield ± ${yieldG} g`,
  holds: {
    inTheCup: (g) => `± ${g} g in the cup`,
    within: (list, cost) =>
      `within ${list} (about 0.3 points of 10 each${cost === null ? '' : `; what cafés are usually off by costs about ${cost}`})`,
  },
  basket: (name, diameter, rated) => `${name}, ${diameter} mm, rated ${rated} g`,
  madeOn: (machine, grinder, dial) =>
    `${machine}; ${grinder} at ${dial}. Your dial will differ: grind for the time.`,
  steps: (shown) => `${shown} ${shown === '1' ? 'step' : 'steps'}`,
  grindSince: (steps, isFiner, version) =>
    `About ${steps} ${isFiner ? 'finer' : 'coarser'} than version ${version}’s card, on the house’s grinder. Yours will differ: grind for the time.`,
  asSet: 'as set on the machine',
  atGroup: (shown) => `at the group; this machine was set to ${shown}`,
  water: (hardness, alkalinity) =>
    [hardness && `hardness ${hardness}`, alkalinity && `alkalinity ${alkalinity}`]
      .filter(Boolean)
      .join(', ') + ' (mg/L as CaCO₃)',
  rest: (from, to, day) => `Use from day ${from} to ${to} after the roast of ${day}`,
  lot: { harvest: 'harvest', lot: 'lot', grownAt: (m) => `grown at ${m}` },
  labelling: LABELLING_CAUTION,
  roasted: (word) => `${word.toLowerCase()} roast`,
  repeated: (times) =>
    times > 1 ? `Repeated on target ${times} times.` : 'Not yet repeated on target.',
  version: (number, day) => `Version ${number}, ${day}.`,
  whatChanged: 'What changed and why',
  newest: 'Newest version',
  caution:
    'If a shot chokes, wait for the pressure to vent before you loosen the portafilter. Group, portafilter and steam scald. For electrical, water and pressure work: the maker’s manual and a licensed technician.',
  card: {
    paper: 'Card on paper (PDF)',
    document: 'Recipe document (JSON)',
    roastedOn: 'Roasted',
    earlier: 'Earlier versions',
    straight: 'Straight',
    inMilk: 'In milk',
    models: 'Computed by a model from the house’s recipe: a place to start, the taste decides.',
  },
  phases: {
    title: 'As the coffee ages',
    days: (from, to) => `day ${from}-${to}`,
    asCard: 'grind as the card says',
    kept: (phased, one) =>
      `About ${phased} of 100 shots stay within 2.5 s of the middle this way, against ${one} with one setting (model, rough).`,
    against: (day) => `Against the setting of day ${day}; it is the coffee that ages, not you.`,
  },
  grind: {
    little: 'a little',
    one: 'about one step',
    oneOrTwo: 'one or two steps',
    twoOrThree: 'two or three steps',
    several: 'several steps',
    finer: (amount) => `${amount} finer`,
    coarser: (amount) => `${amount} coarser`,
  },
  drinks: {
    title: 'For your cups',
    drink: 'Drink',
    cup: 'Cup',
    espresso: 'Espresso',
    button: 'Button, rough',
    fill: 'To fill',
    milk: 'Milk',
    water: 'Water',
    rough:
      'Volumes of espresso are rough: crema fools the eye. Weigh one cup and correct the button.',
  },
  fits: {
    title: 'On other setups',
    computed: 'computed',
    tried: 'tried',
    audience: AUDIENCE_LABELS,
    notes: {
      same: () => 'The card as it stands.',
      pressurised: () =>
        'A pressurised basket makes its own resistance: no dial-in is possible, and no honest recipe can be given. Use an open basket, or enjoy it by taste alone.',
      basket: ({ share }) => `Time ± ${share} %: start here, taste decides.`,
      coarser: ({ steps }) => `Grind ${steps} coarser than the same dial would be.`,
      finer: ({ steps }) => `Grind ${steps} finer than the same dial would be.`,
      soak: ({ s }) => `About ${s} s of the time is the soak by hand.`,
      ratioForHeat: ({ c, isHotter }) =>
        isHotter
          ? `Brews ${c} hotter than meant: answered by a shorter ratio.`
          : `Brews ${c} cooler than meant: answered by a longer ratio.`,
      heatOutOfReach: () => 'That is more than a ratio can answer: expect another cup.',
      flush: () => 'After a pause flush until it stops spitting, clear of hands: it scalds.',
      style: ({ style, nearest }) =>
        `${style} needs control of pressure or flow. Without it ${nearest.toLowerCase()} is nearest; what makes the other cup special is lost.`,
      noScale: ({ ml }) =>
        `Fill the basket to its mark, level, no heap; stop at about ${ml} of espresso with crema. Rough.`,
      clock: ({ s }) => `Counted on your clock, with ${s} s to the first drip.`,
    },
  },
  sheet: {
    title: 'Dial-in checks of the day',
    blanks: 'Café: ____________________    Date: ____________    By: ____________',
    checks: ['before opening', 'mid-morning', 'after lunch'],
    check: 'Check',
    dose: 'Dose, g',
    out: 'In the cup, g',
    time: 'Time, s',
    dial: 'Dial',
    taste: 'Taste, remark',
  },
};
