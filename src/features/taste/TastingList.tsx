'use client';

import { figure } from '@/core/figure';
import styled from 'styled-components';
import { extraction } from '@/core/extraction/extraction';
import { tasteDirection } from '@/core/taste/direction';
import type { StoredTasting } from '@/data/tastings';
import { QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { useMay, usePerson, useUnits } from '@/ui/person';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import type { Bench } from '@/views/release';
import { Ledgered, Table, TableHead } from '@/ui/type';

const Sheets = styled(Ledgered)`
  @media (max-width: 640px) {
    tr {
      grid-template-columns: 40px 2fr 1fr 1fr 1fr;
    }

    th:nth-child(n + 6) {
      display: none;
    }

    td:nth-child(6) {
      grid-area: 3 / 1 / 4 / 4;
    }

    td:nth-child(7) {
      grid-area: 2 / 1 / 3 / -1;
    }

    td:nth-child(8) {
      grid-area: 3 / 4 / 4 / -1;
    }
  }
`;

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
  const { say } = useUnits();
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
    <Sheets aria-label="Cup sheets">
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
              <td className="words">
                {tasting.tastedBy}
                {tasting.isBlind && ', blind'}
              </td>
              <td>{tasting.scales.liking ?? ''}</td>
              <td>{shot.tdsPct === undefined ? '' : figure(shot.tdsPct, 1)}</td>
              <td>
                {shot.tdsPct === undefined
                  ? ''
                  : figure(extraction({ ...shot, tdsPct: shot.tdsPct }).extractionPct, 1)}
                {shot.tdsPct !== undefined && shot.yieldMl !== undefined && ' by volume, rough'}
              </td>
              <td className="words">{tasting.notesFound.join(', ')}</td>
              <td className="words">{say(tasteDirection(tasting.scales, roastLevel).message)}</td>
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
    </Sheets>
  );
}
