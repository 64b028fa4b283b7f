/** What a shot did, in a few words for the ledger. */
import { figure } from '@/core/figure';
import { prepSigns } from '@/core/advice/prep';
import { BEAN_STATE_LABELS, SEEN_LABELS } from '@/core/vocabulary';
import type { Bench, BenchShot } from '@/views/release';

/** `firsts` are the ids of shots that came first after a break. */
export function verdictOf(
  shot: BenchShot,
  { target }: Pick<Bench, 'target'>,
  firsts: readonly string[] = [],
): string {
  return [judgementOf(shot, target), ...circumstancesOf(shot, firsts)].join(', ');
}

function judgementOf(shot: BenchShot, target: Bench['target']): string {
  const { mark } = shot;
  const [low, high] = target.timeS;
  if (mark.choked) return 'choked';
  if (mark.gushing) return 'gushed';
  const time = mark.timeOnTargetClockS;
  const words = [
    !mark.inDose && 'dose off',
    !mark.inYield && (shot.yieldG > target.yieldG ? 'ran long' : 'cut short'),
    mark.unpurged && 'unpurged',
    mark.otherBeans && 'beans in another state',
    mark.outlier && 'odd one out: check puck prep',
    ...prepSigns(shot).map((sign) => SEEN_LABELS[sign].toLowerCase()),
    time < low && `◂ ${figure(low - time, 1)} s fast`,
    time > high && `${figure(time - high, 1)} s slow ▸`,
    mark.isConverted && 'first drip missing',
  ].filter((word) => word !== false);
  return words.length > 0 ? words.join(', ') : 'landed';
}

/** What stood around it and is no fault. */
function circumstancesOf(shot: BenchShot, firsts: readonly string[]): string[] {
  return [
    shot.isSimulated && 'simulated',
    firsts.includes(shot.id) && 'first after a break',
    shot.beans !== 'room' && `beans ${BEAN_STATE_LABELS[shot.beans].toLowerCase()}`,
    shot.blondS !== undefined && `pale at ${shot.blondS} s`,
    ...shot.seen
      .filter((word) => word !== 'choke' && word !== 'gush')
      .filter((word) => !prepSigns(shot).some((sign) => sign === word))
      .map((word) => SEEN_LABELS[word].toLowerCase()),
  ].filter((word) => word !== false);
}
