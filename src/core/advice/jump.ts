/**
 * A grinder whose step jumps over the window: two neighbouring settings, pulled twice each, lie on either side of it and
 * neither lands. No shot more will find a setting between. House heuristic (model.md §3c, the order of judgement).
 */
import { roundDial, settingLimits } from '../grinder/dial';
import { landing } from './grind';
import type { Judged } from './judge';
import { doseToCentre } from './nextSetting';
import { proofOf, shotsAt } from './onTarget';
import { LEAST_SHOTS } from './proofCost';
import type { Setting } from './types';

/** Where a shot lands less often than this, the setting is not the one. */
const HARDLY_LANDS = 0.35;

interface Side {
  readonly dial: number;
  /** Its mean on the target's clock, s. */
  readonly meanS: number;
}

export interface Jump {
  /** The nearer one first. */
  readonly sides: readonly [Side, Side];
  /** The nearer one with the dose that brings it to the middle; null where the basket allows none. */
  readonly trimmed: Setting | null;
}

/** Null where there is a setting that may land. */
export function jumpOf(judged: Judged): Jump | null {
  const { grinder, target } = judged.input;
  const { min, max } = settingLimits(grinder);
  const [low, high] = target.timeS;
  const centreS = (low + high) / 2;
  const sideAt = (dial: number): Side | null => {
    const setting = { dial, doseG: judged.aimDoseG };
    return shotsAt(judged, setting).valid >= LEAST_SHOTS && landing(judged, setting) < HARDLY_LANDS
      ? { dial, meanS: proofOf(judged, setting).meanS }
      : null;
  };
  const here = sideAt(judged.dial);
  if (here === null) return null;
  for (const way of [-1, 1]) {
    const dial = roundDial(judged.dial + way * grinder.stepSize);
    const other = dial < min - 1e-9 || dial > max + 1e-9 ? null : sideAt(dial);
    if (other === null || here.meanS < centreS === other.meanS < centreS) continue;
    const [near, far] = [here, other].sort(
      (a, b) => Math.abs(a.meanS - centreS) - Math.abs(b.meanS - centreS),
    ) as [Side, Side];
    const doseG = doseToCentre(judged, near.dial);
    return { sides: [near, far], trimmed: doseG === null ? null : { dial: near.dial, doseG } };
  }
  return null;
}
