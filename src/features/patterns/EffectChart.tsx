'use client';

import styled from 'styled-components';
import type { Effect } from '@/core/start/effects';
import type { Output } from '@/core/start/priors';
import { usePerson } from '@/ui/person';
import { Hidden, labelText, TableScroll } from '@/ui/type';
import { effectFigure, shownEffect } from './findings';

const Grid = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;

  th {
    ${labelText}
    padding: 2px 10px 2px 0;
    text-align: right;
    font-size: 13px;
    white-space: nowrap;
  }

  td {
    padding: 0 10px 0 0;
    text-align: right;
    white-space: nowrap;
  }

  th:first-child,
  td:first-child {
    text-align: left;
  }

  .track {
    width: 46%;
    padding-right: 12px;
  }

  tr[data-different='true'] td:first-child {
    font-weight: 660;
  }
`;

const Track = styled.svg`
  display: block;
  width: 100%;
  height: 22px;
`;

const WIDTH = 400;
const MIDDLE_Y = 11;

/**
 * Each factor's effect: the rule as a hollow lozenge, the house's own figure as a filled dot with its
 * 80 % interval. The figures stand beside it, so the drawing needs no other equivalent.
 */
export function EffectChart({ effects, output }: { effects: readonly Effect[]; output: Output }) {
  const { units } = usePerson();
  const at = (value: number) => shownEffect(value, output, units);
  const ends = effects.flatMap(({ rule, learned, halfWidth80 }) =>
    [rule, learned - halfWidth80, learned + halfWidth80].map(at),
  );
  const low = Math.min(0, ...ends);
  const high = Math.max(0, ...ends);
  const pad = 0.04 * (high - low || 1);
  const x = (value: number) => (WIDTH * (value - low + pad)) / (high - low + 2 * pad || 1);
  return (
    <TableScroll aria-label="Effects">
      <Grid>
        <thead>
          <tr>
            <th scope="col">Factor</th>
            <th scope="col" className="track">
              <Hidden>Drawn</Hidden>
            </th>
            <th scope="col">◇ Rule</th>
            <th scope="col">● Yours</th>
            <th scope="col">Likely (8 in 10)</th>
            <th scope="col">Releases</th>
          </tr>
        </thead>
        <tbody>
          {effects.map(({ name, label, rule, learned, halfWidth80, releases, isDifferent }) => {
            const [from, to] = [learned - halfWidth80, learned + halfWidth80];
            const colour = isDifferent ? 'var(--copper)' : 'var(--verdigris)';
            return (
              <tr key={name} data-different={isDifferent}>
                <td>{label}</td>
                <td className="track">
                  <Track viewBox={`0 0 ${WIDTH} 22`} aria-hidden="true">
                    <line x1={x(0)} x2={x(0)} y1={0} y2={22} stroke="var(--rule-strong)" />
                    <line
                      x1={x(at(from))}
                      x2={x(at(to))}
                      y1={MIDDLE_Y}
                      y2={MIDDLE_Y}
                      stroke={colour}
                      strokeWidth={4}
                    />
                    <path
                      d={`M${x(at(rule))} ${MIDDLE_Y - 7}l6 7-6 7-6-7z`}
                      fill="var(--enamel)"
                      stroke="var(--ink)"
                      strokeWidth={1.5}
                    />
                    <circle cx={x(at(learned))} cy={MIDDLE_Y} r={4.5} fill={colour} />
                  </Track>
                </td>
                <td>{effectFigure(rule, output, units)}</td>
                <td>
                  <strong>{effectFigure(learned, output, units)}</strong>
                </td>
                <td>
                  {effectFigure(from, output, units)} to {effectFigure(to, output, units)}
                </td>
                <td>{releases}</td>
              </tr>
            );
          })}
        </tbody>
      </Grid>
    </TableScroll>
  );
}
