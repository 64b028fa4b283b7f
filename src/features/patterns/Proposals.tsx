'use client';

import { figure, signed } from '@/core/figure';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { dayWords } from '@/core/dayWords';
import { halves, medianOf } from '@/core/patterns/series';
import { fahrenheitOf } from '@/core/units';
import { LazyTimeChart } from '@/ui/charts/LazyTimeChart';
import { Choice } from '@/ui/choices';
import { usePerson } from '@/ui/person';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { Unfold } from '@/ui/Unfold';
import type { Newest, ProposalPoint } from '@/views/patterns';
import { useOrder } from '@/ui/useOrder';
import { newestWords } from './newestWords';

const SHOWN = ['lnRatio', 'temperatureC', 'grindSteps'] as const;
type Shown = (typeof SHOWN)[number];

/** Proposed against published, release by release: does the model get nearer? */
export function Proposals({
  points,
  count,
  exportHref,
}: Newest<ProposalPoint> & { exportHref: string }) {
  const router = useRouter();
  const { units } = usePerson();
  const [open, setOpen] = useState<Shown>('lnRatio');
  const isF = units.temperature === 'F';
  const labels: Record<Shown, string> = {
    lnRatio: 'Ratio',
    temperatureC: `Temperature, °${units.temperature}`,
    grindSteps: 'Grind, steps',
  };
  const figureOf = (value: number) => {
    if (open === 'lnRatio') return Math.exp(value);
    return open === 'temperatureC' && isF ? fahrenheitOf(value) : value;
  };
  const digits = open === 'lnRatio' ? 2 : 1;
  const unit = { lnRatio: '', temperatureC: ` °${units.temperature}`, grindSteps: ' steps' }[open];
  const rows = points.flatMap((point) => {
    const value = point.values[open];
    if (!value) return [];
    const [proposed, decided] = [figureOf(value[0]), figureOf(value[1])];
    return [{ point, proposed, decided, off: decided - proposed }];
  });
  const ordered = useOrder(rows, {
    by: {
      name: ({ point }) => point.name,
      day: ({ point }) => point.day,
      proposed: ({ proposed }) => proposed,
      decided: ({ decided }) => decided,
      // By how far, whichever way.
      off: ({ off }) => Math.abs(off),
    },
    down: ['day', 'off'],
  });
  const [older, newer] = halves(rows).map((half) => medianOf(half.map(({ off }) => Math.abs(off))));
  return (
    <section>
      <SectionTitle as="h2">Proposed and published, over time</SectionTitle>
      {points.length === 0 ? (
        <p>
          Here stands how far each published recipe ended from what the model had proposed, once a
          proposal was put on the bench and published.
        </p>
      ) : (
        <>
          <Choice
            label="Compare"
            value={open}
            onChange={setOpen}
            options={SHOWN.map((value) => ({ value, label: labels[value].split(',')[0]! }))}
          />
          {rows.length >= 4 && (
            <p style={{ margin: '8px 0' }}>
              The middle distance between the two was {figure(older!, digits)}
              {unit} over the older half and {figure(newer!, digits)}
              {unit} over the newer half of {rows.length} releases.
            </p>
          )}
          {rows.length > 0 && (
            <LazyTimeChart
              label={`${labels[open]}: published less proposed, over time; the table below says the same`}
              points={rows.map(({ point, off }) => ({
                id: point.releaseId,
                name: point.name,
                day: point.day,
                value: off,
              }))}
              level={0}
              format={(value) => `${signed(value, digits)}${unit}`}
              onOpen={(id) => router.push(`/releases/${id}`)}
            />
          )}
          <Unfold label="As a table, each with its release">
            {() => (
              <TableScroll aria-label="Proposed and published">
                <Table>
                  <TableHead
                    columns={[
                      ordered.head('name', { words: 'Release' }),
                      ordered.head('day', { figures: 'Decided' }),
                      ordered.head('proposed', { figures: 'Proposed' }),
                      ordered.head('decided', { figures: 'Published' }),
                      ordered.head('off', { figures: 'Off by' }),
                    ]}
                  />
                  <tbody>
                    {ordered.rows.map(({ point, proposed, decided, off }) => (
                      <tr key={point.releaseId}>
                        <td>
                          <Link href={`/releases/${point.releaseId}`}>{point.name}</Link>
                        </td>
                        <td>{dayWords(point.day)}</td>
                        <td>
                          {figure(proposed, digits)}
                          {unit}
                        </td>
                        <td>
                          {figure(decided, digits)}
                          {unit}
                        </td>
                        <td>
                          {signed(off, digits)}
                          {unit}
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </Table>
              </TableScroll>
            )}
          </Unfold>
          <Small>
            A point is a release; pressing it opens it. {newestWords(points.length, count)}
            <a href={exportHref}>Export CSV</a>
          </Small>
        </>
      )}
    </section>
  );
}
