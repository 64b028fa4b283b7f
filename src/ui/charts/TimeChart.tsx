'use client';

import {
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { useRef } from 'react';
import { Scatter } from 'react-chartjs-2';
import { addDays, daysBetween } from '@/core/rest/day';
import { dayWords } from '@/core/dayWords';
import { CHART_HEIGHT_PX } from './InView';
import { useInk } from './useInk';

Chart.register(LinearScale, LineElement, PointElement, ScatterController, Tooltip);
Chart.defaults.font.family = "'Archivo Variable', sans-serif";

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
  const { points, format, level, fromZero = false, onOpen } = props;
  const box = useRef<HTMLDivElement>(null);
  const ink = useInk(box);
  const first = points[0]?.day ?? '2000-01-01';
  const data = points.map((point) => ({ x: daysBetween(first, point.day), y: point.value }));
  const last = data.at(-1)?.x ?? 0;
  // Room for the first and the last point.
  const margin = Math.max(1, 0.015 * last);
  const options: ChartOptions<'scatter'> = {
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
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
          color: ink?.soft ?? '',
          maxTicksLimit: 7,
          includeBounds: false,
          precision: 0,
          callback: (value) => dayWords(addDays(first, Number(value))),
        },
        grid: { color: ink?.rule ?? '' },
      },
      y: {
        beginAtZero: fromZero,
        ticks: { color: ink?.soft ?? '', callback: (value) => format(Number(value)) },
        grid: { color: ink?.rule ?? '' },
      },
    },
  };
  return (
    <div ref={box} style={{ position: 'relative', height: CHART_HEIGHT_PX }}>
      {ink && (
        <Scatter
          aria-hidden="true"
          options={options}
          data={{
            datasets: [
              {
                data,
                pointRadius: 5,
                pointHoverRadius: 7,
                pointBorderWidth: 2,
                pointBorderColor: ink.point,
                pointBackgroundColor: points.map(({ isHollow }) =>
                  isHollow ? 'transparent' : ink.point,
                ),
              },
              ...(level === undefined
                ? []
                : [
                    {
                      data: [
                        { x: 0, y: level },
                        { x: last, y: level },
                      ],
                      showLine: true,
                      pointRadius: 0,
                      borderColor: ink.ink,
                      borderWidth: 1.5,
                    },
                  ]),
            ],
          }}
        />
      )}
    </div>
  );
}
