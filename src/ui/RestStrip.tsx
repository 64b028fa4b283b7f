'use client';

import styled from 'styled-components';
import { REST_STATE_LABELS, type RestSpan, type RestState } from '@/core/rest/rest';
import { labelText } from './type';

/**
 * The life of one batch: rest days from left to right, its spans as bands, what happened as marks.
 * Text equivalent: the label of the figure says the day, the state and the span in words.
 */
export interface StripMark {
  readonly kind: 'shot' | 'tasting' | 'publication';
  readonly restDays: number;
  readonly label: string;
}

export interface RestStripProps {
  readonly restDays: number;
  readonly state: RestState;
  readonly span: RestSpan;
  readonly marks: readonly StripMark[];
  readonly isTall?: boolean;
}

const Figure = styled.figure`
  width: 100%;
`;

const Svg = styled.svg`
  display: block;
  width: 100%;
  overflow: visible;

  text {
    ${labelText}
    fill: currentColor;
    font-size: 13px;
  }

  .today {
    font-size: 13.5px;
    font-weight: 680;
    fill: var(--ink);
  }
`;

const WIDTH = 1000;
/** Days drawn before the roast and after fading, so that both ends can be read. */
const DAYS_AFTER = 7;

const BANDS = [
  { state: 'tooFresh', label: 'Too fresh', fill: 'var(--under-wash)' },
  { state: 'open', label: 'Open', fill: 'var(--enamel-sunk)' },
  { state: 'best', label: 'Best', fill: 'var(--verdigris-wash)' },
  { state: 'late', label: 'Late', fill: 'var(--enamel-sunk)' },
  { state: 'fading', label: 'Faded', fill: 'var(--over-wash)' },
] as const;

export function RestStrip({ restDays, state, span, marks, isTall = false }: RestStripProps) {
  const lastDay = Math.max(span.fades + DAYS_AFTER, restDays + 2);
  const x = (days: number) => (WIDTH * Math.min(days, lastDay)) / lastDay;
  const height = isTall ? 58 : 40;
  const band = { top: isTall ? 17 : 2, height: isTall ? 24 : 22 };
  const edges = [0, span.opens, span.bestFrom, span.bestTo, span.fades, lastDay];
  const nowX = x(restDays);
  return (
    <Figure
      role="img"
      aria-label={`Rested ${restDays} days: ${REST_STATE_LABELS[state].toLowerCase()}. ${spanWords(span)} ${marks.length} marks.`}
    >
      <Svg viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden="true">
        {BANDS.map(({ state: name, label, fill }, i) => {
          const from = x(edges[i]!);
          const to = x(edges[i + 1]!);
          return (
            <g key={name}>
              <rect x={from} y={band.top} width={Math.max(0, to - from)} height={band.height} fill={fill} />
              {to - from > 50 && (
                <text x={from + 7} y={band.top + 16} style={{ color: 'var(--ink)' }}>
                  {label}
                </text>
              )}
              {i > 0 && (
                <line
                  x1={from}
                  x2={from}
                  y1={band.top}
                  y2={band.top + band.height + 4}
                  stroke="var(--rule-strong)"
                />
              )}
              {i > 0 && (
                <text x={from + 3} y={band.top + band.height + 14} style={{ color: 'var(--ink-soft)' }}>
                  {Math.round(edges[i]!)}
                </text>
              )}
            </g>
          );
        })}
        {marks.map((mark, i) => (
          <Mark key={i} mark={mark} x={x(mark.restDays)} y={band.top + band.height} />
        ))}
        <line x1={nowX} x2={nowX} y1={0} y2={band.top + band.height + 5} stroke="var(--copper)" strokeWidth={3} />
        {isTall && (
          <text className="today" x={nowX + (nowX > WIDTH - 190 ? -6 : 6)} y={12} textAnchor={nowX > WIDTH - 190 ? 'end' : 'start'}>
            {`Day ${restDays}, ${REST_STATE_LABELS[state].toLowerCase()}`}
          </text>
        )}
      </Svg>
    </Figure>
  );
}

function Mark({ mark, x, y }: { mark: StripMark; x: number; y: number }) {
  const title = <title>{mark.label}</title>;
  switch (mark.kind) {
    case 'shot':
      return (
        <line x1={x} x2={x} y1={y - 8} y2={y} stroke="var(--ink)" strokeWidth={2}>
          {title}
        </line>
      );
    case 'tasting':
      return (
        <circle cx={x} cy={y - 12} r={3} fill="var(--ink)">
          {title}
        </circle>
      );
    case 'publication':
      return (
        <path d={`M${x} ${y - 22}l5 6-5 6-5-6z`} fill="var(--copper)">
          {title}
        </path>
      );
  }
}

/** "Opens at day 6, best from 8 to 21, fades at 35." */
export function spanWords({ opens, bestFrom, bestTo, fades }: RestSpan): string {
  const [open, from, to, end] = [opens, bestFrom, bestTo, fades].map(Math.round);
  return `Opens at day ${open}, best from ${from} to ${to}, fades at ${end}.`;
}
