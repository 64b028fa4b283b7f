/** The sheets by name, for browser and server alike. */
import type { CommandKind } from '@/core/command/inputs';
import type { Columns } from '@/formats/sheets/columns';
import { RECIPE_COLUMNS } from '@/formats/sheets/recipeSheet';
import { RELEASE_COLUMNS } from '@/formats/sheets/releaseSheet';
import { SHOT_COLUMNS } from '@/formats/sheets/shotSheet';
import { TASTING_COLUMNS } from '@/formats/sheets/tastingSheet';

export const SHEET_NAMES = ['releases', 'recipes', 'shots', 'tastings'] as const;
export type SheetName = (typeof SHEET_NAMES)[number];

export interface Sheet {
  readonly label: string;
  readonly words: string;
  readonly columns: Columns;
  /** The column whose days say in which order a date is written. */
  readonly dayColumn: string;
  readonly command: CommandKind;
}

export const SHEETS: Readonly<Record<SheetName, Sheet>> = {
  releases: {
    label: 'Releases and batches',
    words: 'A row for each component and batch; rows of one name make one release.',
    columns: RELEASE_COLUMNS,
    dayColumn: 'roastDate',
    command: 'importReleases',
  },
  recipes: {
    label: 'Recipes',
    words:
      'A row for each recipe the house decided on, for a release that is here. They teach the house model as published ones do.',
    columns: RECIPE_COLUMNS,
    dayColumn: 'decidedOn',
    command: 'importRecipes',
  },
  shots: {
    label: 'Shots',
    words: 'A row for each shot, in the order they were pulled, for a recipe that is here.',
    columns: SHOT_COLUMNS,
    dayColumn: 'pulledOn',
    command: 'importShots',
  },
  tastings: {
    label: 'Tastings',
    words: 'A row for each cup somebody judged, of a shot that is here.',
    columns: TASTING_COLUMNS,
    dayColumn: 'tastedOn',
    command: 'importTastings',
  },
};
