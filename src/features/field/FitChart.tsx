'use client';

import type { ChartDataset, ChartOptions } from 'chart.js';
import { dayOf } from '@/core/field/signalWords';
import { InkScatter } from '@/ui/charts/InkScatter';
import { CHART_HEIGHT_PX } from '@/ui/charts/InView';
import type { Ink } from '@/ui/charts/useInk';
import type { FitPoint } from '@/views/cafe';

/** Seconds off the recipe over time: each check, and what the model makes of it. */
export function FitChart({ points }: { points: readonly FitPoint[] }) {
  return (
    <InkScatter
      heightPx={CHART_HEIGHT_PX}
      drawn={(ink) => ({ datasets: datasetsOf(points, ink), options: optionsOf(points, ink) })}
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

function optionsOf(points: readonly FitPoint[], ink: Ink): ChartOptions<'scatter'> {
  const look = { color: ink.soft };
  return {
    events: [],
    scales: {
      x: {
        min: Math.floor(points[0]?.atDay ?? 0),
        max: Math.ceil(points.at(-1)?.atDay ?? 1),
        ticks: {
          ...look,
          maxTicksLimit: 7,
          precision: 0,
          callback: (value) => dayOf(Number(value)),
        },
        grid: { display: false },
      },
      y: {
        title: { display: true, text: 's off', align: 'end', padding: 0, ...look },
        ticks: { ...look, maxTicksLimit: 6 },
        grid: { color: ink.rule },
      },
    },
  };
}
