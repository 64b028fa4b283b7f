'use client';

import { Chart, Tooltip } from 'chart.js';
import { addDays, daysBetween } from '@/core/rest/day';
import { dayWords } from '@/core/dayWords';
import { CHART_HEIGHT_PX } from './InView';
import { InkScatter, type Drawn } from './InkScatter';
import type { Ink } from './useInk';

Chart.register(Tooltip);

export interface TimePoint {
  readonly id: string;
  readonly name: string;
  /** yyyy-mm-dd. */
  readonly day: string;
  readonly value: number;
  /** Drawn hollow: it says less. */
  readonly isHollow?: boolean;
}

export interface TimeChartProps {
  readonly points: readonly TimePoint[];
  readonly format: (value: number) => string;
  /** A level to compare with, drawn as a line. */
  readonly level?: number;
  readonly fromZero?: boolean;
  readonly onOpen: (id: string) => void;
}

/** Values over time, a point each; pressing one opens it. The table beside it is its other form. */
export function TimeChart(props: TimeChartProps) {
  return <InkScatter heightPx={CHART_HEIGHT_PX} drawn={(ink) => drawnOf(props, ink)} />;
}

function drawnOf(
  { points, format, level, fromZero = false, onOpen }: TimeChartProps,
  ink: Ink,
): Drawn {
  const first = points[0]?.day ?? '2000-01-01';
  const data = points.map((point) => ({ x: daysBetween(first, point.day), y: point.value }));
  const last = data.at(-1)?.x ?? 0;
  // Room for the first and the last point.
  const margin = Math.max(1, 0.015 * last);
  const grid = { color: ink.rule };
  const levelLine = (y: number) => ({
    data: [
      { x: 0, y },
      { x: last, y },
    ],
    showLine: true,
    pointRadius: 0,
    borderColor: ink.ink,
    borderWidth: 1.5,
  });
  return {
    datasets: [
      {
        data,
        pointRadius: 5,
        pointHoverRadius: 7,
        pointBorderWidth: 2,
        pointBorderColor: ink.point,
        pointBackgroundColor: points.map(({ isHollow }) => (isHollow ? 'transparent' : ink.point)),
      },
      ...(level === undefined ? [] : [levelLine(level)]),
    ],
    options: {
      onClick: (_event, [hit]) => {
        if (hit && hit.datasetIndex === 0) onOpen(points[hit.index]!.id);
      },
      plugins: {
        tooltip: {
          callbacks: {
            label: ({ dataIndex }) => {
              const { name, day, value } = points[dataIndex]!;
              return `${name}, ${dayWords(day)}: ${format(value)}`;
            },
          },
        },
      },
      scales: {
        x: {
          min: -margin,
          max: last + margin,
          ticks: {
            color: ink.soft,
            maxTicksLimit: 7,
            includeBounds: false,
            precision: 0,
            callback: (value) => dayWords(addDays(first, Number(value))),
          },
          grid,
        },
        y: {
          beginAtZero: fromZero,
          ticks: { color: ink.soft, callback: (value) => format(Number(value)) },
          grid,
        },
      },
    },
  };
}
