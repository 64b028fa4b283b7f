'use client';

import { figure } from '@/core/figure';
import styled from 'styled-components';
import { finerSign } from '@/core/grinder/dial';
import { dialWords } from '@/core/grinder/notation';
import type { CurvePoint } from '@/core/advice/curve';
import type { Bench } from '@/views/release';
import { likely } from '@/ui/likely';
import { labelText, SectionTitle, Small } from '@/ui/type';
import { evidenceOf, EVIDENCE_WORDS } from './evidence';

const WIDTH = 520;
const HEIGHT = 190;
const PAD = { left: 34, right: 12, top: 12, bottom: 34 };

const Svg = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  background: var(--enamel-raised);
  border: 1px solid var(--rule);

  text {
    ${labelText}
    fill: var(--ink-soft);
    font-size: 12.5px;
  }

  .number {
    fill: var(--ink);
    font-weight: 660;
  }

  @container (max-width: 420px) {
    text {
      font-size: 17px;
    }
  }
`;

const Box = styled.section`
  display: grid;
  gap: 6px;
  container-type: inline-size;
`;

/**
 * What this grinder does to this coffee: dial against time, with the 80 % band the shots so far leave,
 * the window across it, and each shot with what its evidence lacks. In words: the ledger's last column.
 */
export function GrinderCurve({
  bench,
  curve,
  firsts,
}: {
  bench: Bench;
  curve: readonly CurvePoint[];
  firsts: readonly string[];
}) {
  const { target, shots, setup } = bench;
  const timed = shots.flatMap((shot) => {
    const timeS = shot.mark.timeOnTargetClockS;
    return timeS === null || shot.mark.choked
      ? []
      : [{ shot, timeS, lacks: evidenceOf(shot, shots, firsts) }];
  });
  const scale = scaleOf(curve, [...timed.map(({ timeS }) => timeS), ...target.timeS]);
  const finer = finerSign(setup.grinder) < 0 ? '← finer' : 'finer →';
  const advised = bench.advice.setting.dial;
  const written = (dial: number) => dialWords(setup.grinder, dial);
  const used = [...new Set(timed.flatMap(({ lacks }) => lacks))];
  const area = [
    ...curve.map(({ dial, interval80 }) => `${scale.x(dial)} ${scale.y(interval80[1])}`),
    ...[...curve]
      .reverse()
      .map(({ dial, interval80 }) => `${scale.x(dial)} ${scale.y(interval80[0])}`),
  ];
  const middle = curve.map(({ dial, timeS }) => `${scale.x(dial)} ${scale.y(timeS)}`);
  const [low, high] = target.timeS;
  return (
    <Box>
      <SectionTitle>Grinder: dial against time</SectionTitle>
      <Svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`Dial against time. Advised dial ${written(advised)}. ${curveWords(curve, advised, written)}`}
      >
        <rect
          x={PAD.left}
          width={WIDTH - PAD.left - PAD.right}
          y={scale.y(high)}
          height={Math.max(2, scale.y(low) - scale.y(high))}
          fill="var(--verdigris-wash)"
          stroke="var(--verdigris)"
        />
        <path d={`M${area.join('L')}z`} fill="var(--copper)" opacity={0.14} />
        <path d={`M${middle.join('L')}`} fill="none" stroke="var(--copper)" strokeWidth={2} />
        <line
          x1={scale.x(advised)}
          x2={scale.x(advised)}
          y1={PAD.top}
          y2={HEIGHT - PAD.bottom}
          stroke="var(--copper)"
          strokeDasharray="3 4"
          strokeWidth={2}
        />
        {timed.map(({ shot, timeS, lacks }) => (
          <g key={shot.id} transform={`translate(${scale.x(shot.dial)} ${scale.y(timeS)})`}>
            <circle
              r={5}
              fill={shot.mark.valid ? 'var(--ink)' : 'var(--enamel-raised)'}
              stroke={shot.mark.landed ? 'var(--verdigris)' : 'var(--ink)'}
              strokeWidth={2}
            />
            <text className="number" x={8} y={-5}>
              {[shot.number, ...lacks].join(' ')}
            </text>
          </g>
        ))}
        {scale.dialTicks.map((dial) => (
          <text key={dial} x={scale.x(dial)} y={HEIGHT - PAD.bottom + 15} textAnchor="middle">
            {written(dial)}
          </text>
        ))}
        {[low, high].map((seconds) => (
          <text key={seconds} x={PAD.left - 5} y={scale.y(seconds) + 4} textAnchor="end">
            {seconds}
          </text>
        ))}
        <text x={WIDTH - PAD.right} y={HEIGHT - 4} textAnchor="end">
          {finer}
        </text>
      </Svg>
      <Small>
        Band: 8 in 10 shots, for a clean grinder. Dashed: the dial advised. Hollow: no evidence.
        {shots.length > 0 && shots.every((shot) => shot.isSimulated) && ' All are simulated.'}
        {used.length > 0 &&
          ` ${used.map((letter) => `${letter} ${EVIDENCE_WORDS[letter]}`).join(', ')}.`}
      </Small>
    </Box>
  );
}

function scaleOf(curve: readonly CurvePoint[], times: readonly number[]) {
  const dials = curve.map(({ dial }) => dial);
  const [least, most] = [Math.min(...dials), Math.max(...dials)];
  // The band's far ends would squeeze the shots: the middle line and the shots set the scale.
  const seconds = [...curve.map(({ timeS }) => timeS), ...times];
  const low = Math.max(0, 0.85 * Math.min(...seconds));
  const high = Math.min(1.15 * Math.max(...seconds), 3 * Math.max(...times));
  const spanX = WIDTH - PAD.left - PAD.right;
  const spanY = HEIGHT - PAD.top - PAD.bottom;
  const every = Math.max(1, Math.ceil(dials.length / 9));
  return {
    x: (dial: number) => PAD.left + (spanX * (dial - least)) / Math.max(1e-9, most - least),
    y: (second: number) =>
      HEIGHT -
      PAD.bottom -
      spanY * Math.min(1, Math.max(0, (second - low) / Math.max(1e-9, high - low))),
    dialTicks: dials.filter((_, i) => i % every === 0),
  };
}

function curveWords(
  curve: readonly CurvePoint[],
  dial: number,
  written: (dial: number) => string,
): string {
  const nearest = curve.reduce((best, point) =>
    Math.abs(point.dial - dial) < Math.abs(best.dial - dial) ? point : best,
  );
  const [low, high] = nearest.interval80;
  return `At ${written(nearest.dial)}: ${figure(nearest.timeS, 0)} s, ${likely(figure(low, 0), figure(high, 0))}.`;
}
