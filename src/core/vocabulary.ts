/** The trade's words the whole program shares, with the label a person reads. */

export const PROCESSES = [
  'washed',
  'honey',
  'natural',
  'anaerobicWashed',
  'anaerobicNatural',
  'carbonicMaceration',
  'infused',
  'wetHulled',
  'barrelAged',
  'decaf',
  'other',
] as const;
export type Process = (typeof PROCESSES)[number];

export const PROCESS_LABELS: Record<Process, string> = {
  washed: 'Washed',
  honey: 'Honey',
  natural: 'Natural',
  anaerobicWashed: 'Anaerobic washed',
  anaerobicNatural: 'Anaerobic natural',
  carbonicMaceration: 'Carbonic maceration',
  infused: 'Infused, co-fermented or thermal shock',
  wetHulled: 'Wet-hulled',
  barrelAged: 'Barrel-aged',
  decaf: 'Decaffeinated',
  other: 'Another process',
};

export const VARIETY_CLASSES = ['ordinary', 'landrace', 'bigBean', 'robusta'] as const;
export type VarietyClass = (typeof VARIETY_CLASSES)[number];

export const VARIETY_LABELS: Record<VarietyClass, string> = {
  ordinary: 'Ordinary',
  landrace: 'Dense landrace',
  bigBean: 'Big bean, open structure',
  robusta: 'Robusta',
};

export const STYLES = [
  'classic',
  'longQuick',
  'fastCoarse',
  'soakFirst',
  'shortDense',
  'declining',
] as const;
export type BrewStyle = (typeof STYLES)[number];

export const STYLE_LABELS: Record<BrewStyle, string> = {
  classic: 'Classic',
  longQuick: 'Long and quick',
  fastCoarse: 'Fast and coarse',
  soakFirst: 'Soak first',
  shortDense: 'Short and dense',
  declining: 'Declining',
};

/** What the machine does, one line for plate and card. Source: trade practice. */
export const STYLE_PROGRAMMES: Record<BrewStyle, string> = {
  classic: '9 bar, flat',
  longQuick: '6.5 bar, flat',
  fastCoarse: 'high flow, 6 bar at the peak',
  soakFirst: 'fill fast, pause 30 s, then slow flow up to 9 bar',
  shortDense: '9 bar, flat',
  declining: '9 bar falling to 6',
};

export const TEMPERATURE_SCHOOLS = ['both', 'narrow', 'wide'] as const;
export type TemperatureSchool = (typeof TEMPERATURE_SCHOOLS)[number];

export const TEMPERATURE_SCHOOL_LABELS: Record<TemperatureSchool, string> = {
  both: 'Between the two',
  narrow: 'Narrow, 90-96 °C',
  wide: 'Wide, 80-96 °C',
};

/** May a dial-in touch the dose? */
export const DOSE_SCHOOLS = ['locked', 'trim'] as const;
export type DoseSchool = (typeof DOSE_SCHOOLS)[number];

export const DOSE_SCHOOL_LABELS: Record<DoseSchool, string> = {
  locked: 'Set by the basket, then left alone',
  trim: 'Trimmed where one grinder step is too coarse',
};

/** What a house reaches for first when a cup is in time and not right. */
export const TASTE_LEVERS = ['bySize', 'ratioFirst', 'heatFirst', 'grindFirst'] as const;
export type TasteLevers = (typeof TASTE_LEVERS)[number];

export const TASTE_LEVER_LABELS: Record<TasteLevers, string> = {
  bySize: 'By how far off the cup is',
  ratioFirst: 'Ratio first',
  heatFirst: 'Heat first',
  grindFirst: 'Grind first',
};

/** How full a basket is proposed. */
export const HEADSPACES = ['toRating', 'roomAbove'] as const;
export type Headspace = (typeof HEADSPACES)[number];

export const HEADSPACE_LABELS: Record<Headspace, string> = {
  toRating: 'Filled to its rating',
  roomAbove: 'Room above the puck, about 5 % less',
};

export const REST_SCHOOLS = ['byRoast', 'oneWeek', 'patient', 'early'] as const;
export type RestSchool = (typeof REST_SCHOOLS)[number];

export const REST_SCHOOL_LABELS: Record<RestSchool, string> = {
  byRoast: 'By roast: darker is ready sooner',
  oneWeek: 'One week for all',
  patient: 'Patient: nothing before three weeks',
  early: 'As fresh as possible',
};

export const CLOCKS = ['pump', 'firstDrip'] as const;
export type Clock = (typeof CLOCKS)[number];

export const CLOCK_LABELS: Record<Clock, string> = {
  pump: 'from the pump',
  firstDrip: 'from the first drip',
};

export const SEEN = [
  'gush',
  'drip',
  'choke',
  'spurt',
  'oneSided',
  'earlyBlond',
  'paleCrema',
  'screenPrint',
  'holes',
  'mud',
  'coldMetal',
  'dampDay',
] as const;
export type Seen = (typeof SEEN)[number];

/** Kept with the shot and judged by nobody: the clock and the scale say what they would. */
export const SEEN_AS_NOTES: readonly Seen[] = ['gush', 'drip', 'earlyBlond', 'paleCrema', 'mud'];

