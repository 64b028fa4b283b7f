/** What sheets there are, in words: light enough for the page that offers them. */
export const SHEET_NAMES = ['releases', 'recipes', 'shots', 'tastings', 'checks'] as const;
export type SheetName = (typeof SHEET_NAMES)[number];

export const SHEET_WORDS: Readonly<Record<SheetName, { label: string; words: string }>> = {
  releases: {
    label: 'Releases and batches',
    words: 'A row for each component and batch; rows of one name make one release.',
  },
  recipes: {
    label: 'Recipes',
    words:
      'A row for each recipe the house decided on, for a release that is here. They teach the house model as published ones do.',
  },
  shots: {
    label: 'Shots',
    words: 'A row for each shot, in the order they were pulled, for a recipe that is here.',
  },
  tastings: {
    label: 'Tastings',
    words: 'A row for each cup somebody judged, of a shot that is here.',
  },
  checks: {
    label: 'Checks of cafés',
    words: 'A row for each coffee a café checked, of a coffee with a public card.',
  },
};
