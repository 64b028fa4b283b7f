'use client';

import { figure } from '@/core/figure';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import styled from 'styled-components';
import { dialWords } from '@/core/grinder/notation';
import { costWords, type CoffeePrice } from '@/core/money';
import type { Bench } from '@/views/release';
import { Button, QuietButton } from '@/ui/Button';
import { useUnits } from '@/ui/person';
import { Ledgered, SectionTitle, Small, Table, TableHead } from '@/ui/type';
import { useOrder } from '@/ui/useOrder';
import { verdictOf } from './verdict';

/** Fetched when it is opened. */
const CorrectShot = dynamic(() => import('./CorrectShot').then((all) => all.CorrectShot));

const Shots = styled(Ledgered)`
  @media (max-width: 640px) {
    tr {
      grid-template-columns: 40px 1fr 1fr 1fr 1fr;
    }

    :is(td, th):is(:nth-child(6), :nth-child(7)),
    th:nth-child(n + 8) {
      display: none;
    }

    td:nth-child(8) {
      grid-area: 2 / 1 / 3 / 4;
    }

    td:nth-child(9) {
      grid-area: 2 / 4 / 3 / -1;
    }
  }
`;

const Verdict = styled.td`
  width: 36%;

  &&[data-landed='true'] {
    color: var(--verdigris);
    font-weight: 640;
  }
`;

const Rough = styled.small`
  display: block;
  color: var(--ink-soft);
`;

/** So many are drawn at once; a dial-in rarely has more. */
const AT_FIRST = 40;

/** Every shot of this dial-in, newest first: the gate as a table. */
export function Ledger({
  bench,
  firsts,
  price,
  onRemove,
}: {
  bench: Bench;
  /** Shots that came first after a break. */
  firsts: readonly string[];
  price: CoffeePrice | null;
  onRemove: ((shotId: string) => void) | undefined;
}) {
  const { shots, shotCount, spentG, setup } = bench;
  const [isWhole, setWhole] = useState(false);
  const [correctedId, setCorrected] = useState<string | null>(null);
  const corrected = shots.find(({ id }) => id === correctedId);
  const earlierShots = shotCount - shots.length;
  const { rows, head } = useOrder([...shots].reverse(), {
    by: {
      number: ({ number }) => number,
      dial: ({ dial }) => dial,
      doseG: ({ doseG }) => doseG,
      yieldG: ({ yieldG }) => yieldG,
      timeS: ({ timeS }) => timeS,
      firstDripS: ({ firstDripS }) => firstDripS,
      restDays: ({ restDays }) => restDays,
    },
  });
  const shown = isWhole ? rows : rows.slice(0, AT_FIRST);
  const { mass, massFigure, volume } = useUnits();
  return (
    <section>
      <SectionTitle>
        Ledger: {shotCount} {shotCount === 1 ? 'shot' : 'shots'}, {mass(spentG, 0)} of coffee spent
        {setup.grinder.retentionG > 0 && ' with purges'}
        {price && `, ${costWords(spentG, price)}`}
      </SectionTitle>
      <Shots aria-label="Ledger of shots">
        <Table>
          <TableHead
            columns={[
              head('number', { figures: 'Shot' }),
              head('dial', { figures: 'Dial' }),
              head('doseG', { figures: 'Dose, g' }),
              head('yieldG', { figures: 'Yield, g' }),
              head('timeS', { figures: 'Time, s' }),
              head('firstDripS', { figures: 'First drip, s' }),
              head('restDays', { figures: 'Day' }),
              { words: 'What it did' },
              { hidden: 'Correct or delete' },
            ]}
          />
          <tbody>
            {shown.map((shot) => (
              <tr key={shot.id}>
                <td>{shot.number}</td>
                <td>
                  {dialWords(setup.grinder, shot.dial)}
                  {shot.purged ? ` purged${shot.purgeG ? ` ${massFigure(shot.purgeG)}` : ''}` : ''}
                </td>
                <td>{massFigure(shot.doseG)}</td>
                <td>
                  {massFigure(shot.yieldG)}
                  {shot.yieldMl !== undefined && <Rough> {volume(shot.yieldMl)}, rough</Rough>}
                </td>
                <td>{figure(shot.timeS, 1)}</td>
                <td>{shot.firstDripS === undefined ? '' : figure(shot.firstDripS, 1)}</td>
                <td>{shot.restDays}</td>
                <Verdict className="words" data-landed={shot.mark.landed}>
                  {verdictOf(shot, bench, firsts)}
                  {shot.overruled && `. Your change: ${shot.overruled}`}
                  {shot.remark && `. ${shot.remark}`}
                  {shot.puck && `. Puck: ${shot.puck}`}
                </Verdict>
                <td>
                  {onRemove && (
                    <>
                      <QuietButton
                        onPress={() => setCorrected(shot.id)}
                        aria-label={`Correct shot ${shot.number}`}
                      >
                        correct
                      </QuietButton>
                      <QuietButton
                        onPress={() => onRemove(shot.id)}
                        aria-label={`Delete shot ${shot.number}`}
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
      </Shots>
      {corrected && <CorrectShot shot={corrected} onClose={() => setCorrected(null)} />}
      {shown.length < shots.length && (
        <p>
          <Button onPress={() => setWhole(true)}>
            Show {shots.length - shown.length} older shots
          </Button>
        </p>
      )}
      {earlierShots > 0 && (
        <Small>
          {earlierShots} shots before these count in what was spent; they are in the export of
          shots.
        </Small>
      )}
    </section>
  );
}
