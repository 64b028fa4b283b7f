'use client';

import type { ReactNode } from 'react';
import styled from 'styled-components';
import { outlineOf, type Outline } from '@/core/programme/outline';
import { DRIVE_UNITS, type Drive, type Programme } from '@/core/programme/step';
import { programmeWords } from '@/core/programme/words';
import { labelText } from '../type';

const Svg = styled.svg<{ $isSmall: boolean }>`
  display: block;
  width: 100%;
  height: auto;
  color: var(--curve-ink, var(--ink));
  ${({ $isSmall }) =>
    !$isSmall && 'background: var(--enamel-raised); border: 1px solid var(--rule);'}

  text {
    ${labelText}
    fill: var(--curve-soft, var(--ink-soft));
    font-size: 13px;
  }

  .post {
    stroke: var(--verdigris);
    stroke-width: 2;
    stroke-dasharray: 5 4;
  }

  .post-words {
    fill: var(--verdigris);
    font-weight: 640;
  }
`;

/** Sizes of the drawing: one that is worked in, one that stands beside words. */
const SIZES = {
  full: { width: 760, height: 258, pad: { left: 48, right: 14, top: 22, bottom: 26 } },
  small: { width: 260, height: 64, pad: { left: 2, right: 2, top: 4, bottom: 2 } },
} as const;

export interface ProgrammeCurveProps {
  readonly programme: Programme;
  readonly size?: keyof typeof SIZES;
  /** Time window of the recipe, from the pump. */
  readonly windowS?: readonly [number, number] | undefined;
  /** Drawn over the treads; told where things are. */
  readonly children?: (outline: Outline) => ReactNode;
}

/** What a machine does during a shot: a lane for pressure, a lane for flow, a tread for each step. */
export function ProgrammeCurve({
  programme,
  size = 'full',
  windowS,
  children,
}: ProgrammeCurveProps) {
  const { width, height, pad } = SIZES[size];
  const isFull = size === 'full';
  const box = {
    x: pad.left,
    y: pad.top,
    width: width - pad.left - pad.right,
    height: height - pad.top - pad.bottom,
  };
  const outline = outlineOf(programme, box, {
    lanes: isFull ? 'both' : 'used',
    shotS: windowS ? windowS[1] * 1.15 : 0,
  });
  return (
    <Svg
      viewBox={`0 0 ${width} ${height}`}
      $isSmall={!isFull}
      role={children ? 'group' : 'img'}
      aria-label={`${children ? 'Steps' : 'Programme'}: ${programmeWords(programme)}`}
    >
      {isFull && <Axes outline={outline} bottom={height - pad.bottom} />}
      {isFull && windowS && <Window outline={outline} windowS={windowS} />}
      {outline.treads.map((tread, i) => (
        <g key={i}>
          <path d={tread.area} fill="currentColor" opacity={tread.isPause ? 0 : 0.13} />
          <path
            d={tread.edge}
            stroke="currentColor"
            strokeWidth={isFull ? 3 : 2.5}
            fill="none"
            strokeDasharray={tread.isPause ? '2 6' : undefined}
          />
          {tread.limit && (
            <path
              d={tread.limit}
              stroke="currentColor"
              strokeWidth={1.5}
              strokeDasharray="7 4"
              fill="none"
            />
          )}
          {isFull && tread.isPause && (
            <text x={(tread.fromX + tread.toX) / 2} y={tread.topY - 16} textAnchor="middle">
              pause
            </text>
          )}
        </g>
      ))}
      {children?.(outline)}
    </Svg>
  );
}

/** Levels named on each lane. */
const TICKS: Record<Drive, readonly number[]> = {
  pressure: [0, 3, 6, 9, 12],
  flow: [0, 2, 4, 6, 8, 10],
};

function Axes({ outline: { lanes, x, y, untilS }, bottom }: { outline: Outline; bottom: number }) {
  const everyS = untilS > 70 ? 10 : 5;
  const seconds = Array.from({ length: Math.floor(untilS / everyS) + 1 }, (_, i) => i * everyS);
  return (
    <g>
      {lanes.map(({ drive, box, most }) => (
        <g key={drive}>
          {ticksOf(drive, most).map((level) => (
            <g key={level}>
              <line
                x1={box.x}
                x2={box.x + box.width}
                y1={y(drive, level)}
                y2={y(drive, level)}
                stroke="var(--rule)"
              />
              <text x={box.x - 6} y={y(drive, level) + 4} textAnchor="end">
                {level}
              </text>
            </g>
          ))}
          <text x={2} y={box.y + box.height / 2 + 4}>
            {DRIVE_UNITS[drive]}
          </text>
        </g>
      ))}
      {seconds.map((second) => (
        <text key={second} x={x(second)} y={bottom + 18} textAnchor="middle">
          {second === 0 ? '0 s' : second}
        </text>
      ))}
    </g>
  );
}

/** At most five on a lane, or their figures would touch. */
function ticksOf(drive: Drive, most: number): number[] {
  const within = TICKS[drive].filter((level) => level <= most);
  return within.length <= 4 ? within : within.filter((_, i) => i % 2 === 0);
}

function Window({
  outline: { x, lanes },
  windowS: [low, high],
}: {
  outline: Outline;
  windowS: readonly [number, number];
}) {
  const top = lanes[0]!.box.y;
  const last = lanes.at(-1)!.box;
  const floor = last.y + last.height;
  return (
    <g>
      <rect
        x={x(low)}
        y={top}
        width={x(high) - x(low)}
        height={floor - top}
        fill="var(--verdigris-wash)"
        opacity={0.5}
      />
      <path className="post" d={`M${x(low)} ${top}V${floor}M${x(high)} ${top}V${floor}`} />
      <text className="post-words" x={x(high)} y={top - 6} textAnchor="end">
        {`${low}-${high} s`}
      </text>
    </g>
  );
}
