/** The sheets by name, as the server reads them. */
import type { CacheTag } from '@/core/command/cacheTags';
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
  /** The command that takes it in. */
  readonly command: `import${Capitalize<SheetName>}`;
  readonly changes: readonly CacheTag[];
}

export const SHEETS: Readonly<Record<SheetName, ImportSheet>> = {
  releases: {
    columns: RELEASE_COLUMNS,
    dayColumn: 'roastDate',
    command: 'importReleases',
    changes: ['release', 'batch'],
  },
  recipes: {
    columns: RECIPE_COLUMNS,
    dayColumn: 'decidedOn',
    command: 'importRecipes',
    changes: ['recipe'],
  },
  shots: {
    columns: SHOT_SHEET_COLUMNS,
    dayColumn: 'pulledOn',
    command: 'importShots',
    changes: ['shot', 'decidedShot'],
  },
  tastings: {
    columns: TASTING_COLUMNS,
    dayColumn: 'tastedOn',
    command: 'importTastings',
    changes: ['tasting'],
  },
  checks: {
    columns: CHECK_COLUMNS,
    dayColumn: 'checkedOn',
    command: 'importChecks',
    changes: ['check'],
  },
};
