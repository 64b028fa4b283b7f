'use client';

import { extraction } from '@/core/extraction/extraction';
import { tasteDirection } from '@/core/taste/direction';
import type { StoredTasting } from '@/data/tastings';
import { QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { useMay, usePerson } from '@/ui/person';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import type { Bench } from '@/views/release';
import { Table, TableScroll, TableHead } from '@/ui/type';

/** Cup sheets of this dial-in with the direction each points in. */
export function TastingList({
  bench,
  roastLevel,
  onCorrect,
}: {
  bench: Bench;
  roastLevel: number;
  onCorrect: (tasting: StoredTasting) => void;
}) {
  const { id: personId } = usePerson();
  const isLead = useMay('lead');
  const { submit, faults } = useCommand();
  const remove = async ({ id: tastingId }: StoredTasting) => {
    const answer = await submit('removeTasting', { tastingId });
    if (answer.ok)
      offerUndo({
        words: 'A cup sheet was deleted.',
        kind: 'restoreTasting',
        input: { tastingId },
      });
  };
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
            { hidden: 'Correct or delete' },
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
              <td style={{ whiteSpace: 'nowrap' }}>
                {(isLead || tasting.tastedById === personId) && (
                  <>
                    <QuietButton
                      onPress={() => onCorrect(tasting)}
                      aria-label={`Correct ${tasting.tastedBy}’s sheet of shot ${shot.number}`}
                    >
                      correct
                    </QuietButton>
                    <QuietButton
                      onPress={() => void remove(tasting)}
                      aria-label={`Delete ${tasting.tastedBy}’s sheet of shot ${shot.number}`}
                    >
                      delete
                    </QuietButton>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Faults faults={faults} />
    </TableScroll>
  );
}
