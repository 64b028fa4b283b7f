'use client';

import type { ProposedVariable } from '@/core/start/proposedVariables';
import { useUnits } from '@/ui/person';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { NearestTable, PastCells, PAST_COLUMNS } from '@/ui/PastTable';
import type { NearRow } from '@/views/pastWords';
import type { EvidenceRow } from '@/views/start';
import { formatsOf, VARIABLES } from './variables';

/** The past releases a variable rests on, and those most like this coffee; each opens. */
export function PastRecipes({
  name,
  rows,
  nearest,
}: {
  name: ProposedVariable;
  rows: readonly EvidenceRow[];
  nearest: readonly NearRow[];
}) {
  const units = useUnits();
  const { formatChange } = formatsOf(name, units);
  if (rows.length === 0 && nearest.length === 0) return null;
  return (
    <>
      {rows.length > 0 && (
        <section>
          <SectionTitle>
            Past releases that move {VARIABLES[name].short.toLowerCase()} most
          </SectionTitle>
          <TableScroll aria-label="Most influential past releases">
            <Table>
              <TableHead columns={[...PAST_COLUMNS, 'Moves it by']} />
              <tbody>
                {rows.map((row) => (
                  <tr key={row.releaseId}>
                    <PastCells row={row} />
                    <td>{formatChange(row.effect)}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </TableScroll>
          <Small>“Moves it by”: how far the figure would go back without that release.</Small>
        </section>
      )}
      {nearest.length > 0 && (
        <section>
          <SectionTitle>Most like this coffee, by the rules</SectionTitle>
          <NearestTable rows={nearest} />
        </section>
      )}
    </>
  );
}
