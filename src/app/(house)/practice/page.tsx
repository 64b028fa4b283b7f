import { LEVEL_FACTS, type PracticeLevel } from '@/core/practice/levels';
import { loadHouse } from '@/features/frame/load';
import { PracticePage } from '@/features/practice/PracticePage';

export const metadata = { title: 'Practice' };

interface Props {
  /** What somebody was sent here to practise. */
  readonly searchParams: Promise<{ day?: string | string[] }>;
}

export default async function Practice({ searchParams }: Props) {
  await loadHouse();
  const { day } = await searchParams;
  const isKnown = typeof day === 'string' && Object.hasOwn(LEVEL_FACTS, day);
  return <PracticePage first={isKnown ? (day as PracticeLevel) : undefined} />;
}
