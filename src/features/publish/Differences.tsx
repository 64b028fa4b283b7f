'use client';

import type { Difference } from '@/formats/recipe/diff';
import { Notice, SectionTitle, Table, TableScroll, TableHead } from '@/ui/type';

/** What publishing now would change, field by field. */
export function Differences({
  differences,
  from,
  isAsPublished,
}: {
  differences: readonly Difference[];
  from: number;
  isAsPublished: boolean;
}) {
  return (
    <section>
      <SectionTitle>What differs from version {from}</SectionTitle>
      {differences.length === 0 ? (
        <Notice>
          {isAsPublished
            ? `Nothing: version ${from} says what stands on the bench. New words below would be the only change.`
            : `Nothing: the card would say what version ${from} says.`}
        </Notice>
      ) : (
        <TableScroll aria-label={`Differences from version ${from}`}>
          <Table>
            <TableHead columns={['Field', { words: `Version ${from}` }, { words: 'Now' }]} />
            <tbody>
              {differences.map(({ label, before, after }) => (
                <tr key={label}>
                  <td>{label}</td>
                  <td className="words">
                    <del>{before || 'nothing'}</del>
                  </td>
                  <td className="words">
                    <strong>{after || 'nothing'}</strong>
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </TableScroll>
      )}
    </section>
  );
}
