'use client';

import type { ChartDataset } from 'chart.js';
import { InkScatter } from '@/ui/charts/InkScatter';
import { CHART_HEIGHT_PX } from '@/ui/charts/InView';
import type { Ink } from '@/ui/charts/useInk';
import type { BatchDrawn } from '@/views/releaseCafes';
import { shapeOf } from './batchShapes';
import { daysAndSeconds } from './daysAndSeconds';

/** Every check of a coffee by its batch, with everything else taken out, and what each batch is fitted at. */
export function BatchChart({ batches }: { batches: readonly BatchDrawn[] }) {
  const days = batches.flatMap(({ points }) => points.map(({ atDay }) => atDay));
  days.sort((a, b) => a - b);
  return (
    <InkScatter
      heightPx={CHART_HEIGHT_PX}
      drawn={(ink) => ({
        datasets: batches.flatMap((batch, i) => datasetsOf(batch, i, ink)),
        options: daysAndSeconds(days, ink),
      })}
    />
  );
}

function datasetsOf(
  { points, fitS }: BatchDrawn,
  nth: number,
  ink: Ink,
): ChartDataset<'scatter'>[] {
  return [
    {
      data: points.map(({ atDay, offS }) => ({ x: atDay, y: offS })),
      clip: false,
      pointStyle: shapeOf(nth).style,
      pointRadius: 4,
      pointBorderWidth: 1.5,
      pointBorderColor: ink.ink,
      pointBackgroundColor: points.map(({ isOdd }) => (isOdd ? 'transparent' : ink.ink)),
    },
    {
      data: [points[0], points.at(-1)].flatMap((end) => (end ? [{ x: end.atDay, y: fitS }] : [])),
      showLine: true,
      pointRadius: 0,
      borderColor: ink.point,
      borderWidth: 3,
    },
  ];
}
