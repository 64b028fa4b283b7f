/** The columns a spreadsheet of releases and batches can have, and how headers name them. */

import type { Columns } from './columns';

/** What a column can be, with headers it goes by; the first is ours. */
export const RELEASE_COLUMNS = {
  release: {
    label: 'Release',
    required: true,
    headers: ['release', 'name', 'coffee', 'coffee name'],
  },
  roastDate: {
    label: 'Roast date',
    required: true,
    headers: ['roast date', 'roasted', 'roasted on', 'date'],
  },
  batch: { label: 'Name of the batch', required: false, headers: ['batch', 'batch name', 'lot'] },
  roast: {
    label: 'Roast word or level',
    required: false,
    headers: ['roast', 'roast level', 'roast degree'],
  },
  colourGround: {
    label: 'Colour, ground',
    required: false,
    headers: ['colour ground', 'color ground', 'ground colour', 'ground color'],
  },
  colourBean: {
    label: 'Colour, bean',
    required: false,
    headers: ['colour bean', 'color bean', 'bean colour', 'whole bean colour'],
  },
  weightLoss: {
    label: 'Weight loss, %',
    required: false,
    headers: ['weight loss pct', 'weight loss', 'roast loss', 'loss'],
  },
  sample: {
    label: 'Sample',
    required: false,
    headers: ['sample g', 'sample'],
    measure: 'mass',
  },
  crush: { label: 'Under the thumb', required: false, headers: ['thumb', 'crush'] },
  share: {
    label: 'Share, %',
    required: false,
    headers: ['share pct', 'share', 'percentage', 'part'],
  },
  country: { label: 'Country', required: false, headers: ['country', 'origin'] },
  region: { label: 'Region', required: false, headers: ['region', 'area'] },
  producer: {
    label: 'Producer',
    required: false,
    headers: ['producer', 'farm', 'station', 'grower'],
  },
  variety: { label: 'Variety', required: false, headers: ['variety', 'varietal', 'cultivar'] },
  varietyClass: { label: 'Variety class', required: false, headers: ['variety class', 'class'] },
  process: { label: 'Process', required: false, headers: ['process', 'processing'] },
  altitude: {
    label: 'Altitude, m',
    required: false,
    headers: ['altitude m', 'altitude', 'elevation', 'masl'],
  },
  density: {
    label: 'Green density, g/L',
    required: false,
    headers: ['density g per l', 'density', 'green density'],
  },
  moisture: { label: 'Green moisture, %', required: false, headers: ['moisture pct', 'moisture'] },
  notes: {
    label: 'Promised notes',
    required: false,
    headers: ['notes', 'promised notes', 'tasting notes', 'flavour notes', 'flavor notes'],
  },
  served: { label: 'Served', required: false, headers: ['served', 'serving'] },
} as const satisfies Columns;
export type ReleaseColumn = keyof typeof RELEASE_COLUMNS;
export const RELEASE_COLUMN_NAMES = Object.keys(RELEASE_COLUMNS) as ReleaseColumn[];
