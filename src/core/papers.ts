/** Papers that are printed of a version, as the house calls them. */
export const PAPERS = ['card', 'bag', 'label', 'sheet'] as const;
export type Paper = (typeof PAPERS)[number];

export const PAPER_LABELS: Readonly<Record<Paper, string>> = {
  card: 'Card',
  bag: 'Bag card, both sides',
  label: 'Shelf label',
  sheet: 'Café sheet',
};