export const SEEN_LABELS: Record<Seen, string> = {
  gush: 'Gushing',
  drip: 'Drips only, no stream',
  choke: 'Choked',
  spurt: 'Spurts',
  oneSided: 'One-sided flow',
  earlyBlond: 'Blonds early',
  paleCrema: 'Pale crema',
  screenPrint: 'Screen prints the puck',
  holes: 'Holes in the puck',
  mud: 'Wet, soupy puck',
  coldMetal: 'Cold portafilter',
  dampDay: 'Damp or hot day',
};

/** Roast words on the model's scale ρ; the house's own map of words to colours overrules them. */
export const ROAST_WORDS: readonly { level: number; label: string }[] = [
  { level: -2, label: 'Ultra light' },
  { level: -1, label: 'Light' },
  { level: -0.5, label: 'Medium-light' },
  { level: 0, label: 'Medium' },
  { level: 0.5, label: 'Medium-dark' },
  { level: 1, label: 'Dark' },
  { level: 2, label: 'Very dark' },
];

/** The word of the nearest named level: 0.4 → "Medium-dark". */
export function roastWord(level: number): string {
  const nearest = ROAST_WORDS.reduce((best, word) =>
    Math.abs(word.level - level) < Math.abs(best.level - level) ? word : best,
  );
  return nearest.label;
}

/** Words a taster may tick beside the scales; each is a sign of one side. */
export const TASTE_SIGNS = ['salty', 'grassy', 'papery', 'burnt', 'hollow'] as const;
export type TasteSign = (typeof TASTE_SIGNS)[number];

export const TASTE_SIGN_LABELS: Record<TasteSign, string> = {
  salty: 'Salty',
  grassy: 'Grassy',
  papery: 'Papery',
  burnt: 'Burnt',
  hollow: 'Hollow',
};

/** How a coffee is meant to be served. */
export const SERVED = ['straight', 'milk', 'both'] as const;
export type Served = (typeof SERVED)[number];

export const SERVED_LABELS: Record<Served, string> = {
  straight: 'Straight',
  milk: 'In milk',
  both: 'Straight and in milk',
};

/** When a cup is judged. */
export const MOMENTS = ['hot', 'warm', 'cool'] as const;
export type Moment = (typeof MOMENTS)[number];

export const MOMENT_LABELS: Record<Moment, string> = { hot: 'hot', warm: 'warm', cool: 'cool' };

/** What a cup is judged in. */
export const SERVINGS = ['straight', 'milk', 'plantMilk'] as const;
export type Serving = (typeof SERVINGS)[number];

export const SERVING_LABELS: Record<Serving, string> = {
  straight: 'straight',
  milk: 'in milk',
  plantMilk: 'in plant milk',
};

/** What a recipe is for: the same coffee may have one for milk drinks beside its own. */
export const DRINKS = ['straight', 'milk'] as const;
export type Drink = (typeof DRINKS)[number];

export const DRINK_LABELS: Record<Drink, string> = { straight: 'Straight', milk: 'Milk drinks' };

/** Is a cup judged as the recipe is meant to be drunk? */
export const isCupFor = (drink: Drink, serving: string): boolean =>
  (serving === 'straight') === (drink === 'straight');

/** How the beans went into the grinder: each state grinds otherwise, so they are never mixed. */
export const BEAN_STATES = ['room', 'warm', 'frozen', 'misted'] as const;
export type BeanState = (typeof BEAN_STATES)[number];

export const BEAN_STATE_LABELS: Record<BeanState, string> = {
  room: 'Room temperature',
  warm: 'Warmed',
  frozen: 'From the freezer',
  misted: 'Misted',
};

/** Instruments a setup may have linked; each is read by hand where there is none. */
export const INSTRUMENTS = ['scale', 'machineLink', 'refractometer', 'colourMeter'] as const;
export type Instrument = (typeof INSTRUMENTS)[number];

export const INSTRUMENT_LABELS: Record<Instrument, string> = {
  scale: 'Scale',
  machineLink: 'Machine control',
  refractometer: 'Refractometer',
  colourMeter: 'Colour meter',
};

export const LINKS = ['none', 'simulated'] as const;
export type Link = (typeof LINKS)[number];

export const LINK_LABELS: Record<Link, string> = {
  none: 'Read by hand',
  simulated: 'Simulated, for trying out',
};

/** Where a machine's brewing water comes from. */
export const BOILERS = ['single', 'heatExchanger', 'dual', 'thermoblock'] as const;
export type Boiler = (typeof BOILERS)[number];

export const BOILER_LABELS: Record<Boiler, string> = {
  single: 'One boiler for brewing and steam',
  heatExchanger: 'Heat exchanger in the steam boiler',
  dual: 'A boiler of its own for brewing',
  thermoblock: 'Heated block',
};

/** How a grinder writes its settings. */
export const NOTATIONS = ['numbers', 'turns', 'letters', 'marks'] as const;
export type DialNotation = (typeof NOTATIONS)[number];
export const NOTATION_LABELS: Readonly<Record<DialNotation, string>> = {
  numbers: 'numbers: 9.5',
  turns: 'turns: 1.5 turns',
  letters: 'letters: 9 C',
  marks: 'marks: 1 turn 6',
};
