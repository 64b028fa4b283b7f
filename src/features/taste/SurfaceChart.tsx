'use client';

import type { ChartDataset, ChartOptions } from 'chart.js';
import type { SurfaceDrawing } from '@/core/trials/bestRecipe';
import { placeAt } from '@/core/trials/coding';
import { contour, likelyRegion, placed, type Axes } from '@/core/trials/contours';
import { InkScatter } from '@/ui/charts/InkScatter';
import { thin, type Ink } from '@/ui/charts/useInk';
import { AXIS_NAMES, SURFACE_HEIGHT_PX, VARIABLE_NAMES, type Written } from './surfaceAxes';

export interface SurfaceChartProps {
  readonly drawing: SurfaceDrawing;
  readonly axes: Axes;
  /** Coded place of the variable that is not drawn. */
  readonly held: number;
  /** Figures in the person's units. */
  readonly written: Written;
}

/** Points under the best; each line a little stronger than the next. */
const LEVELS = [1, 0.6, 0.3, 0.1] as const;

/** Lines of equal liking over two variables, the cups on them, the best point's region and the recipe that forgives. */
export function SurfaceChart(props: SurfaceChartProps) {
  return (
    <InkScatter
      heightPx={SURFACE_HEIGHT_PX}
      drawn={(ink) => ({ datasets: datasetsOf(props, ink), options: optionsOf(props, ink) })}
    />
  );
}

type Pair = readonly [number, number];

function datasetsOf(
  { drawing, axes, held }: SurfaceChartProps,
  ink: Ink,
): ChartDataset<'scatter'>[] {
  const [a, b] = axes;
  const shown = (pair: Pair) => {
    const place = placeAt(drawing.centre, placed(axes, pair, held));
    return { x: place[VARIABLE_NAMES[a]], y: place[VARIABLE_NAMES[b]] };
  };
  const line = { showLine: true, pointRadius: 0, tension: 0 } as const;
  const { robust, tolerance, cups } = drawing;
  const corner = (across: number, up: number) =>
    shown([robust[a]! + across * tolerance[a]!, robust[b]! + up * tolerance[b]!]);
  return [
    {
      data: cups.map(({ x }) => shown([x[a], x[b]])),
      pointRadius: cups.map(({ liking }) => 2 + liking / 2),
      pointBorderColor: ink.ink,
      pointBorderWidth: 1.5,
      pointBackgroundColor: thin(ink.ink, 0.35),
    },
    {
      data: [shown([robust[a]!, robust[b]!])],
      pointStyle: 'rectRot',
      pointRadius: 8,
      pointBorderColor: ink.good,
      pointBorderWidth: 3,
      pointBackgroundColor: ink.raised,
    },
    {
      ...line,
      data: [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1), corner(-1, -1)],
      borderColor: ink.good,
      borderWidth: 1.5,
    },
    {
      ...line,
      data: likelyRegion(drawing.mean, drawing.covariance, axes).map(shown),
      borderColor: ink.point,
      borderWidth: 2,
      borderDash: [4, 4],
    },
    ...LEVELS.map((points): ChartDataset<'scatter'> => {
      return {
        ...line,
        data: contour(drawing, axes, { held, points }).map(shown),
        borderColor: thin(ink.point, 0.5),
        borderWidth: 1,
        backgroundColor: thin(ink.point, 0.1),
        fill: true,
      };
    }),
  ];
}

/** The box of a trial, two coded steps each way. */
const EDGE = 2;

function optionsOf(
  { drawing, axes, written }: SurfaceChartProps,
  ink: Ink,
): ChartOptions<'scatter'> {
  const axisOf = (variable: 0 | 1 | 2) => {
    const name = VARIABLE_NAMES[variable];
    const end = (by: number) =>
      placeAt(
        drawing.centre,
        [0, 1, 2].map((j) => (j === variable ? by : 0)),
      )[name];
    return {
      min: end(-EDGE),
      max: end(EDGE),
      grid: { color: ink.rule },
      title: { display: true, text: AXIS_NAMES[name], color: ink.soft },
      ticks: {
        color: ink.soft,
        includeBounds: false,
        callback: (value: string | number) => written(name, Number(value)),
      },
    };
  };
  return {
    events: [],
    scales: { x: axisOf(axes[0]), y: axisOf(axes[1]) },
  };
}
