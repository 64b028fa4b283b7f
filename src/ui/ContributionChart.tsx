'use client';

import type { CSSProperties } from 'react';
import styled from 'styled-components';
import { labelText } from './type';

/**
 * A sum drawn as steps: each row begins where the one before ended, the last row is the total with
 * its 80 % interval. Used for the ease scale and for the contributions of a proposal. The figures stand in
 * the rows as text, so the drawing needs no other equivalent.
 */
export interface ContributionRow {
  readonly label: string;
  readonly amount: number;
  /** The part of the amount that the house's own releases have taught; the rest is the rule. */
  readonly learned?: number;
}

export interface ContributionChartProps {
  readonly rows: readonly ContributionRow[];
  /** Where the first row begins. */
  readonly from: number;
  readonly total: number;
  readonly totalLabel: string;
  readonly interval80: readonly [number, number];
  /** Ends of the scale; widened to hold everything. */
  readonly span: readonly [number, number];
  readonly format: (value: number) => string;
  readonly formatChange: (value: number) => string;
  /** Values named under the drawing, with the word of each. */
  readonly ticks?: readonly { readonly value: number; readonly label: string }[];
}

const Grid = styled.div<{ $isSplit: boolean }>`
  display: grid;
  grid-template-columns: minmax(120px, max-content) 1fr ${({ $isSplit }) =>
      $isSplit ? 'minmax(48px, max-content) minmax(58px, max-content)' : ''} minmax(
      64px,
      max-content
    );
  gap: 0 12px;
  align-items: center;
  font-size: 14px;

  @media (max-width: 480px) {
    grid-template-columns: minmax(0, 5fr) minmax(0, 4fr) ${({ $isSplit }) =>
        $isSplit ? 'minmax(0, 3fr) minmax(0, 3fr)' : ''} minmax(0, 3fr);
    column-gap: 5px;
    overflow-wrap: anywhere;
  }

  .amount {
    text-align: right;
    font-weight: 560;
  }

  .head {
    ${labelText}
    text-align: right;
    font-size: 13px;
  }

  .head::before {
    content: '';
    display: inline-block;
    width: 9px;
    height: 9px;
    margin-right: 5px;
    background: var(--swatch, none);
  }

  .total {
    font-weight: 680;
    padding-top: 5px;
  }

  .ticks {
    ${labelText}
    position: relative;
    height: 22px;
    border-top: 1px solid var(--rule-strong);
    font-size: 13px;
  }

  .ticks span {
    position: absolute;
    top: 2px;
    transform: translateX(-50%);
    white-space: nowrap;
  }
`;

const Track = styled.svg`
  display: block;
  width: 100%;
  height: 24px;
`;

const WIDTH = 400;

/** A row with the places it leads from, over the rule alone, and to. */
interface Bar extends ContributionRow {
  readonly start: number;
  readonly ruled: number;
  readonly end: number;
}

function barsOf(rows: readonly ContributionRow[], from: number): Bar[] {
  let at = from;
  return rows.map((row) => {
    const start = at;
    at += row.amount;
    return { ...row, start, ruled: at - (row.learned ?? 0), end: at };
  });
}

export function ContributionChart(props: ContributionChartProps) {
  const { rows, from, total, interval80, format, formatChange, ticks, totalLabel } = props;
  const bars = barsOf(rows, from);
  const isSplit = rows.some(({ learned }) => learned !== undefined);
  const values = [
    ...props.span,
    ...interval80,
    from,
    ...bars.flatMap((bar) => [bar.ruled, bar.end]),
  ];
  const low = Math.min(...values);
  const high = Math.max(...values);
  const x = (value: number) => (WIDTH * (value - low)) / (high - low || 1);
  return (
    <Grid $isSplit={isSplit}>
      {isSplit && (
        <>
          <span />
          <span />
          <span className="head" style={{ '--swatch': 'var(--ink)' } as CSSProperties}>
            Rule
          </span>
          <span className="head" style={{ '--swatch': 'var(--copper)' } as CSSProperties}>
            Learned
          </span>
          <span className="head">Together</span>
        </>
      )}
      {bars.map(({ label, start, ruled, end, amount, learned }) => (
        <Row
          key={label}
          label={label}
          split={
            isSplit ? [formatChange(amount - (learned ?? 0)), formatChange(learned ?? 0)] : null
          }
          amount={formatChange(amount)}
        >
          <line x1={x(from)} x2={x(from)} y1={0} y2={24} stroke="var(--rule)" />
          <rect
            x={Math.min(x(start), x(ruled))}
            y={isSplit ? 4 : 6}
            width={Math.max(1.5, Math.abs(x(ruled) - x(start)))}
            height={isSplit ? 8 : 12}
            fill={ruled < start ? 'var(--rule-strong)' : 'var(--ink)'}
          />
          {learned !== undefined && learned !== 0 && (
            <rect
              x={Math.min(x(ruled), x(end))}
              y={12}
              width={Math.max(1.5, Math.abs(x(end) - x(ruled)))}
              height={8}
              fill="var(--copper)"
            />
          )}
          <line x1={x(end)} x2={x(end)} y1={18} y2={24} stroke="var(--rule-strong)" />
        </Row>
      ))}
      <span className="total">{totalLabel}</span>
      <Track viewBox={`0 0 ${WIDTH} 24`} preserveAspectRatio="none" aria-hidden="true">
        <rect
          x={x(interval80[0])}
          y={8}
          width={x(interval80[1]) - x(interval80[0])}
          height={8}
          fill="var(--verdigris-wash)"
        />
        <path
          d={`M${x(interval80[0])} 5v14M${x(interval80[1])} 5v14`}
          stroke="var(--verdigris)"
          strokeWidth={1.5}
        />
        <line
          x1={x(total)}
          x2={x(total)}
          y1={2}
          y2={22}
          stroke="var(--verdigris)"
          strokeWidth={4}
        />
      </Track>
      {isSplit && (
        <>
          <span />
          <span />
        </>
      )}
      <span className="amount total">{format(total)}</span>
      {ticks && (
        <>
          <span />
          <span className="ticks">
            {ticks.map(({ value, label }) => (
              <span key={label} style={{ left: `${(100 * x(value)) / WIDTH}%` }}>
                {label}
              </span>
            ))}
          </span>
          <span />
          {isSplit && (
            <>
              <span />
              <span />
            </>
          )}
        </>
      )}
    </Grid>
  );
}

function Row({
  label,
  split,
  amount,
  children,
}: {
  label: string;
  /** Rule and learned, where they are told apart. */
  split: readonly [string, string] | null;
  amount: string;
  children: React.ReactNode;
}) {
  return (
    <>
      <span>{label}</span>
      <Track viewBox={`0 0 ${WIDTH} 24`} preserveAspectRatio="none" aria-hidden="true">
        {children}
      </Track>
      {split && (
        <>
          <span className="amount">{split[0]}</span>
          <span className="amount">{split[1]}</span>
        </>
      )}
      <span className="amount">{amount}</span>
    </>
  );
}
