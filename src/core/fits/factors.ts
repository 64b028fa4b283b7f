/**
 * The factors of a fit: how much of the law of the bed stays in the time, and how ratio answers heat that cannot be set.
 * The rules' own are house heuristics found on the simulated shot (`npm run bench -- fits`); a house's cafés refine them
 * (learnFactors.ts), and a card keeps those it was published with.
 */
import { TIME_SHARE } from '../extraction/basketLaw';

export interface FitFactors {
  /** Share of ln law in the time. */
  readonly timeShare: number;
  /** ln ratio per °C that a machine stands cooler than the recipe. */
  readonly lnRatioPerCooler: number;
  /** ln ratio per °C that it stands hotter. */
  readonly lnRatioPerHotter: number;
}

/** The ratios keep the simulated extraction where it was, over 300 coffees. */
export const RULE_FACTORS: FitFactors = {
  timeShare: TIME_SHARE,
  lnRatioPerCooler: 0.055,
  lnRatioPerHotter: 0.04,
};

/** As a card prints and keeps them. */
export const roundedFactors = ({
  timeShare,
  lnRatioPerCooler,
  lnRatioPerHotter,
}: FitFactors): FitFactors => ({
  timeShare: rounded(timeShare),
  lnRatioPerCooler: rounded(lnRatioPerCooler),
  lnRatioPerHotter: rounded(lnRatioPerHotter),
});

const rounded = (value: number) => Number(value.toFixed(3));
