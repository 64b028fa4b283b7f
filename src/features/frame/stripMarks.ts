/** What happened to a batch, as marks on its rest strip. */
import { daysBetween } from '@/core/rest/day';
import type { ReleaseView } from '@/data/releaseView';
import { dayWords } from '@/ui/dates';
import type { StripMark } from '@/ui/RestStrip';

export function stripMarks({ batch, bench, versions }: ReleaseView): StripMark[] {
  const restDaysAt = (moment: string) =>
    Math.max(0, daysBetween(batch.roastDate, moment.slice(0, 10)));
  const shots = bench?.shots ?? [];
  return [
    ...shots.map(({ restDays, pulledAt }, i): StripMark => ({
      kind: 'shot',
      restDays,
      label: `Shot ${i + 1}, ${dayWords(pulledAt)}`,
    })),
    ...shots.flatMap(({ tastings }) =>
      tastings.map(({ tastedAt }): StripMark => ({
        kind: 'tasting',
        restDays: restDaysAt(tastedAt),
        label: `Tasted ${dayWords(tastedAt)}`,
      })),
    ),
    ...versions.map(({ number, publishedAt }): StripMark => ({
      kind: 'publication',
      restDays: restDaysAt(publishedAt),
      label: `Version ${number} published ${dayWords(publishedAt)}`,
    })),
  ];
}
