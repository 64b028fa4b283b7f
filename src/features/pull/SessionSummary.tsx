'use client';

import styled from 'styled-components';
import { costWords, type CoffeePrice } from '@/core/money';
import type { PullView } from '@/views/pull';
import type { Bench } from '@/views/release';
import { useUnits } from '@/ui/person';
import { SectionTitle, Table, TableHead } from '@/ui/type';

const Figures = styled(Table)`
  td,
  th {
    padding-block: 3px;
  }
`;

const minutesWords = (minutes: number) => `${Math.max(1, Math.round(minutes))} min`;

/** What this dial-in has cost, beside what one usually costs here. */
export function SessionSummary({
  bench: { shotCount, spentG },
  pull: { usual, minutes },
  price,
}: {
  bench: Bench;
  pull: PullView;
  price: CoffeePrice | null;
}) {
  const { mass } = useUnits();
  if (shotCount === 0) return null;
  const rows = [
    { name: 'Shots', now: String(shotCount), usually: usual && String(usual.shots) },
    { name: 'Coffee, purges too', now: mass(spentG, 0), usually: usual && mass(usual.spentG, 0) },
    ...(price
      ? [
          {
            name: 'Money',
            now: costWords(spentG, price),
            usually: usual && costWords(usual.spentG, price),
          },
        ]
      : []),
    {
      name: 'At the bench',
      now: minutesWords(minutes),
      usually: usual && minutesWords(usual.minutes),
    },
  ];
  return (
    <section>
      <SectionTitle>What it cost</SectionTitle>
      <Figures>
        <TableHead
          columns={[
            { hidden: 'Figure' },
            'So far',
            usual ? `Usual of ${usual.dialIns} here` : 'Usual here',
          ]}
        />
        <tbody>
          {rows.map(({ name, now, usually }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{now}</td>
              <td>{usually ?? 'after three dial-ins'}</td>
            </tr>
          ))}
        </tbody>
      </Figures>
    </section>
  );
}
