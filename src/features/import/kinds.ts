/** The kinds of spreadsheet a house can bring, each with its columns, its reading and its command. */
import { UserFault, userFault } from '@/core/errors';
import { defineCommand } from '@/data/command';
import type { Db } from '@/data/database';
import { listSetups } from '@/data/setups';
import { findHouse, type House } from '@/data/house';
import { plain, suggestUnits } from '@/formats/sheets/columns';
import { guessCommas } from '@/formats/sheets/commas';
import { parseCsv, type CsvTable } from '@/formats/sheets/csv';
import type { ReadOptions } from '@/formats/sheets/rows';
import { runToEnd } from '@/core/runToEnd';
import { listPartners } from '@/data/partners';
import { prepareChecks } from './checks';
import { prepareRecipes } from './recipes';
import { prepareReleases } from './releases';
import { prepareShots } from './shots';
import { prepareTastings } from './tastings';
import { setupNamed } from './places';
import type { SheetName } from './sheetNames';
import { SHEETS } from './sheets';
import { importInput, type ImportInput, type ImportPlan, type Prepared } from './prepared';

type Prepare = (
  db: Db,
  table: CsvTable,
  options: ReadOptions,
  house: House,
) => Generator<number, Prepared>;

const PREPARE: Readonly<Record<SheetName, Prepare>> = {
  releases: prepareReleases,
  recipes: prepareRecipes,
  shots: prepareShots,
  tastings: prepareTastings,
  checks: prepareChecks,
};

/** Reads a sheet and finds what is new; yields the rows read so far; stores nothing. */
export function* prepareImport(
  db: Db,
  sheet: SheetName,
  { csv, mapping, units, dateOrder, commas }: ImportInput,
  today: string,
): Generator<number, Prepared & { readonly rows: number }> {
  const table = parseCsv(csv);
  refuseUnmapped(sheet, table.columns, mapping);
  const house = findHouse(db)!;
  const options = {
    mapping,
    // What nobody said is as the header and its figures say.
    units: { ...suggestUnits(SHEETS[sheet].columns, mapping, table), ...units },
    dateOrder,
    commas: commas ?? guessCommas(table),
    today,
    clock: house.clock,
    cremaGPerMl: house.cremaGPerMl,
    notationOf: sheet === 'checks' ? cafeNotationFinder(db) : notationFinder(db),
  };
  const prepared = yield* PREPARE[sheet](db, table, options, house);
  return { ...prepared, rows: table.rows.length };
}

/** How the grinder of a named setup writes its dials; plainly where the row names none that is here. */
function notationFinder(db: Db): ReadOptions['notationOf'] {
  const setups = listSetups(db);
  return (name) => setupNamed(setups, name)?.grinder ?? {};
}

/** The same of a named café. */
function cafeNotationFinder(db: Db): ReadOptions['notationOf'] {
  const partners = listPartners(db);
  return (name) => partners.find((partner) => plain(partner.name) === plain(name)) ?? {};
}

/** What an import would do: the dry run, at once. */
export function planImport(
  db: Db,
  sheet: SheetName,
  input: ImportInput,
  today: string,
): ImportPlan {
  return importPlanOf(runToEnd(prepareImport(db, sheet, input, today)));
}

export function importPlanOf({
  apply: _apply,
  ...plan
}: Prepared & { readonly rows: number }): ImportPlan {
  return plan;
}

function refuseUnmapped(
  sheet: SheetName,
  columns: readonly string[],
  mapping: ImportInput['mapping'],
): void {
  const known = SHEETS[sheet].columns;
  for (const name of Object.keys(mapping))
    if (!Object.hasOwn(known, name))
      throw userFault('badInput', `mapping.${name}`, `There is no column “${name}” to map to.`);
  for (const [name, { label, required }] of Object.entries(known)) {
    const column = mapping[name];
    if (required && column === undefined)
      throw userFault(
        'badInput',
        `mapping.${name}`,
        `No column is chosen for ${label.toLowerCase()}. Choose one, or add it to the file: it has ${columns.join(', ').slice(0, 200)}.`,
      );
    if (column !== undefined && !columns.includes(column))
      throw userFault(
        'badInput',
        `mapping.${name}`,
        `The file has no column “${column}”. Choose one it has.`,
      );
  }
}

const MOST_FAULTS = 20;

function importCommand<S extends SheetName>(sheet: S) {
  return defineCommand({
    kind: SHEETS[sheet].command as `import${Capitalize<S>}`,
    changes: SHEETS[sheet].changes,
    duty: 'lead',
    input: importInput,
    run: (input, context) => {
      const prepared = runToEnd(prepareImport(context.db, sheet, input, context.today));
      const { faults, news } = prepared;
      if (faults.length > 0)
        throw new UserFault(
          'badInput',
          faults.slice(0, MOST_FAULTS).map(({ row, column, message }) => ({
            field: `row ${row}`,
            message: `Row ${row}, ${column}: ${message}`,
          })),
        );
      prepared.apply(context);
      return { releaseId: null, words: `imported ${news}`, result: { news } };
    },
  });
}

export const importReleases = importCommand('releases');
export const importRecipes = importCommand('recipes');
export const importShots = importCommand('shots');
export const importTastings = importCommand('tastings');
export const importChecks = importCommand('checks');
