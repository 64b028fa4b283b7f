'use client';

import styled from 'styled-components';
import { BANDS, Mark, type StripMark } from './RestStrip';
import { labelText } from './type';

/**
 * One batch on the calendar: the same bands and marks as its rest strip, but placed by days from
 * today, so that the strips of a house stand under each other and share one line of today.
 * Text equivalent: the row it stands in says day and state in words.
 */
export interface CalendarSpan {
  /** First and last day drawn, in days from today. */
  readonly from: number;
  readonly to: number;
}

export interface CalendarStripProps {
  readonly span: CalendarSpan;
  /** Days from today of: roast, opens, best from, best to, fades. */
  readonly edges: readonly [number, number, number, number, number];
  /** Spells the bag in use lay frozen, in days from today: its rest stood still. */
  readonly frozen: readonly (readonly [from: number, to: number])[];
  readonly marks: readonly { kind: StripMark['kind']; day: number; label: string }[];
}

const HEIGHT = 36;
const BAND_HEIGHT = 18;
const MARKS_AT = 25;
/** Days from either end that carry no label. */
const EDGE_DAYS = 3;
/** Fading is drawn for a week; then the strip ends, as the coffee does. */
const FADING_DAYS = 7;

const Svg = styled.svg`
  display: block;
  width: 100%;
  overflow: hidden;
`;

export function CalendarStrip({ span, edges, frozen, marks }: CalendarStripProps) {
  const pct = percentOf(span);
  const ends = [...edges.slice(1), Math.max(edges[4] + FADING_DAYS, 1)];
  return (
    <Svg height={HEIGHT} aria-hidden="true">
      {BANDS.map(({ state, fill }, i) => {
        const from = pct(edges[i]!);
        return (
          <rect
            key={state}
            x={`${from}%`}
            width={`${Math.max(0, pct(ends[i]!) - from)}%`}
            y={0}
            height={BAND_HEIGHT}
            fill={fill}
            stroke={state === 'best' ? 'var(--verdigris)' : 'none'}
          />
        );
      })}
      {frozen.map(([from, to]) => (
        <rect
          key={from}
          x={`${pct(from)}%`}
          width={`${Math.max(0, pct(to) - pct(from))}%`}
          y={BAND_HEIGHT / 3}
          height={BAND_HEIGHT / 3}
          fill="var(--enamel)"
          stroke="var(--ink-soft)"
          strokeDasharray="3 2"
        />
      ))}
      {marks
        .filter(({ day }) => day >= span.from && day <= span.to)
        .map((mark) => (
          <svg
            key={`${mark.kind} ${mark.day}`}
            x={`${pct(mark.day)}%`}
            y={MARKS_AT}
            overflow="visible"
          >
            <Mark mark={mark} />
          </svg>
        ))}
      <Today at={pct(0)} />
    </Svg>
  );
}

const Axis = styled.svg`
  display: block;
  width: 100%;
  overflow: hidden;

  text {
    ${labelText}
    fill: var(--ink-soft);
    font-size: 13px;
  }

  .today {
    fill: var(--ink);
    font-weight: 680;
  }
`;

/** The days over the strips, one a week from today. */
export function CalendarAxis({
  span,
  labelOf,
}: {
  span: CalendarSpan;
  labelOf: (day: number) => string;
}) {
  const pct = percentOf(span);
  // A label at the very edge would be cut.
  const first = Math.ceil((span.from + EDGE_DAYS) / 7);
  const weeks = Array.from(
    { length: Math.floor((span.to - EDGE_DAYS) / 7) - first + 1 },
    (_, i) => 7 * (first + i),
  );
  return (
    <Axis height={22} aria-hidden="true">
      {weeks.map((day) =>
        day === 0 ? (
          <text key={day} className="today" x={`${pct(0)}%`} y={14} textAnchor="middle">
            Today
          </text>
        ) : (
          <text key={day} x={`${pct(day)}%`} y={14} textAnchor="middle">
            {labelOf(day)}
          </text>
        ),
      )}
    </Axis>
  );
}

function Today({ at }: { at: number }) {
  return (
    <line
      x1={`${at}%`}
      x2={`${at}%`}
      y1={0}
      y2={BAND_HEIGHT}
      stroke="var(--copper)"
      strokeWidth={3}
    />
  );
}

function percentOf({ from, to }: CalendarSpan) {
  return (day: number) => (100 * (Math.min(to, Math.max(from, day)) - from)) / (to - from);
}
