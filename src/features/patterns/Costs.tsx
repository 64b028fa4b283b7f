'use client';

import { figure } from '@/core/figure';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { dayWords } from '@/core/dayWords';
import { halves, medianOf } from '@/core/patterns/series';
import { LazyTimeChart } from '@/ui/charts/LazyTimeChart';
import { Choice } from '@/ui/choices';
import { useUnits } from '@/ui/person';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { Unfold } from '@/ui/Unfold';
import type { CostPoint, Newest } from '@/views/patterns';
import { useOrder } from '@/ui/useOrder';
import { newestWords } from './newestWords';

const SHOWN = [
  { value: 'shots', label: 'Shots' },
  { value: 'spentG', label: 'Coffee' },
] as const;

/** What it took to prove a setting, dial-in by dial-in. */
export function Costs({
  points: dialIns,
  count,
  exportHref,
}: Newest<CostPoint> & { exportHref: string }) {
  const router = useRouter();
  const { mass } = useUnits();
  const [open, setOpen] = useState<'shots' | 'spentG'>('shots');
  const ordered = useOrder(dialIns, {
    by: {
      name: ({ name }) => name,
      day: ({ day }) => day,
      shots: ({ shots }) => shots,
      spentG: (one) => one.spentG,
      ended: ({ isOnTarget }) => (isOnTarget ? 'on target' : 'not on target'),
    },
    down: ['day', 'shots', 'spentG'],
  });
  const onTarget = dialIns.filter(({ isOnTarget }) => isOnTarget);
  const format = (value: number) => (open === 'spentG' ? mass(value, 0) : figure(value, 0));
  const [older, newer] = halves(onTarget).map((half) => medianOf(half.map((one) => one[open])));
  return (
    <section>
      <SectionTitle as="h2">Shots and coffee to a setting on target</SectionTitle>
      {dialIns.length === 0 ? (
        <p>Here stands what each dial-in took, once shots are logged.</p>
      ) : (
        <>
          <Choice label="Count" value={open} onChange={setOpen} options={SHOWN} />
          {onTarget.length >= 4 && (
            <p style={{ margin: '8px 0' }}>
              In the middle {format(older!)}
              {open === 'shots' ? ' shots' : ''} over the older half and {format(newer!)} over the
              newer half of {onTarget.length} dial-ins on target; {dialIns.length - onTarget.length}{' '}
              more ended before that.
            </p>
          )}
          <LazyTimeChart
            label="Spent until on target, over time; the table below says the same"
            points={dialIns.map((one) => ({
              id: one.releaseId,
              name: one.name,
              day: one.day,
              value: one[open],
              isHollow: !one.isOnTarget,
            }))}
            fromZero
            format={format}
            onOpen={(id) => router.push(`/releases/${id}/pull`)}
          />
          <Unfold label="As a table, each with its release">
            {() => (
              <TableScroll aria-label="Shots and coffee to a setting on target">
                <Table>
                  <TableHead
                    columns={[
                      ordered.head('name', { words: 'Release' }),
                      ordered.head('day', { figures: 'Begun' }),
                      ordered.head('shots', { figures: 'Shots' }),
                      ordered.head('spentG', { figures: 'Coffee' }),
                      ordered.head('ended', { words: 'Ended' }),
                    ]}
                  />
                  <tbody>
                    {ordered.rows.map((one, i) => (
                      <tr key={i}>
                        <td>
                          <Link href={`/releases/${one.releaseId}/pull`}>{one.name}</Link>
                        </td>
                        <td>{dayWords(one.day)}</td>
                        <td>{one.shots}</td>
                        <td>{mass(one.spentG, 0)}</td>
                        <td className="words">{one.isOnTarget ? 'on target' : 'not on target'}</td>
                      </tr>
                    ))}
                  </tbody>
                </Table>
              </TableScroll>
            )}
          </Unfold>
          <Small>
            A hollow point was never on target. {newestWords(dialIns.length, count)}
            <a href={exportHref}>Export CSV</a>
          </Small>
        </>
      )}
    </section>
  );
}
