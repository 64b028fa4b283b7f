'use client';

import { svgPoint } from '@/core/svgPoint';
import { figure } from '@/core/figure';
import styled from 'styled-components';
import type { Expectation, Proof, ShotMark } from '@/core/advice/types';
import { chanceMessage } from '@/core/chance';
import { say } from '@/words/say';
import { proofWords } from '@/words/adviceWords';
import { Z_80 } from '@/core/grinder/dial';
import type { Trace } from '@/core/trace/schema';
import { useUnits } from './person';
import { labelText } from './type';

/**
 * The gate: cup mass against time, with the recipe as a rectangle of yield ± tolerance and time
 * window. A shot typed in is a point with a stem from its first drip; it lands in the gate or misses
 * it on the side that names the fault. Text equivalent: the ledger lists the same shots as a table.
 */
export interface GateShot {
  readonly number: number;
  readonly yieldG: number;
  /** On the gate's clock; null when it cannot be converted. */
  readonly timeS: number | null;
  readonly firstDripS?: number | undefined;
  /** From a scale; drawn in place of the stem. */
  readonly trace?: Trace | undefined;
  readonly mark: ShotMark;
}

export interface GateProps {
  readonly yieldG: number;
  readonly yieldToleranceG: number;
  readonly timeS: readonly [number, number];
  readonly clockWords: string;
  readonly shots: readonly GateShot[];
  readonly expect: Expectation | null;
  /** What the shots at the present setting say of it together; null before there are any. */
  readonly proof: Proof | null;
  /** Seconds on the running clock, null while it stands. */
  readonly runningS: number | null;
  /** What the scale has said of the shot that runs or has just ended. */
  readonly live?: Trace | undefined;
}

const WIDTH = 760;
const HEIGHT = 282;
const PAD = { left: 46, right: 14, top: 14, bottom: 38 };

const Svg = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  background: var(--enamel-raised);
  border: 1px solid var(--rule);

  text {
    ${labelText}
    fill: var(--ink-soft);
    font-size: 13px;
  }

  .number {
    font-size: 13px;
    font-weight: 680;
    fill: var(--ink);
  }

  @container (max-width: 600px) {
    text,
    .number {
      font-size: 19px;
    }

    /* No room for it beside the larger figures; the plate names the clock. */
    .caption {
      display: none;
    }
  }

  @container (max-width: 420px) {
    text,
    .number {
      font-size: 24px;
    }
  }

  .gate-words {
    fill: var(--verdigris);
    font-weight: 660;
  }
`;

export function Gate(props: GateProps) {
  const { yieldG, yieldToleranceG, timeS, shots, expect, proof, runningS, clockWords, live } =
    props;
  const { mass } = useUnits();
  const scale = scaleOf(props);
  const [low, high] = timeS;
  const gate = {
    x: scale.x(low),
    y: scale.y(yieldG + yieldToleranceG),
    width: scale.x(high) - scale.x(low),
    height: scale.y(yieldG - yieldToleranceG) - scale.y(yieldG + yieldToleranceG),
  };
  const drip = usualDrip(shots);
  return (
    <Svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Gate: ${mass(yieldG)} ± ${mass(yieldToleranceG)} in ${low}-${high} s ${clockWords}. ${shotWords(shots)}${proof ? ` ${proofWords(proof)}` : ''}`}
    >
      <Axes scale={scale} clockWords={clockWords} />
      {/* The posts of the gate run through the plane, so a miss can be read from afar. */}
      <rect
        x={gate.x}
        width={gate.width}
        y={PAD.top}
        height={HEIGHT - PAD.top - PAD.bottom}
        fill="var(--verdigris-wash)"
        opacity={0.35}
      />
      <rect {...gate} fill="var(--verdigris-wash)" stroke="var(--verdigris)" strokeWidth={2.5} />
      <path
        d={`M${gate.x} ${HEIGHT - PAD.bottom}V${gate.y + gate.height}M${gate.x + gate.width} ${HEIGHT - PAD.bottom}V${gate.y + gate.height}`}
        stroke="var(--verdigris)"
        strokeWidth={2.5}
      />
      <text
        className="gate-words"
        x={gate.x + gate.width / 2}
        y={HEIGHT - PAD.bottom - 8}
        textAnchor="middle"
      >
        {`${low}-${high} s`}
      </text>
      {proof && <HoldBand proof={proof} scale={scale} />}
      {expect && <Expected expect={expect} yieldG={yieldG} dripS={drip} scale={scale} />}
      {shots.map((shot) => (
        <ShotPoint
          key={shot.number}
          shot={shot}
          isLast={shot === shots.at(-1)}
          scale={scale}
          timeS={timeS}
        />
      ))}
      {live && live.length > 1 && (
        <path d={lineOf(live, scale)} stroke="var(--copper)" strokeWidth={3.5} fill="none" />
      )}
      {runningS !== null && runningS <= scale.mostS && (
        <line
          x1={scale.x(runningS)}
          x2={scale.x(runningS)}
          y1={PAD.top}
          y2={HEIGHT - PAD.bottom}
          stroke="var(--copper)"
          strokeWidth={3}
        />
      )}
    </Svg>
  );
}

