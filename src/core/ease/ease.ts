/**
 * Ease of extraction, the scale on Read. 0 = medium washed ordinary coffee, + extracts more easily.
 * Unit: one roast step's worth of ease. House heuristic throughout (model.md §1); each ± is a
 * standard deviation and they add in squares, so the interval is honest only as far as the rules are.
 */
import {
  featuresOf,
  SPREAD_IF_MISSING,
  type Features,
  type ReleaseFacts,
} from '../coffee/features';
import { VARIETY_LABELS, type VarietyClass } from '../vocabulary';

/** Standard normal quantile at .9: an 80 % interval has this many sd on each side. */
const Z_80 = 1.2815515655446004;

const VARIETY_PUSH: Record<VarietyClass, { amount: number; sd: number }> = {
  ordinary: { amount: 0, sd: 0 },
  landrace: { amount: -0.5, sd: 0.5 },
  bigBean: { amount: 0.5, sd: 0.5 },
  robusta: { amount: 0.2, sd: 0.5 },
};

export type EaseFactor = 'roast' | 'process' | 'variety' | 'density' | 'altitude';

export interface EaseContribution {
  readonly factor: EaseFactor;
  readonly label: string;
  readonly amount: number;
  readonly sd: number;
}

export interface MissingFact {
  readonly factor: 'roast' | 'process' | 'variety' | 'structure';
  readonly label: string;
  /** How much narrower the 80 % interval's half-width would be with this fact known. */
  readonly narrowsBy: number;
}

export interface Ease {
  readonly ease: number;
  readonly interval80: readonly [number, number];
  readonly contributions: readonly EaseContribution[];
  readonly missing: readonly MissingFact[];
}

/** Ease of a release with what each known fact adds and what each missing one would narrow. */
export function easeOf(release: ReleaseFacts): Ease {
  const features = featuresOf(release);
  const contributions = [
    ...roastPush(features),
    ...processPush(features),
    ...varietyPushes(features),
    ...structurePushes(features),
  ];
  const gaps = missingSpreads(features);
  const knownVariance = contributions.reduce((sum, { sd }) => sum + sd ** 2, 0);
  const variance = gaps.reduce((sum, gap) => sum + gap.sd ** 2, knownVariance);
  const ease = contributions.reduce((sum, { amount }) => sum + amount, 0);
  const half = Z_80 * Math.sqrt(variance);
  const missing = gaps
    .map(({ factor, label, sd }) => ({
      factor,
      label,
      narrowsBy: half - Z_80 * Math.sqrt(Math.max(0, variance - sd ** 2)),
    }))
    .sort((a, b) => b.narrowsBy - a.narrowsBy);
  return { ease, interval80: [ease - half, ease + half], contributions, missing };
}

function roastPush({ roastLevel }: Features): EaseContribution[] {
  if (roastLevel === null) return [];
  return [{ factor: 'roast', label: 'Roast', amount: roastLevel, sd: 0.15 * Math.abs(roastLevel) }];
}

function processPush({ intensity, processShare, missingShare }: Features): EaseContribution[] {
  if (missingShare.process >= 1) return [];
  const unlistedSd = 0.5 * 0.5 * (processShare.other ?? 0);
  return [
    {
      factor: 'process',
      label: 'Process',
      amount: 0.5 * intensity,
      sd: Math.hypot(0.25 * intensity, unlistedSd),
    },
  ];
}

function varietyPushes({ varietyShare }: Features): EaseContribution[] {
  const classes = Object.entries(varietyShare) as [VarietyClass, number][];
  return classes.map(([varietyClass, share]) => ({
    factor: 'variety',
    label: `Variety: ${VARIETY_LABELS[varietyClass].toLowerCase()}`,
    amount: share * VARIETY_PUSH[varietyClass].amount,
    sd: share * VARIETY_PUSH[varietyClass].sd,
  }));
}

function structurePushes(features: Features): EaseContribution[] {
  const contributions: EaseContribution[] = [];
  if (features.densityShare > 0) {
    contributions.push({
      factor: 'density',
      label: 'Green density',
      amount: -0.2 * features.densityZ,
      sd: 0.2 * features.densityShare,
    });
  }
  if (features.altitudeShare > 0) {
    contributions.push({
      factor: 'altitude',
      label: 'Altitude',
      amount: -0.1 * features.altitudeZ,
      sd: 0.15 * features.altitudeShare,
    });
  }
  return contributions;
}

function missingSpreads({ roastSd, missingShare }: Features) {
  const gaps = [
    {
      factor: 'roast',
      label: 'Ground colour, or the house’s roast word',
      share: roastSd / SPREAD_IF_MISSING.roast,
    },
    { factor: 'process', label: 'Process', share: missingShare.process },
    { factor: 'variety', label: 'Variety class', share: missingShare.variety },
    {
      factor: 'structure',
      label: 'Green density, or altitude',
      share: missingShare.structure,
    },
  ] as const;
  return gaps
    .filter((gap) => gap.share > 0)
    .map(({ factor, label, share }) => ({
      factor,
      label,
      sd: share * SPREAD_IF_MISSING[factor],
    }));
}
