/** What the picture of a surface and its controls share; the picture itself is fetched when it is seen. */
import type { TrialPoint } from '@/core/trials/coding';
import type { Axes } from '@/core/trials/contours';

export const SURFACE_HEIGHT_PX = 320;

/** In the order of coded places. */
export const VARIABLE_NAMES = [
  'ratio',
  'temperatureC',
  'timeS',
] as const satisfies readonly (keyof TrialPoint)[];
export type VariableName = (typeof VARIABLE_NAMES)[number];

export const AXIS_NAMES: Readonly<Record<VariableName, string>> = {
  ratio: 'Ratio',
  temperatureC: 'Temperature',
  timeS: 'Time from the pump',
};

/** A figure of a variable with its unit. */
export type Written = (name: VariableName, value: number) => string;

export const AXES_OPTIONS: readonly {
  readonly value: string;
  readonly label: string;
  readonly axes: Axes;
}[] = [
  { value: '01', label: 'ratio and temperature', axes: [0, 1] },
  { value: '02', label: 'ratio and time', axes: [0, 2] },
  { value: '12', label: 'temperature and time', axes: [1, 2] },
];
