/** Checks as the field model reads them: dials in steps, times from the pump, days by the café's own clock. */
import type { CafeCheck, CafeTarget } from '@/core/cafes/check';
import { localDay } from '@/core/cafes/schedule';
import { fromPump } from '@/core/extraction/clock';
import type { PartnerRow } from '@/core/entity/partner';
import type { CheckTarget, StoredCheck } from '@/data/cafeChecks';

type Dialled = Pick<PartnerRow, 'stepSize' | 'finerIs'>;

/** A dial in steps that count up as it grinds coarser, as the model does. */
export function stepsOfDial({ stepSize, finerIs }: Dialled, dial: number): number {
  return (dial / stepSize) * (finerIs === 'lower' ? 1 : -1);
}

/** The dial so many of the model's steps further. */
export function dialAfter({ stepSize, finerIs }: Dialled, dial: number, steps: number): number {
  return dial + steps * stepSize * (finerIs === 'lower' ? 1 : -1);
}

/** The same, as far as the grinder goes. */
export function movedDial(
  partner: Dialled & Pick<PartnerRow, 'dialMin' | 'dialMax'>,
  dial: number,
  steps: number,
): number {
  const { dialMin, dialMax } = partner;
  return Math.min(dialMax, Math.max(dialMin, dialAfter(partner, dial, steps)));
}

const MS_PER_DAY = 86_400_000;

/** Rest days of a bag roasted on a day, on a local day. */
export function restDaysAt(roastDate: string | null, atDay: number): number | null {
  return roastDate === null ? null : Math.floor(atDay) - Date.parse(roastDate) / MS_PER_DAY;
}

export function cafeCheckOf(check: StoredCheck, partner: Dialled, timeZone: string): CafeCheck {
  const { id, visitId, visitedAt, releaseId, roastDate, doseG, yieldG, dial, shots, target } =
    check;
  const atDay = localDay(visitedAt, timeZone);
  const onPump = (s: number) => fromPump(s, target.clock);
  return {
    id,
    visit: visitId,
    atDay,
    coffee: releaseId,
    batch: roastDate,
    doseG,
    // What choked leaves next to nothing in the cup; the model takes logarithms.
    yieldG: Math.max(1, yieldG),
    timeS: onPump(check.timeS),
    dial: dial === undefined ? null : stepsOfDial(partner, dial),
    shots,
    ageDays: restDaysAt(roastDate, atDay),
    target: cafeTargetOf(target),
  };
}

/** A recipe's window from the pump, s. */
export function windowOf({ timeS: [low, high], clock }: CheckTarget): readonly [number, number] {
  return [fromPump(low, clock), fromPump(high, clock)];
}

/** A recipe as the model compares with it. */
export function cafeTargetOf(target: CheckTarget): CafeTarget {
  const [low, high] = windowOf(target);
  return { doseG: target.doseG, yieldG: target.yieldG, timeS: (low + high) / 2 };
}
