/**
 * What the field model assumes before a café has sent anything. Effects are in ln time unless said otherwise.
 * Source of all figures: house heuristic, tuned on simulated networks (`npm run bench -- field`), except where said.
 */
export const CAFE_RULES = {
  /** Days of checks one fit looks at. */
  windowDays: 28,
  /** Exponents of dose and yield in the time of a shot; the simulator's own are within .4 and .2 of these. */
  doseExponent: 1.2,
  yieldExponent: 1,
  /** What a day of age does to ln time where no curve of the coffee is known, and the age the card means. */
  agePerDay: -0.008,
  cardAgeDays: 10,
  /** A café's own level for a coffee. */
  levelSd: 0.3,
  /** One step of a café's grinder. */
  slope: { mean: -0.1, sd: 0.04, leastSd: 0.008, widening: 1.5 },
  /** A step that an alarm entered. */
  stepSd: 0.09,
  mostSteps: 3,
  batchSd: 0.05,
  /** How far a coffee's ageing differs from the house's, a day. */
  ageSd: 0.002,
  /** Weather of one region: first-order autoregression from day to day. */
  weather: { carry: 0.8, sd: 0.02 },
  /** What the checks of one visit share; worth this many visits before any is seen. */
  visit: { sd: 0.02, worth: 200 },
  /** Scatter of one shot at a café; worth this many checks before any is seen. */
  noise: { sd: 0.06, worth: 60 },
  /** Odd shots: how many, and how much wider they scatter. */
  odd: { rate: 0.04, sd: 0.25 },
  /** Passes of the robust weights for each fit, started from the last one. */
  passes: 2,
} as const;

/** Standard deviations on each side of the mean that hold 80 in 100; 1.28 held 74.5 (simulated). */
export const INTERVAL_SDS = 1.44;

/** Under this chance of being sound a shot is shown as an odd one, and pulled again before anything is moved. House heuristic. */
export const ODD_UNDER = 0.35;
