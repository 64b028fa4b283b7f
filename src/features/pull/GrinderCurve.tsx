'use client';

import { figure } from '@/core/figure';
import dynamic from 'next/dynamic';
import styled from 'styled-components';
import { finerSign } from '@/core/grinder/dial';
import { dialWords } from '@/core/grinder/notation';
import type { CurvePoint } from '@/core/advice/curve';
import type { Bench } from '@/views/release';
import { intervalWords } from '@/ui/intervalWords';
import { InView } from '@/ui/charts/InView';
import { SectionTitle, Small } from '@/ui/type';
import { evidenceOf, EVIDENCE_WORDS } from './evidence';

const CurveChart = dynamic(() => import('./CurveChart').then((all) => all.CurveChart), {
  ssr: false,
});

const Box = styled.section`
  display: grid;
  gap: 6px;
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
  const finer = finerSign(setup.grinder) < 0 ? '← finer' : 'finer →';
  const advised = bench.advice.setting.dial;
  const written = (dial: number) => dialWords(setup.grinder, dial);
  const used = [...new Set(timed.flatMap(({ lacks }) => lacks))];
  return (
    <Box>
      <SectionTitle>Grinder: dial against time</SectionTitle>
      <InView
        label={`Dial against time. Advised dial ${written(advised)}. ${curveWords(curve, advised, written)}`}
      >
        {() => (
          <CurveChart
            curve={curve}
            windowS={target.timeS}
            advised={advised}
            written={written}
            finer={finer}
            shots={timed.map(({ shot, timeS, lacks }) => ({
              dial: shot.dial,
              timeS,
              words: [shot.number, ...lacks].join(' '),
              isValid: shot.mark.valid,
              hasLanded: shot.mark.landed,
            }))}
          />
        )}
      </InView>
      <Small>
        Band: 8 in 10 shots, for a clean grinder. Dashed: the dial advised. Hollow: no evidence.
        {shots.length > 0 && shots.every((shot) => shot.isSimulated) && ' All are simulated.'}
        {used.length > 0 &&
          ` ${used.map((letter) => `${letter} ${EVIDENCE_WORDS[letter]}`).join(', ')}.`}
      </Small>
    </Box>
  );
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
  return `At ${written(nearest.dial)}: ${figure(nearest.timeS, 0)} s, ${intervalWords(figure(low, 0), figure(high, 0))}.`;
}
