/**
 * `npm run bench [-- PART] [--json]`: every benchmark as one table; `views --years 10` looks at a house
 * that has stood so long. A part that needs a later stage
 * of the product does not exist yet; only what can be measured is listed.
 */
import { benchAgeing } from './batches/ageing';
import { benchNewBatches } from './batches/newBatches';
import { benchDialin } from './dialin/dialin';
import { benchHistory } from './dialin/history';
import type { Measure } from './measure';
import { benchStart } from './start/start';
import { benchField } from './field/field';
import { benchFits } from './fits';
import { benchLongViews } from './longViews';
import { benchPublic } from './public';
import { benchTrial } from './trial/trial';
import { benchViews } from './views';

const PARTS: Readonly<Record<string, () => Promise<Measure[]>>> = {
  views: benchViews,
  start: benchStart,
  dialin: async () => [...(await benchDialin()), ...benchHistory()],
  batches: () => Promise.resolve([...benchNewBatches(), ...benchAgeing()]),
  trial: benchTrial,
  fits: () => Promise.resolve(benchFits()),
  public: benchPublic,
  field: () => Promise.resolve(benchField()),
};

async function main(args: string[]): Promise<number> {
  const yearsAt = args.indexOf('--years');
  const years = yearsAt < 0 ? null : Number(args[yearsAt + 1]);
  if (years !== null && !(years > 0 && years <= 30)) {
    process.stderr.write('--years takes a number from 1 to 30.\n');
    return 2;
  }
  const names = args.filter(
    (arg, i) => arg !== '--json' && (yearsAt < 0 || (i !== yearsAt && i !== yearsAt + 1)),
  );
  const unknown = names.find((name) => !Object.hasOwn(PARTS, name));
  if (unknown !== undefined) {
    process.stderr.write(`Unknown part ${unknown}. There is: ${Object.keys(PARTS).join(', ')}.\n`);
    return 2;
  }
  const measures: Measure[] = [];
  for (const name of names.length > 0 ? names : Object.keys(PARTS))
    measures.push(
      ...(await (name === 'views' && years !== null ? benchLongViews(years) : PARTS[name]!())),
    );
  process.stdout.write(
    args.includes('--json') ? `${JSON.stringify(measures)}\n` : tableOf(measures),
  );
  return 0;
}

function tableOf(measures: readonly Measure[]): string {
  const rows = measures.map(({ part, case: name, metric, value, unit }) => [
    part,
    name,
    metric,
    `${value.toPrecision(3)} ${unit}`,
  ]);
  const widths = [0, 1, 2, 3].map((column) => Math.max(...rows.map((row) => row[column]!.length)));
  return rows
    .map(
      (row) =>
        `${row
          .map((cell, i) => cell.padEnd(widths[i]!))
          .join('  ')
          .trimEnd()}\n`,
    )
    .join('');
}

process.exitCode = await main(process.argv.slice(2));
