'use client';

import styled from 'styled-components';
import { costWords, type CoffeePrice } from '@/core/money';
import type { Bench } from '@/views/release';
import { QuietButton } from '@/ui/Button';
import { useUnits } from '@/ui/person';
import { SectionTitle, Table, TableHead, TableScroll } from '@/ui/type';
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
  const { shots, spentG, setup } = bench;
  const { units, mass, massFigure } = useUnits();
  return (
    <section>
      <SectionTitle>
        Ledger: {shots.length} {shots.length === 1 ? 'shot' : 'shots'}, {mass(spentG, 0)} of coffee
        spent
        {setup.grinder.retentionG > 0 && ' with purges'}
        {price && `, ${costWords(spentG, price)}`}
      </SectionTitle>
      <Scroll aria-label="Ledger of shots">
        <Table>
          <TableHead
            columns={[
              'Shot',
              'Dial',
              `Dose, ${units.mass}`,
              `Yield, ${units.mass}`,
              'Time, s',
              'First drip, s',
              'Day',
              { words: 'What it did' },
              { hidden: 'Take back' },
            ]}
          />
          <tbody>
            {[...shots].reverse().map((shot, i) => (
              <tr key={shot.id}>
                <td>{shots.length - i}</td>
                <td>
                  {shot.dial}
                  {shot.purged ? ` purged${shot.purgeG ? ` ${massFigure(shot.purgeG)}` : ''}` : ''}
                </td>
                <td>{massFigure(shot.doseG)}</td>
                <td>{massFigure(shot.yieldG)}</td>
                <td>{shot.timeS.toFixed(1)}</td>
                <td>{shot.firstDripS?.toFixed(1) ?? ''}</td>
                <td>{shot.restDays}</td>
                <Verdict className="words" data-landed={shot.mark.landed}>
                  {verdictOf(shot, bench, firsts)}
                  {shot.overruled && `. Overruled: ${shot.overruled}`}
                  {shot.remark && `. ${shot.remark}`}
                  {shot.puck && `. Puck: ${shot.puck}`}
                </Verdict>
                <td>
                  {onRemove && (
                    <QuietButton
                      onPress={() => onRemove(shot.id)}
                      aria-label={`Take back shot ${shots.length - i}`}
                    >
                      take back
                    </QuietButton>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroll>
    </section>
  );
}
