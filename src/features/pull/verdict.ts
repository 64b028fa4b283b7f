/** What a shot did, in a few words for the ledger. */
import { prepSigns } from '@/core/advice/prep';
import { SEEN_LABELS } from '@/core/vocabulary';
import type { Bench, BenchShot } from '@/data/releaseView';

export function verdictOf(shot: BenchShot, { target }: Pick<Bench, 'target'>): string {
  const { mark } = shot;
  const [low, high] = target.timeS;
  if (mark.choked) return 'choked';
  if (mark.gushing) return 'gushed';
  const time = mark.timeOnTargetClockS;
  const words = [
    !mark.inDose && 'dose off',
    !mark.inYield && (shot.yieldG > target.yieldG ? 'ran long' : 'cut short'),
    mark.unpurged && 'unpurged',
    mark.odd && 'does not fit: prep?',
    ...prepSigns(shot).map((sign) => SEEN_LABELS[sign].toLowerCase()),
    time !== null && time < low && `◂ ${(low - time).toFixed(1)} s fast`,
    time !== null && time > high && `${(time - high).toFixed(1)} s slow ▸`,
    time === null && 'first drip missing',
  ].filter((word) => word !== false);
  return words.length > 0 ? words.join(', ') : 'landed';
}
