/** What happened to a batch, as marks on its rest strip. */
import { daysBetween } from '@/core/rest/day';
import type { BatchView } from '@/views/release';
import { markWords } from '@/ui/markWords';
import type { StripMark } from '@/ui/RestStrip';

export function stripMarks({ roastDate, marks }: BatchView): StripMark[] {
  return marks.map((mark) => ({
    kind: mark.kind,
    restDays: Math.max(0, daysBetween(roastDate, mark.day)),
    label: markWords(mark),
  }));
}