interface Scale {
  readonly x: (seconds: number) => number;
  readonly y: (grams: number) => number;
  readonly mostS: number;
  readonly mostG: number;
}

function scaleOf({ yieldG, timeS, shots, expect, live = [] }: GateProps): Scale {
  const times = [...shots.flatMap((shot) => shot.timeS ?? []), live.at(-1)?.timeS ?? 0];
  const mostS = Math.max(
    timeS[1] * 1.45,
    ...times.map((s) => s * 1.08),
    expect?.interval80[1] ?? 0,
  );
  const mostG = Math.max(
    yieldG * 1.3,
    ...shots.map((shot) => shot.yieldG * 1.08),
    1.08 * (live.at(-1)?.weightG ?? 0),
  );
  const spanX = WIDTH - PAD.left - PAD.right;
  const spanY = HEIGHT - PAD.top - PAD.bottom;
  return {
    x: (seconds) => PAD.left + (spanX * Math.min(seconds, mostS)) / mostS,
    y: (grams) => HEIGHT - PAD.bottom - (spanY * grams) / mostG,
    mostS,
    mostG,
  };
}

function Axes({ scale, clockWords }: { scale: Scale; clockWords: string }) {
  const stepS = scale.mostS > 70 ? 10 : 5;
  const stepG = scale.mostG > 70 ? 20 : 10;
  const ticks = (most: number, step: number) =>
    Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
  return (
    <g>
      {ticks(scale.mostG, stepG).map((grams) => (
        <g key={`g${grams}`}>
          <line
            x1={PAD.left}
            x2={WIDTH - PAD.right}
            y1={scale.y(grams)}
            y2={scale.y(grams)}
            stroke="var(--rule)"
          />
          <text x={PAD.left - 7} y={scale.y(grams) + 4} textAnchor="end">
            {grams}
          </text>
        </g>
      ))}
      {ticks(scale.mostS, stepS).map((seconds) => (
        <text
          key={`s${seconds}`}
          x={scale.x(seconds)}
          y={HEIGHT - PAD.bottom + 16}
          textAnchor="middle"
        >
          {seconds}
        </text>
      ))}
      <text x={6} y={PAD.top + 2}>
        g
      </text>
      <text className="caption" x={WIDTH - PAD.right} y={HEIGHT - 6} textAnchor="end">
        {`seconds ${clockWords}`}
      </text>
    </g>
  );
}

function Expected({
  expect,
  yieldG,
  dripS,
  scale,
}: {
  expect: Expectation;
  yieldG: number;
  dripS: number;
  scale: Scale;
}) {
  const [low, high] = expect.interval80;
  const y = scale.y(yieldG);
  return (
    <g stroke="var(--copper)" fill="none">
      <path
        d={`M${scale.x(expect.clock === 'pump' ? dripS : 0)} ${scale.y(0)}L${scale.x(expect.timeS)} ${y}`}
        strokeWidth={2}
        strokeDasharray="3 5"
      />
      <path
        d={`M${scale.x(low)} ${y - 6}v12M${scale.x(high)} ${y - 6}v12M${scale.x(low)} ${y}H${scale.x(high)}`}
        strokeWidth={2}
        strokeDasharray="3 3"
      />
      <circle cx={scale.x(expect.timeS)} cy={y} r={5} fill="var(--enamel-raised)" strokeWidth={2} />
    </g>
  );
}

