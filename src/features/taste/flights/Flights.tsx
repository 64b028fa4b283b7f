'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/ui/Link';
import { Moment } from '@/ui/moment';
import { useMay } from '@/ui/person';
import { SectionTitle, Table, TableHead, TableScroll } from '@/ui/type';
import { Unfold } from '@/ui/Unfold';
import type { NextCup } from '@/views/best';
import type { FlightLine } from '@/views/flight';
import type { FlightRecipe } from '@/views/flightRecipes';
import type { Bench } from '@/views/release';

/** Fetched when one is planned. */
const PlanFlight = dynamic(() => import('./PlanFlight').then((all) => all.PlanFlight));

/** The blind flights of a release, and one more. */
export function Flights({
  releaseId,
  flights,
  ...planned
}: {
  releaseId: string;
  flights: readonly FlightLine[];
  bench: Bench;
  recipes: readonly FlightRecipe[];
  next: readonly NextCup[];
}) {
  const mayPlan = useMay('bench');
  if (flights.length === 0 && !mayPlan) return null;
  return (
    <section aria-label="Blind flights">
      <SectionTitle>Blind flights</SectionTitle>
      {flights.length > 0 && (
        <TableScroll aria-label="Blind flights of this release">
          <Table>
            <TableHead columns={['What was asked', { words: 'State' }, 'Planned']} />
            <tbody>
              {flights.map(({ id, question, state, madeAt }) => (
                <tr key={id}>
                  <td>
                    <Link href={`/releases/${releaseId}/flights/${id}`}>{question}</Link>
                  </td>
                  <td className="words">{state}</td>
                  <td>
                    <Moment at={madeAt} />
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </TableScroll>
      )}
      {mayPlan && (
        <Unfold label="Plan a blind flight">
          {() => <PlanFlight releaseId={releaseId} {...planned} />}
        </Unfold>
      )}
    </section>
  );
}
