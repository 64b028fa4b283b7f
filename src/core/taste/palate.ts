/**
 * What a day of tasting adds up to, for one person: cups, and the caffeine in them if it is swallowed. An estimate
 * on the high side, to warn by and to block nothing. Sources: caffeine of roasted arabica about 1.2 %, robusta 2.2 %,
 * decaffeinated .05 % by mass (published, commonly quoted); the share that reaches the cup is a house heuristic, set so
 * that a double of 18 g of arabica gives about 130 mg.
 */
import type { Message } from '../message';

interface Part {
  readonly sharePct: number;
  readonly process?: string | undefined;
  readonly varietyClass?: string | undefined;
}

const CAFFEINE_PCT = { arabica: 1.2, robusta: 2.2, decaf: 0.05 } as const;
const SHARE_IN_CUP = 0.6;

/** The usual public guidance for a healthy adult, mg a day (published); less in pregnancy and for some people. */
export const GUIDANCE_MG = 400;
/** From here on the screen suggests to stop. House heuristic. */
export const SUGGESTED_MG = 300;
/** A palate tells little apart after so many cups in a day. House heuristic. */
export const PALATE_CUPS = 12;

/** Caffeine of the beans of a release, % by mass. */
export function caffeinePct(parts: readonly Part[]): number {
  const whole = parts.reduce((sum, { sharePct }) => sum + sharePct, 0);
  if (whole === 0) return CAFFEINE_PCT.arabica;
  const of = ({ process, varietyClass }: Part) =>
    process === 'decaf'
      ? CAFFEINE_PCT.decaf
      : varietyClass === 'robusta'
        ? CAFFEINE_PCT.robusta
        : CAFFEINE_PCT.arabica;
  return parts.reduce((sum, part) => sum + (part.sharePct / whole) * of(part), 0);
}

/** Caffeine in a shot that is shared by so many tasters, mg for each. */
export function caffeineMg(doseG: number, pct: number, tasters: number): number {
  return (doseG * 1000 * (pct / 100) * SHARE_IN_CUP) / Math.max(1, tasters);
}

export interface Palate {
  readonly cups: number;
  readonly caffeineMg: number;
}

/** Is it time to stop for today? Why; null while it is not. */
export function stopMessage({ cups, caffeineMg: mg }: Palate): Message | null {
  if (mg >= SUGGESTED_MG)
    return { id: 'tasting.stop.caffeine', values: { guidanceMg: GUIDANCE_MG } };
  if (cups >= PALATE_CUPS) return { id: 'tasting.stop.palate', values: { cups: PALATE_CUPS } };
  return null;
}
