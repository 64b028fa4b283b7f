/** What a house could do instead of the model: each answers ln ratio and temperature for a coffee. */
import { Matrix, solve } from 'ml-matrix';
import { featuresOf } from '@/core/coffee/features';
import { designRow } from '@/core/start/design';
import { outputOf, type PastRelease } from '@/core/start/fit';
import { priorFor } from '@/core/start/priors';
import { dot } from '@/core/linear';

export type Judged = 'lnRatio' | 'temperatureC';
export const JUDGED: readonly Judged[] = ['lnRatio', 'temperatureC'];

export type Rival = (history: readonly PastRelease[], asked: PastRelease, output: Judged) => number;

const valueOf = (past: PastRelease, output: Judged) => outputOf(past, output)!;
const rowOf = ({ release, style }: PastRelease) => designRow(featuresOf(release), style);

const rulesOnly: Rival = (_history, asked, output) =>
  dot(
    rowOf(asked),
    priorFor(output, 'both').map(({ mean }) => mean),
  );

/** What people do: the last coffee's recipe, of the same style if there is one; the base before that. */
const lastCoffee: Rival = (history, asked, output) => {
  const last = history.findLast(({ style }) => style === asked.style) ?? history.at(-1);
  return last ? valueOf(last, output) : priorFor(output, 'both')[0]!.mean;
};

/** Ridge regression without any rule: every coefficient drawn to nought, the base left free. */
const RIDGE = 1;
const plainRidge: Rival = (history, asked, output) => {
  if (history.length === 0) return priorFor(output, 'both')[0]!.mean;
  const X = new Matrix(history.map(rowOf));
  const values = history.map((past) => valueOf(past, output));
  const average = values.reduce((sum, value) => sum + value, 0) / values.length;
  const penalty = Matrix.diag(X.getRow(0).map((_, j) => (j === 0 ? 1e-6 : RIDGE)));
  const right = X.transpose().mmul(Matrix.columnVector(values.map((value) => value - average)));
  const fitted = solve(X.transpose().mmul(X).add(penalty), right).to1DArray();
  return average + dot(rowOf(asked), fitted);
};

export const RIVALS: Readonly<Record<string, Rival>> = {
  'rules only': rulesOnly,
  'last coffee': lastCoffee,
  'plain ridge': plainRidge,
};
