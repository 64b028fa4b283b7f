'use client';

import { figure } from '@/core/figure';
import type { PracticeState } from '@/core/practice/play';
import { useUnits } from '@/ui/person';
import { SectionTitle, Table, TableHead, TableScroll } from '@/ui/type';

/** The player's shots and, when the round is over, the advice's beside them. */
export function Ways({ yours, advised }: { yours: PracticeState; advised: PracticeState | null }) {
  const { massFigure } = useUnits();
  const count = Math.max(yours.shots.length, advised?.shots.length ?? 0);
  if (count === 0) return null;
  const cellsOf = (state: PracticeState, i: number) => {
    const shot = state.shots[i];
    const mark = state.advice.marks[i];
    return (
      <>
        <td>{shot?.dial ?? ''}</td>
        <td>{shot ? massFigure(shot.doseG) : ''}</td>
        <td>{shot?.purgeG ? massFigure(shot.purgeG) : ''}</td>
        <td>{shot ? figure(shot.timeS, 1) : ''}</td>
        <td className="words">{mark ? wordsOf(mark) : ''}</td>
      </>
    );
  };
  const columns = (whose: string) => [
    `${whose} dial`,
    `${whose} dose, g`,
    `${whose} purge, g`,
    `${whose} time, s`,
    { words: `What ${whose.toLowerCase()} shot did` },
  ];
  return (
    <section>
      <SectionTitle>{advised ? 'Your way, and the advice’s' : 'Your way'}</SectionTitle>
      <TableScroll aria-label="Shots of this round">
        <Table>
          <TableHead columns={['Shot', ...columns('Your'), ...(advised ? columns('Its') : [])]} />
          <tbody>
            {Array.from({ length: count }, (_, i) => (
              <tr key={i}>
                <td>{i + 1}</td>
                {cellsOf(yours, i)}
                {advised && cellsOf(advised, i)}
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
    </section>
  );
}

function wordsOf(mark: PracticeState['advice']['marks'][number]): string {
  if (mark.choked) return 'choked';
  if (mark.gushing) return 'gushed';
  if (mark.landed) return 'landed';
  if (mark.unpurged) return 'unpurged';
  if (mark.outlier) return 'odd one out';
  return mark.inTime ? 'off in dose or yield' : 'missed';
}
