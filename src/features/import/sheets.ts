/** The sheets by name, as the server reads them. */
import type { CommandKind } from '@/core/command/inputs';
import type { Columns } from '@/formats/sheets/columns';
import { CHECK_COLUMNS } from '@/formats/sheets/checkSheet';
import { RECIPE_COLUMNS } from '@/formats/sheets/recipeSheet';
import { RELEASE_COLUMNS } from '@/formats/sheets/releaseSheet';
import { SHOT_SHEET_COLUMNS } from '@/formats/sheets/shotSheet';
import { TASTING_COLUMNS } from '@/formats/sheets/tastingSheet';
import type { SheetName } from './sheetNames';

export interface ImportSheet {
  readonly columns: Columns;
  /** The column whose days say in which order a date is written. */
  readonly dayColumn: string;
  readonly command: CommandKind;
}

export const SHEETS: Readonly<Record<SheetName, ImportSheet>> = {
  releases: {
    columns: RELEASE_COLUMNS,
    dayColumn: 'roastDate',
    command: 'importReleases',
  },
  recipes: {
    columns: RECIPE_COLUMNS,
    dayColumn: 'decidedOn',
    command: 'importRecipes',
  },
  shots: {
    columns: SHOT_SHEET_COLUMNS,
    dayColumn: 'pulledOn',
    command: 'importShots',
  },
  tastings: {
    columns: TASTING_COLUMNS,
    dayColumn: 'tastedOn',
    command: 'importTastings',
  },
  checks: {
    columns: CHECK_COLUMNS,
    dayColumn: 'checkedOn',
    command: 'importChecks',
  },
};
