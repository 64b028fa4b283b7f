/** What else could be done beside the next move, with what it would be expected to give. House heuristic (model.md §3). */
import { inSentence, type Message } from '../message';
import { costOf, expectAt, landing, moveTo, settingNow } from './grind';
import type { Judged } from './judge';
import { jumpOf } from './jump';
import { doseToCentre, isSensible, nextSettingOf } from './nextSetting';
import { pulledAfter } from './revise';
import {
  isOnTargetStatus,
  type AdviceStatus,
  type Alternative,
  type Move,
  type Setting,
} from './types';
import { isLikedOutside, isWonHere, keptMessage } from './window';

/** Where no setting of a locked dose can land more often, the trim is offered. */
const TRIM_OFFERED_BELOW = 0.5;

/** A locked dose whose best setting hardly lands, where the trim would. */
export function offersTrim(judged: Judged, status: AdviceStatus): boolean {
  if (judged.input.doseSchool === 'trim' || judged.marks.length < 2 || judged.isRevised)
    return false;
  if (status !== 'grind' && status !== 'nearest') return false;
  const doseG = doseToCentre(judged, judged.dial);
  if (doseG === null) return false;
  const best = landing(judged, nextSettingOf(judged).setting);
  return best < TRIM_OFFERED_BELOW && landing(judged, { dial: judged.dial, doseG }) > best;
}

/** What else could be done, with what it would be expected to give: at most two. */
export function alternatives(
  judged: Judged,
  { status, move }: { readonly status: AdviceStatus; readonly move: Move | null },
  beside: Move | undefined,
): Alternative[] {
  if (judged.input.shots.length === 0 || judged.isRevised) return [];
  const found: Alternative[] = [];
  const here = settingNow(judged);
  const add = (setting: Setting, message: (move: Move | null) => Message) => {
    const other = moveTo(judged, setting);
    found.push({
      move: other,
      message: message(other),
      expect: expectAt(judged, setting),
      costG: costOf(judged, setting),
    });
  };
  if (beside)
    found.push({
      move: beside,
      message: beside.message,
      expect: expectAt(
        judged,
        here,
        pulledAfter(judged.input.target, beside, expectAt(judged, here).timeS),
      ),
      costG: costOf(judged, here),
    });
  const isKept = status === 'taste' && move === null;
  if (isLikedOutside(judged) && !isKept && !isOnTargetStatus(status))
    add(here, () => keptMessage(judged).message);
  if (status === 'repeat' && isWonHere(judged)) {
    const { setting } = nextSettingOf(judged);
    if (setting.dial !== judged.dial || setting.doseG !== judged.aimDoseG)
      add(setting, (other) => ({
        id: 'advice.other.offEdge',
        values: { move: inSentence(other!.message) },
      }));
  }
  if (status === 'grind' || status === 'dose' || status === 'taste')
    add(here, () => ({ id: 'advice.other.repeat' }));
  const jump = status === 'nearest' ? jumpOf(judged) : null;
  if (jump?.trimmed)
    add(jump.trimmed, (other) =>
      other!.variable === 'doseG'
        ? { id: 'advice.other.trim', values: { move: other!.message } }
        : other!.message,
    );
  else if (status === 'grind' || status === 'nearest') {
    const doseG = doseToCentre(judged, judged.dial);
    const trimmed = { dial: judged.dial, doseG: doseG ?? judged.aimDoseG };
    const isOffered =
      judged.input.doseSchool === 'trim' ||
      landing(judged, nextSettingOf(judged).setting) < TRIM_OFFERED_BELOW;
    if (doseG !== null && isOffered && judged.marks.length > 1 && isSensible(judged, trimmed))
      add(trimmed, (other) => ({
        id: 'advice.other.trim',
        values: { move: other!.message },
      }));
  }
  if ((status === 'measure' || status === 'prep') && move === null) {
    const best = nextSettingOf(judged).setting;
    if (best.dial !== judged.dial || best.doseG !== judged.aimDoseG)
      add(best, (other) => ({
        id: 'advice.other.believe',
        values: { move: inSentence(other!.message) },
      }));
  }
  return found.slice(0, 2);
}
