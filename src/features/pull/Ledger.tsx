'use client';

import styled from 'styled-components';
import type { Bench } from '@/data/releaseView';
import { QuietButton } from '@/ui/Button';
import { Hidden, SectionTitle, Table, TableScroll } from '@/ui/type';
import { verdictOf } from './verdict';

const Scroll = styled(TableScroll)`
  td:not(.words) {
    white-space: nowrap;
  }
`;

const Verdict = styled.td`
  width: 36%;

  &&[data-landed='true'] {
    color: var(--verdigris);
    font-weight: 640;
  }
`;

/** Every shot of this dial-in, newest first: the gate as a table. */
export function Ledger({ bench, onRemove }: { bench: Bench; onRemove: (shotId: string) => void }) {
  const { shots, spentG, setup } = bench;
  return (
    <section>
      <SectionTitle>
        Ledger: {shots.length} {shots.length === 1 ? 'shot' : 'shots'}, {spentG.toFixed(0)} g of
        coffee spent
        {setup.grinder.retentionG > 0 && ' with purges'}
      </SectionTitle>
      <Scroll aria-label="Ledger of shots">
        <Table>
          <thead>
            <tr>
              <th scope="col">Shot</th>
              <th scope="col">Dial</th>
              <th scope="col">Dose, g</th>
              <th scope="col">Yield, g</th>
              <th scope="col">Time, s</th>
              <th scope="col">First drip, s</th>
              <th scope="col">Day</th>
              <th scope="col" className="words">
                What it did
              </th>
              <th scope="col">
                <Hidden>Take back</Hidden>
              </th>
            </tr>
          </thead>
          <tbody>
            {[...shots].reverse().map((shot, i) => (
              <tr key={shot.id}>
                <td>{shots.length - i}</td>
                <td>
                  {shot.dial}
                  {shot.purged ? ' purged' : ''}
                </td>
                <td>{shot.doseG.toFixed(1)}</td>
                <td>{shot.yieldG.toFixed(1)}</td>
                <td>{shot.timeS.toFixed(1)}</td>
                <td>{shot.firstDripS?.toFixed(1) ?? ''}</td>
                <td>{shot.restDays}</td>
                <Verdict className="words" data-landed={shot.mark.landed}>
                  {verdictOf(shot, bench)}
                  {shot.remark && `. ${shot.remark}`}
                </Verdict>
                <td>
                  <QuietButton
                    onPress={() => onRemove(shot.id)}
                    aria-label={`Take back shot ${shots.length - i}`}
                  >
                    take back
                  </QuietButton>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroll>
    </section>
  );
}
