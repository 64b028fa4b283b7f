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
    fill: var(--ink-soft);
    font-size: 13px;
  }

  /* A word stays readable where today's line crosses it. */
  .band {
    fill: var(--ink);
    stroke-width: 4px;
    paint-order: stroke;
  }

  .today {
    font-size: 13.5px;
    font-weight: 680;
    fill: var(--ink);
  }
`;

/** Days drawn after fading, so that the end can be read. */
const DAYS_AFTER = 7;
/** Below this share of the width a band is too narrow for its word. */
const WORD_NEEDS_PCT = 6;

export const BANDS = [
  { state: 'tooFresh', label: 'Too fresh', fill: 'var(--under-wash)' },
  { state: 'open', label: 'Open', fill: 'var(--enamel-sunk)' },
  { state: 'best', label: 'Best', fill: 'var(--verdigris-wash)' },
  { state: 'late', label: 'Late', fill: 'var(--enamel-sunk)' },
  { state: 'fading', label: 'Faded', fill: 'var(--over-wash)' },
] as const;

/** Rows of the drawing from the top, px: today's words, the band, the marks, the days. */
const ROWS = {
  tall: { words: 12, band: 17, bandHeight: 22, marks: 45, days: 63, height: 66 },
  low: { words: 0, band: 0, bandHeight: 20, marks: 26, days: 41, height: 44 },
} as const;

export function RestStrip({ restDays, state, span, marks, isTall = false }: RestStripProps) {
  const lastDay = Math.max(span.fades + DAYS_AFTER, restDays + 2);
  const pct = (days: number) => (100 * Math.min(days, lastDay)) / lastDay;
  const rows = isTall ? ROWS.tall : ROWS.low;
  const edges = [0, span.opens, span.bestFrom, span.bestTo, span.fades, lastDay];
  const nowPct = pct(restDays);
  const isLate = nowPct > 82;
  return (
    <Figure
      role="img"
      aria-label={`Rested ${restDays} days: ${REST_STATE_LABELS[state].toLowerCase()}. ${spanWords(span)} ${marks.length} marks.`}
    >
      <Svg height={rows.height} aria-hidden="true">
        {BANDS.map(({ state: name, fill }, i) => {
          const from = pct(edges[i]!);
          const to = pct(edges[i + 1]!);
          return (
            <g key={name}>
              <rect
                x={`${from}%`}
                y={rows.band}
                width={`${Math.max(0, to - from)}%`}
                height={rows.bandHeight}
                fill={fill}
              />
              {i > 0 && (
                <>
                  <line
                    x1={`${from}%`}
                    x2={`${from}%`}
                    y1={rows.band}
                    y2={rows.days - 3}
                    stroke="var(--rule-strong)"
                  />
                  <text x={`${from}%`} dx={4} y={rows.days}>
                    {Math.round(edges[i]!)}
                  </text>
                </>
              )}
            </g>
          );
        })}
        <line
          x1={`${nowPct}%`}
          x2={`${nowPct}%`}
          y1={0}
          y2={rows.band + rows.bandHeight}
          stroke="var(--copper)"
          strokeWidth={3}
        />
        {BANDS.map(({ state: name, label, fill }, i) => {
          const from = pct(edges[i]!);
          const isWide = pct(edges[i + 1]!) - from > WORD_NEEDS_PCT;
          return (
            isWide && (
              <text
                key={name}
                x={`${from}%`}
                dx={7}
                y={rows.band + 15}
                className="band"
                stroke={fill}
              >
                {label}
              </text>
            )
          );
        })}
        {marks.map((mark, i) => (
          <svg key={i} x={`${pct(mark.restDays)}%`} y={rows.marks} overflow="visible">
            <Mark mark={mark} />
          </svg>
        ))}
        {isTall && (
          <text
            className="today"
            x={`${nowPct}%`}
            dx={isLate ? -6 : 6}
            y={rows.words}
            textAnchor={isLate ? 'end' : 'start'}
          >
            {`Day ${restDays}, ${REST_STATE_LABELS[state].toLowerCase()}`}
          </text>
        )}
      </Svg>
    </Figure>
  );
}

/** Under the band: shots as ticks, tastings as rings, publications as a diamond. */
export function Mark({ mark: { kind, label } }: { mark: Pick<StripMark, 'kind' | 'label'> }) {
  const title = <title>{label}</title>;
  switch (kind) {
    case 'shot':
      return (
        <line y1={-5} y2={3} stroke="var(--ink)" strokeWidth={2}>
          {title}
        </line>
      );
    case 'tasting':
      return (
        <circle cx={9} r={3.5} fill="none" stroke="var(--ink)" strokeWidth={2}>
          {title}
        </circle>
      );
    case 'publication':
      return (
        <path d="M0-7l6 6.5-6 6.5-6-6.5z" fill="var(--copper)">
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
