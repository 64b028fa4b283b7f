/** One green coffee of a release, with its share. */
import { PROCESS_LABELS, PROCESSES, VARIETY_CLASSES, VARIETY_LABELS } from '../vocabulary';
import { quantity, text, word, type Input, type Row } from './field';

export const COMPONENT = {
  sharePct: quantity('sharePct', {
    step: 5,
    isPublished: true,
    headers: ['share pct', 'share', 'percentage', 'part'],
  }),
  country: text('name', {
    label: 'Country',
    default: '',
    isPublished: true,
    headers: ['country', 'origin'],
  }),
  region: text('name', {
    label: 'Region',
    default: '',
    isPublished: true,
    headers: ['region', 'area'],
  }),
  producer: text('name', {
    label: 'Producer',
    default: '',
    isPublished: true,
    headers: ['producer', 'farm', 'station', 'grower'],
  }),
  variety: text('name', {
    label: 'Variety',
    default: '',
    isPublished: true,
    headers: ['variety', 'varietal', 'cultivar'],
  }),
  varietyClass: word(VARIETY_CLASSES, VARIETY_LABELS, {
    label: 'Variety class',
    optional: true,
    isPublished: true,
    headers: ['variety class', 'class'],
  }),
  process: word(PROCESSES, PROCESS_LABELS, {
    label: 'Process',
    optional: true,
    isPublished: true,
    headers: ['process', 'processing'],
  }),
  altitudeM: quantity('altitudeM', {
    step: 50,
    optional: true,
    isPublished: true,
    headers: ['altitude m', 'altitude', 'elevation', 'masl'],
  }),
  altitudeToM: quantity('altitudeM', {
    label: 'Altitude, up to',
    hint: 'If the bag gives a range',
    step: 50,
    optional: true,
    isPublished: true,
  }),
  densityGPerL: quantity('densityGPerL', {
    label: 'Green density, measured',
    hint: 'Wins over altitude',
    step: 5,
    optional: true,
    isPublished: true,
    headers: ['density g per l', 'density', 'green density'],
  }),
  moisturePct: quantity('moisturePct', {
    step: 0.1,
    optional: true,
    headers: ['moisture pct', 'moisture'],
  }),
  harvest: text('note', {
    label: 'Harvest',
    default: '',
    isPublished: true,
    headers: ['harvest', 'crop', 'crop year', 'harvested'],
  }),
  lot: text('note', {
    label: 'Lot',
    default: '',
    isPublished: true,
    headers: ['lot number', 'lot id'],
  }),
  certification: text('name', {
    label: 'Certification',
    default: '',
    isPublished: true,
    headers: ['certification', 'certificates', 'certified'],
  }),
  cupScore: quantity('cupScore', {
    hint: 'Of the green coffee, 0-100',
    step: 0.25,
    optional: true,
    headers: ['cup score', 'cupping score', 'green score'],
  }),
} as const;

export type ComponentRow = Row<typeof COMPONENT>;
export type ComponentInput = Input<typeof COMPONENT>;
