'use client';

import { figure } from '@/core/figure';
import styled from 'styled-components';
import type { CupTaste } from '@/core/simulator/cupTaste';
import { Table, TableHead, TableScroll } from '@/ui/type';

const SCALES = [
  ['sharpness', 'Sharp acidity'],
  ['sweetness', 'Sweetness'],
  ['bitterness', 'Bitterness'],
  ['dryness', 'Dryness'],
  ['body', 'Body'],
] as const;

/** A figure with its length: compared at a glance, read exactly. */
const Bar = styled.span<{ $share: number }>`
  display: grid;
  grid-template-columns: minmax(40px, 1fr) 34px;
  gap: 8px;
  align-items: center;

  &::before {
    content: '';
    height: 12px;
    background: linear-gradient(var(--ink), var(--ink)) 0 0 / ${({ $share }) => 100 * $share}% 100%
      no-repeat var(--enamel-sunk);
  }
`;

export interface PracticeCupSheet {
  readonly name: string;
  readonly taste: CupTaste;
}

/** Cup sheets side by side, 0-10. */
export function CupTable({ sheets }: { sheets: readonly PracticeCupSheet[] }) {
  return (
    <TableScroll aria-label="Cup sheets">
      <Table>
        <TableHead columns={['Scale, 0-10', ...sheets.map(({ name }) => ({ words: name }))]} />
        <tbody>
          {SCALES.map(([scale, label]) => (
            <tr key={scale}>
              <td>{label}</td>
              {sheets.map(({ name, taste }) => (
                <td key={name}>
                  <Bar $share={taste[scale] / 10}>{figure(taste[scale], 1)}</Bar>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
    </TableScroll>
  );
}
