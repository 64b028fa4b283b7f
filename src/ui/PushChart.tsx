'use client';

import styled from 'styled-components';
import { labelText } from './type';

/**
 * A sum drawn as steps: each row begins where the one before ended, the last row is the total with
 * its 80 % interval. Used for the ease scale and for the pushes of a proposal. The figures stand in
 * the rows as text, so the drawing needs no other equivalent.
 */
export interface PushRow {
  readonly label: string;
  readonly amount: number;
}

export interface PushChartProps {
  readonly rows: readonly PushRow[];
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

const Grid = styled.div`
  display: grid;
  grid-template-columns: minmax(120px, max-content) 1fr minmax(64px, max-content);
  gap: 0 12px;
  align-items: center;
  font-size: 14px;

  .amount {
    text-align: right;
    font-weight: 560;
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

export function PushChart(props: PushChartProps) {
  const { rows, from, total, interval80, format, formatChange, ticks, totalLabel } = props;
  const bars = rows.reduce<{ label: string; start: number; end: number; amount: number }[]>(
    (done, { label, amount }) => {
      const start = done.at(-1)?.end ?? from;
      return [...done, { label, start, end: start + amount, amount }];
    },
    [],
  );
  const values = [...props.span, ...interval80, from, ...bars.map((bar) => bar.end)];
  const low = Math.min(...values);
  const high = Math.max(...values);
  const x = (value: number) => (WIDTH * (value - low)) / (high - low || 1);
  return (
    <Grid>
      {bars.map(({ label, start, end, amount }) => (
        <Row key={label} label={label} amount={formatChange(amount)}>
          <line x1={x(from)} x2={x(from)} y1={0} y2={24} stroke="var(--rule)" />
          <rect
            x={Math.min(x(start), x(end))}
            y={6}
            width={Math.max(1.5, Math.abs(x(end) - x(start)))}
            height={12}
            fill={amount < 0 ? 'var(--rule-strong)' : 'var(--ink)'}
          />
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
        </>
      )}
    </Grid>
  );
}

function Row({
  label,
  amount,
  children,
}: {
  label: string;
  amount: string;
  children: React.ReactNode;
}) {
  return (
    <>
      <span>{label}</span>
      <Track viewBox={`0 0 ${WIDTH} 24`} preserveAspectRatio="none" aria-hidden="true">
        {children}
      </Track>
      <span className="amount">{amount}</span>
    </>
  );
}
