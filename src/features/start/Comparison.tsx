'use client';

import { type Proposal } from '@/core/start/propose';
import { PROPOSED_VARIABLES } from '@/core/start/proposedVariables';
import { useUnits } from '@/ui/person';
import { Table, TableHead, TableScroll } from '@/ui/type';
import { formatsOf, proposedValue, VARIABLES } from './variables';

/** Two proposals side by side, variable by variable, each with its interval, and what differs. */
export function Comparison({
  label,
  heads,
  one,
  other,
}: {
  label: string;
  heads: readonly [string, string];
  one: Proposal;
  other: Proposal;
}) {
  const units = useUnits();
  return (
    <TableScroll aria-label={label}>
      <Table>
        <TableHead
          columns={[{ hidden: 'Figure' }, heads[0], 'Likely', heads[1], 'Likely', 'Differs by']}
        />
        <tbody>
          {PROPOSED_VARIABLES.map((name) => {
            const { format, formatChange } = formatsOf(name, units);
            const band = (proposal: Proposal) => proposal.interval80[name].map(format).join(' to ');
            const [from, to] = [proposedValue(one, name), proposedValue(other, name)];
            return (
              <tr key={name}>
                <td>{name === 'grindSteps' ? 'Grind, steps finer' : VARIABLES[name].short}</td>
                <td>{format(from)}</td>
                <td>{band(one)}</td>
                <td>
                  <strong>{format(to)}</strong>
                </td>
                <td>{band(other)}</td>
                <td>{formatChange(to - from)}</td>
              </tr>
            );
          })}
          <tr>
            <td>Water</td>
            <td colSpan={2}>{one.recipe.programme}</td>
            <td colSpan={2}>{other.recipe.programme}</td>
            <td />
          </tr>
        </tbody>
      </Table>
    </TableScroll>
  );
}
