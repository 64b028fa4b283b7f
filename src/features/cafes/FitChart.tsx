'use client';

import type { ChartDataset } from 'chart.js';
import { InkScatter } from '@/ui/charts/InkScatter';
import { CHART_HEIGHT_PX } from '@/ui/charts/InView';
import type { Ink } from '@/ui/charts/useInk';
import type { FitPoint } from '@/views/cafes';
import { daysAndSeconds } from './daysAndSeconds';

/** Seconds off the recipe over time: each check, and what the model makes of it. */
export function FitChart({ points }: { points: readonly FitPoint[] }) {
  return (
    <InkScatter
      heightPx={CHART_HEIGHT_PX}
      drawn={(ink) => ({
        datasets: datasetsOf(points, ink),
        options: daysAndSeconds(
          points.map(({ atDay }) => atDay),
          ink,
        ),
      })}
    />
  );
}

function datasetsOf(points: readonly FitPoint[], ink: Ink): ChartDataset<'scatter'>[] {
  return [
    {
      data: points.map(({ atDay, offS }) => ({ x: atDay, y: offS })),
      clip: false,
      pointRadius: 4,
      pointBorderWidth: 1.5,
      pointBorderColor: ink.ink,
      pointBackgroundColor: points.map(({ isOdd }) => (isOdd ? 'transparent' : ink.ink)),
    },
    {
      data: points.map(({ atDay, fitS }) => ({ x: atDay, y: fitS })),
      showLine: true,
      pointRadius: 0,
      borderColor: ink.point,
      borderWidth: 2,
    },
  ];
}
