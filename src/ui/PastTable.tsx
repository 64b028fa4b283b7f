'use client';

import { figure } from '@/core/figure';
import { Link } from './Link';
import { dayWords } from '@/core/dayWords';
import { useUnits } from './person';
import { Small, Table, TableHead, TableScroll } from './type';

/** A past release in a few words, and the recipe it ended on. */
export interface PastRow {
  readonly releaseId: string;
  readonly name: string;
  readonly kind: string;
  readonly ratio: number;
  readonly temperatureC: number;
  readonly day: string;
  readonly isRecord: boolean;
}

/** Heads of the cells every list of past releases begins with. */
export const PAST_COLUMNS = [
  'Release',
  { words: 'Coffee' },
  'Decided',
  'Ratio',
  'Temperature',
] as const;

/** A past release, which opens, and the recipe it ended on. */
export function PastCells({ row }: { row: PastRow }) {
  const { temperature } = useUnits();
  return (
    <>
      <td>
        <Link href={`/releases/${row.releaseId}`}>{row.name}</Link>
      </td>
      <td className="words">
        {row.kind}
        {row.isRecord && ', from your records'}
      </td>
      <td>{dayWords(row.day)}</td>
      <td>1:{figure(row.ratio, 2)}</td>
      <td>{temperature(row.temperatureC)}</td>
    </>
  );
}

/** Past releases by likeness, nearest first. */
export function NearestTable({
  rows,
}: {
  rows: readonly (PastRow & { readonly distance: number })[];
}) {
  return (
    <>
      <TableScroll aria-label="Nearest past releases">
        <Table>
          <TableHead columns={[...PAST_COLUMNS, 'Apart']} />
          <tbody>
            {rows.map((row) => (
              <tr key={row.releaseId}>
                <PastCells row={row} />
                <td>{figure(row.distance, 1)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Small>
        “Apart”: how differently the rules might treat the two, 1 being what two like releases
        differ by anyway. Rule of thumb.
      </Small>
    </>
  );
}
