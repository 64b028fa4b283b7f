'use client';

import type { ChartDataset, ChartOptions } from 'chart.js';
import { InkScatter } from '@/ui/charts/InkScatter';
import { CHART_HEIGHT_PX } from '@/ui/charts/InView';
import { thin, type Ink } from '@/ui/charts/useInk';
import type { AgeingView } from '@/views/rest';

/** Seconds at one dial over rest days: each sound shot, the curve, its band, and today. */
export function AgeingChart({ ageing }: { ageing: AgeingView }) {
  return (
    <InkScatter
      heightPx={CHART_HEIGHT_PX}
      drawn={(ink) => ({ datasets: datasetsOf(ageing, ink), options: optionsOf(ageing, ink) })}
    />
  );
}

function datasetsOf({ shots, curve, today }: AgeingView, ink: Ink): ChartDataset<'scatter'>[] {
  const line = { showLine: true, pointRadius: 0, borderWidth: 0 } as const;
  const edge = (end: 0 | 1) =>
    curve.map(({ restDays, interval80 }) => ({ x: restDays, y: interval80[end] }));
  const at = curve.find(({ restDays }) => restDays === today);
  return [
    {
      data: shots.map(({ restDays, timeS }) => ({ x: restDays, y: timeS })),
      // The first day lies on the edge.
      clip: false,
      pointRadius: 5,
      pointBorderWidth: 2,
      pointBorderColor: ink.ink,
      pointBackgroundColor: ink.ink,
    },
    { ...line, data: edge(1) },
    { ...line, data: edge(0), backgroundColor: thin(ink.point, 0.16), fill: '-1' },
    {
      ...line,
      data: curve.map(({ restDays, timeS }) => ({ x: restDays, y: timeS })),
      borderColor: ink.point,
      borderWidth: 2,
    },
    {
      ...line,
      data: at ? at.interval80.map((y) => ({ x: today, y })) : [],
      borderColor: ink.good,
      borderWidth: 2,
    },
  ];
}

function optionsOf({ curve }: AgeingView, ink: Ink): ChartOptions<'scatter'> {
  const look = { color: ink.soft };
  return {
    events: [],
    scales: {
      x: {
        min: curve[0]!.restDays,
        max: curve.at(-1)!.restDays,
        title: { display: true, text: 'rest days', align: 'end', padding: 0, ...look },
        ticks: { ...look, maxTicksLimit: 9, precision: 0 },
        grid: { display: false },
      },
      y: {
        title: { display: true, text: 's', align: 'end', padding: 0, ...look },
        ticks: { ...look, maxTicksLimit: 6, includeBounds: false },
        grid: { color: ink.rule },
      },
    },
  };
}
