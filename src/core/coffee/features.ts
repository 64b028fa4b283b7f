/**
 * What the models see of a release: numbers, share-weighted over the components of a blend.
 * Source: house heuristic (model.md §1); intensities are the trade's ordering put on a scale.
 * Density and altitude are never both used for one component: a measured density wins.
 */
import type { Process, VarietyClass } from '../vocabulary';
import { roastLevelFromColour, type ColourLevel } from './roast';

export interface ComponentFacts {
  /** Share of the blend, 0-100; a single component has 100. */
  readonly sharePct?: number | undefined;
  readonly process?: Process | undefined;
  readonly varietyClass?: VarietyClass | undefined;
  readonly densityGPerL?: number | undefined;
  readonly altitudeM?: number | undefined;
}

export interface ReleaseFacts extends ComponentFacts {
  readonly id?: string | undefined;
  readonly roastLevel?: number | undefined;
  readonly colourGround?: number | undefined;
  readonly colourMap?: readonly ColourLevel[] | undefined;
  /** sd of the roast level where it was only felt under the thumb; see `readRoast`. */
  readonly roastSd?: number | undefined;
  readonly restDays?: number | undefined;
  readonly components?: readonly ComponentFacts[] | undefined;
}

/** Process intensity I, 0 washed … 2 infused. House heuristic. */
export const PROCESS_INTENSITY: Record<Process, number> = {
  washed: 0,
  honey: 0.5,
  natural: 1,
  anaerobicWashed: 1,
  anaerobicNatural: 1.75,
  carbonicMaceration: 1.75,
  infused: 2,
  wetHulled: 1,
  barrelAged: 1,
  decaf: 0,
  other: 1.5,
};

/** What an unknown fact adds: its sd over the house's coffees. House heuristic (model.md §1). */
export const SPREAD_IF_MISSING = {
  roast: 0.7,
  process: 0.5,
  variety: 0.4,
  structure: 0.25,
} as const;

export interface Features {
  /** ρ, or null when neither word nor colour is known. */
  readonly roastLevel: number | null;
  /** sd of ρ beyond what every word or colour carries; the house's spread when nothing is known. */
  readonly roastSd: number;
  readonly intensity: number;
  readonly processShare: Readonly<Partial<Record<Process, number>>>;
  readonly varietyShare: Readonly<Partial<Record<VarietyClass, number>>>;
  /** Σ share·(density − 700)/30 over components with a measured density. */
  readonly densityZ: number;
  /** Σ share·(altitude − 1600)/300 over components without one. */
  readonly altitudeZ: number;
  readonly densityShare: number;
  readonly altitudeShare: number;
  readonly missingShare: {
    readonly process: number;
    readonly variety: number;
    readonly structure: number;
  };
  readonly restDays: number | null;
}

/** Features of a release; facts on the release itself count when it lists no components. */
export function featuresOf(release: ReleaseFacts): Features {
  const components = release.components?.length ? release.components : [release];
  const totalPct = components.reduce((sum, part) => sum + (part.sharePct ?? 0), 0);
  const shareOf = (part: ComponentFacts) =>
    totalPct > 0 ? (part.sharePct ?? 0) / totalPct : 1 / components.length;

  const processShare: Partial<Record<Process, number>> = {};
  const varietyShare: Partial<Record<VarietyClass, number>> = {};
  const sums = {
    intensity: 0,
    densityZ: 0,
    altitudeZ: 0,
    densityShare: 0,
    altitudeShare: 0,
    noProcess: 0,
    noVariety: 0,
    noStructure: 0,
  };
  for (const part of components) {
    const share = shareOf(part);
    if (part.process) {
      processShare[part.process] = (processShare[part.process] ?? 0) + share;
      sums.intensity += share * PROCESS_INTENSITY[part.process];
    } else sums.noProcess += share;
    if (part.varietyClass)
      varietyShare[part.varietyClass] = (varietyShare[part.varietyClass] ?? 0) + share;
    else sums.noVariety += share;
    if (part.densityGPerL !== undefined) {
      sums.densityShare += share;
      sums.densityZ += (share * (part.densityGPerL - 700)) / 30;
    } else if (part.altitudeM !== undefined) {
      sums.altitudeShare += share;
      sums.altitudeZ += (share * (part.altitudeM - 1600)) / 300;
    } else sums.noStructure += share;
  }
  const roastLevel =
    release.colourGround !== undefined
      ? roastLevelFromColour(release.colourGround, release.colourMap)
      : (release.roastLevel ?? null);
  return {
    roastLevel,
    roastSd: roastLevel === null ? SPREAD_IF_MISSING.roast : (release.roastSd ?? 0),
    intensity: sums.intensity,
    processShare,
    varietyShare,
    densityZ: sums.densityZ,
    altitudeZ: sums.altitudeZ,
    densityShare: sums.densityShare,
    altitudeShare: sums.altitudeShare,
    missingShare: {
      process: sums.noProcess,
      variety: sums.noVariety,
      structure: sums.noStructure,
    },
    restDays: release.restDays ?? null,
  };
}
