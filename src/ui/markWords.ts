import { dayWords } from '@/core/dayWords';

const WORDS = {
  shot: ['shot', 'shots'],
  tasting: ['tasting', 'tastings'],
  publication: ['publication', 'publications'],
} as const;

/** "2 shots, 20 May 2026": what a mark on a strip stands for. */
export function markWords({
  kind,
  day,
  count,
}: {
  readonly kind: keyof typeof WORDS;
  readonly day: string;
  readonly count: number;
}): string {
  return `${count} ${WORDS[kind][count === 1 ? 0 : 1]}, ${dayWords(day)}`;
}
