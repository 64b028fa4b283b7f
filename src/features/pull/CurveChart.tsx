'use client';

import type { ChartDataset, ChartOptions, Plugin } from 'chart.js';
import type { CurvePoint } from '@/core/advice/curve';
import { chartFont, InkScatter } from '@/ui/charts/InkScatter';
import { CHART_HEIGHT_PX } from '@/ui/charts/InView';
import { thin, type Ink } from '@/ui/charts/useInk';

export interface CurveShot {
  readonly dial: number;
  readonly timeS: number;
  /** Its number, and letters for what it lacks as evidence. */
  readonly words: string;
  readonly isValid: boolean;
  readonly hasLanded: boolean;
}

export interface CurveChartProps {
  readonly curve: readonly CurvePoint[];
  readonly shots: readonly CurveShot[];
  readonly windowS: readonly [number, number];
  readonly advised: number;
  /** A dial as its grinder writes it. */
  readonly written: (dial: number) => string;
  /** Which way is finer. */
  readonly finer: string;
}

/** Shots are drawn first, above all lines. */
const SHOTS = 0;

/** Dial against time: the middle, its band, the window across it, the advised dial, and each shot. */
export function CurveChart(props: CurveChartProps) {
  return (
    <InkScatter
      heightPx={CHART_HEIGHT_PX}
      remadeOn={props.shots}
      drawn={(ink) => ({
        datasets: datasetsOf(props, ink),
        options: optionsOf(props, ink),
        plugins: [numbersOf(props.shots, ink)],
      })}
    />
  );
}

function datasetsOf(
  { curve, shots, windowS, advised }: CurveChartProps,
  ink: Ink,
): ChartDataset<'scatter'>[] {
  const dials = [curve[0]!.dial, curve.at(-1)!.dial];
  const [low, high] = windowS;
  const line = { showLine: true, pointRadius: 0, borderWidth: 0 } as const;
  const level = (y: number) => dials.map((x) => ({ x, y }));
  const edge = (end: 0 | 1) =>
    curve.map(({ dial, interval80 }) => ({ x: dial, y: interval80[end] }));
  return [
    {
      data: shots.map(({ dial, timeS }) => ({ x: dial, y: timeS })),
      pointRadius: 5,
      pointBorderWidth: 2,
      pointBorderColor: shots.map(({ hasLanded }) => (hasLanded ? ink.good : ink.ink)),
      pointBackgroundColor: shots.map(({ isValid }) => (isValid ? ink.ink : ink.raised)),
    },
    { ...line, data: level(high), borderColor: ink.good, borderWidth: 1 },
    {
      ...line,
      data: level(low),
      borderColor: ink.good,
      borderWidth: 1,
      backgroundColor: thin(ink.good, 0.18),
      fill: '-1',
    },
    { ...line, data: edge(1) },
    { ...line, data: edge(0), backgroundColor: thin(ink.point, 0.16), fill: '-1' },
    {
      ...line,
      data: curve.map(({ dial, timeS }) => ({ x: dial, y: timeS })),
      borderColor: ink.point,
      borderWidth: 2,
    },
    {
      ...line,
      data: Object.values(secondsOf({ curve, shots, windowS })).map((y) => ({ x: advised, y })),
      borderColor: ink.point,
      borderWidth: 2,
      borderDash: [3, 4],
    },
  ];
}

/** The band's far ends would squeeze the shots: the middle line and the shots set the scale. */
function secondsOf({
  curve,
  shots,
  windowS,
}: Pick<CurveChartProps, 'curve' | 'shots' | 'windowS'>) {
  const times = [...shots.map(({ timeS }) => timeS), ...windowS];
  const all = [...curve.map(({ timeS }) => timeS), ...times];
  return {
    min: Math.max(0, 0.85 * Math.min(...all)),
    max: Math.min(1.15 * Math.max(...all), 3 * Math.max(...times)),
  };
}

function optionsOf(props: CurveChartProps, ink: Ink): ChartOptions<'scatter'> {
  const { curve, written, finer } = props;
  const look = { color: ink.soft };
  return {
    events: [],
    scales: {
      x: {
        min: curve[0]!.dial,
        max: curve.at(-1)!.dial,
        title: { display: true, text: finer, align: 'end', padding: 0, ...look },
        ticks: {
          ...look,
          maxTicksLimit: 9,
          callback: (dial) => written(Number(dial)),
        },
        // Every tick is a setting the grinder has.
        afterBuildTicks: (axis) => {
          axis.ticks = curve.map(({ dial }) => ({ value: dial }));
        },
        grid: { display: false },
      },
      y: {
        ...secondsOf(props),
        title: { display: true, text: 's', align: 'end', padding: 0, ...look },
        ticks: { ...look, maxTicksLimit: 6, includeBounds: false },
        grid: { color: ink.rule },
      },
    },
  };
}

/** The number of each shot beside its point. */
function numbersOf(shots: readonly CurveShot[], ink: Ink): Plugin<'scatter'> {
  return {
    id: 'numbers',
    afterDatasetsDraw: (chart) => {
      const { ctx } = chart;
      ctx.save();
      ctx.fillStyle = ink.ink;
      ctx.font = chartFont(600, 13);
      chart.getDatasetMeta(SHOTS).data.forEach(({ x, y }, i) => {
        ctx.fillText(shots[i]!.words, x + 8, y - 6);
      });
      ctx.restore();
    },
  };
}
