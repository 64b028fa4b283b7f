'use client';

import { extraction } from '@/core/extraction/extraction';
import { tasteDirection } from '@/core/taste/direction';
import type { Bench } from '@/views/release';
import { Table, TableScroll, TableHead } from '@/ui/type';

/** Cup sheets of this dial-in with the direction each points in. */
export function TastingList({ bench, roastLevel }: { bench: Bench; roastLevel: number }) {
  const rows = bench.shots.flatMap((shot) => shot.tastings.map((tasting) => ({ shot, tasting })));
  if (rows.length === 0) return <p>No cup sheet yet for this dial-in.</p>;
  return (
    <TableScroll aria-label="Cup sheets">
      <Table>
        <TableHead
          columns={[
            'Shot',
            { words: 'By' },
            'Liking',
            'TDS, %',
            'Extraction, %',
            { words: 'Found' },
            { words: 'Direction' },
          ]}
        />
        <tbody>
          {rows.reverse().map(({ shot, tasting }) => (
            <tr key={tasting.id}>
              <td>{shot.number}</td>
              <td className="words">{tasting.tastedBy}</td>
              <td>{tasting.scales.liking ?? ''}</td>
              <td>{shot.tdsPct?.toFixed(1) ?? ''}</td>
              <td>
                {shot.tdsPct === undefined
                  ? ''
                  : extraction({ ...shot, tdsPct: shot.tdsPct }).extractionPct.toFixed(1)}
              </td>
              <td className="words">{tasting.notesFound.join(', ')}</td>
              <td className="words">{tasteDirection(tasting.scales, roastLevel).words}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </TableScroll>
  );
}
