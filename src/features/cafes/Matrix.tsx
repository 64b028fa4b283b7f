'use client';

import { Link } from '@/ui/Link';
import styled from 'styled-components';
import { STATE_SIGNS, STATE_WORDS, CHECK_STATES, type CheckState } from '@/core/cafes/checkState';
import { shortDayWords } from '@/core/dayWords';
import { Hidden, Small, Table, TableScroll } from '@/ui/type';
import type { CafeLine, MatrixCell } from '@/views/cafes';

const Cell = styled.span`
  display: inline-grid;
  place-items: center;
  width: 24px;
  height: 24px;
  margin: 0 2px 2px 0;
  border: 1px solid var(--rule-strong);
  font-size: 14px;
  font-weight: 640;

  &[data-side='fast'] {
    border-color: var(--under);
    background: var(--under-wash);
  }

  &[data-side='slow'] {
    border-color: var(--over);
    background: var(--over-wash);
  }

  &[data-side='in'] {
    border-color: var(--verdigris);
    color: var(--verdigris);
  }

  &[data-side='missed'] {
    border-style: dashed;
    color: var(--ink-soft);
  }
`;

const Days = styled(Table)`
  td {
    text-align: left;
    min-width: 92px;
  }

  th {
    text-align: left;
  }
`;

const SIDES: Readonly<Record<CheckState, string>> = {
  choked: 'slow',
  slow: 'slow',
  fast: 'fast',
  dose: 'off',
  yield: 'off',
  taste: 'off',
  inside: 'in',
};

/** Cafés against days: every check with what was off, by a sign and a word. */
export function Matrix({ cafes }: { cafes: readonly CafeLine[] }) {
  const days = cafes[0]?.days ?? [];
  return (
    <div>
      <TableScroll aria-label="Checks of the last week">
        <Days>
          <thead>
            <tr>
              <th scope="col">Café</th>
              {days.map(({ day }) => (
                <th scope="col" key={day}>
                  {shortDayWords(day)}
                </th>
              ))}
              <th scope="col">Inside</th>
            </tr>
          </thead>
          <tbody>
            {cafes.map(({ partner, days: own, inside, made, due }) => (
              <tr key={partner.id}>
                <td className="words">
                  <Link href={`/field/cafes/${partner.id}`}>{partner.name}</Link>
                  <br />
                  <Small>{partner.town}</Small>
                </td>
                {own.map(({ day, isClosed, cells }) => (
                  <td key={day}>
                    {cells.map((cell, i) => (
                      <Mark key={i} cell={cell} />
                    ))}
                    {cells.length === 0 && isClosed && <Small>closed</Small>}
                  </td>
                ))}
                <td className="words">
                  {inside} of {made}
                  <br />
                  <Small>{due} rounds due</Small>
                </td>
              </tr>
            ))}
          </tbody>
        </Days>
      </TableScroll>
      <Small as="p">
        {CHECK_STATES.map((state) => `${STATE_SIGNS[state]} ${STATE_WORDS[state]}`).join(' · ')} · ○
        not made. A mark is a round: the worst of its coffees.
      </Small>
    </div>
  );
}

function Mark({ cell: { state, words } }: { cell: MatrixCell }) {
  return (
    <Cell data-side={state === null ? 'missed' : SIDES[state]} title={words}>
      <span aria-hidden="true">{state === null ? '○' : STATE_SIGNS[state]}</span>
      <Hidden>{words}. </Hidden>
    </Cell>
  );
}