/** Above the gate: the mean of the setting with its band, and how surely it holds the window. */
function HoldBand({ proof, scale }: { proof: Proof; scale: Scale }) {
  const y = PAD.top + 22;
  const half = Z_80 * proof.sdS;
  const [low, mean, high] = [proof.meanS - half, proof.meanS, proof.meanS + half].map((timeS) =>
    scale.x(Math.max(0, timeS)),
  ) as [number, number, number];
  return (
    <g>
      <path
        d={`M${low} ${y}H${high}M${low} ${y - 5}v10M${high} ${y - 5}v10`}
        stroke="var(--ink)"
        strokeWidth={2}
        fill="none"
      />
      <path d={`M${mean} ${y - 6}l5 6l-5 6l-5 -6z`} fill="var(--ink)" />
      <text className="number" x={mean} y={y - 10} textAnchor="middle">
        {`${figure(proof.meanS, 1)} ± ${figure(half, 1)} s, ${say(chanceMessage(proof.inWindow))} to hold`}
      </text>
    </g>
  );
}

type Side = 'landed' | 'fast' | 'slow' | 'other';

/** A shape and a colour for each side, so that neither is needed alone: the arrow points at the miss. */
const MARK_SHAPES: Record<Side, string> = {
  landed: 'M6 0A6 6 0 1 1-6 0A6 6 0 1 1 6 0z',
  fast: 'M5-7V7L-7 0z',
  slow: 'M-5-7V7L7 0z',
  other: 'M-5-5H5V5H-5z',
};
const MARK_COLOURS: Record<Side, string> = {
  landed: 'var(--verdigris)',
  fast: 'var(--under)',
  slow: 'var(--over)',
  other: 'var(--ink)',
};

function sideOf({ mark, timeS: shotS }: GateShot, [low, high]: GateProps['timeS']): Side {
  if (mark.landed) return 'landed';
  if (shotS !== null && shotS < low) return 'fast';
  return shotS !== null && shotS > high ? 'slow' : 'other';
}

function ShotPoint({
  shot,
  isLast,
  scale,
  timeS,
}: {
  shot: GateShot;
  isLast: boolean;
  scale: Scale;
  timeS: GateProps['timeS'];
}) {
  if (shot.timeS === null) return null;
  const x = scale.x(shot.timeS);
  const y = scale.y(shot.yieldG);
  const { mark } = shot;
  const side = sideOf(shot, timeS);
  const colour = MARK_COLOURS[side];
  const foot = scale.x(shot.firstDripS ?? 0);
  return (
    <g opacity={isLast ? 1 : 0.6}>
      {(shot.trace ?? shot.firstDripS) !== undefined && (
        <path
          d={shot.trace ? lineOf(shot.trace, scale) : `M${foot} ${scale.y(0)}L${x} ${y}`}
          stroke={colour}
          strokeWidth={isLast ? 2 : 1}
          fill="none"
        />
      )}
      <path
        d={MARK_SHAPES[side]}
        transform={`translate(${x} ${y}) scale(${isLast ? 1.25 : 1})`}
        fill={mark.valid ? colour : 'var(--enamel-raised)'}
        stroke={colour}
        strokeWidth={2}
      />
      <text
        className="number"
        x={isLast ? x : x - 10}
        y={isLast ? y - 13 : y - 7}
        textAnchor={isLast ? 'middle' : 'end'}
      >
        {shot.number}
      </text>
    </g>
  );
}

/** The cup as it filled. */
function lineOf(trace: Trace, scale: Scale): string {
  const points = trace.map(({ timeS, weightG }) =>
    svgPoint(scale.x(timeS), scale.y(Math.max(0, weightG))),
  );
  return `M${points.join('L')}`;
}

function usualDrip(shots: readonly GateShot[]): number {
  return shots.findLast((shot) => shot.firstDripS !== undefined)?.firstDripS ?? 0;
}

function shotWords(shots: readonly GateShot[]): string {
  const landed = shots.filter((shot) => shot.mark.landed).length;
  return `${shots.length} shots, ${landed} landed.`;
}
