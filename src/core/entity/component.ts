/** One green coffee of a release, with its share. */
import { PROCESS_LABELS, PROCESSES, VARIETY_CLASSES, VARIETY_LABELS } from '../vocabulary';
import { quantity, text, word, type Entered, type Values } from './field';

export const COMPONENT = {
  sharePct: quantity('sharePct', {
    step: 5,
    isPublished: true,
    headers: ['share pct', 'share', 'percentage', 'part'],
  }),
  country: text('name', {
    label: 'Country',
    unsaid: '',
    isPublished: true,
    headers: ['country', 'origin'],
  }),
  region: text('name', {
    label: 'Region',
    unsaid: '',
    isPublished: true,
    headers: ['region', 'area'],
  }),
  producer: text('name', {
    label: 'Producer',
    unsaid: '',
    isPublished: true,
    headers: ['producer', 'farm', 'station', 'grower'],
  }),
  variety: text('name', {
    label: 'Variety',
    unsaid: '',
    isPublished: true,
    headers: ['variety', 'varietal', 'cultivar'],
  }),
  varietyClass: word(VARIETY_CLASSES, VARIETY_LABELS, {
    label: 'Variety class',
    isOpen: true,
    isPublished: true,
    headers: ['variety class', 'class'],
  }),
  process: word(PROCESSES, PROCESS_LABELS, {
    label: 'Process',
    isOpen: true,
    isPublished: true,
    headers: ['process', 'processing'],
  }),
  altitudeM: quantity('altitudeM', {
    step: 50,
    isOpen: true,
    isPublished: true,
    headers: ['altitude m', 'altitude', 'elevation', 'masl'],
  }),
  densityGPerL: quantity('densityGPerL', {
    label: 'Green density, measured',
    hint: 'Wins over altitude',
    step: 5,
    isOpen: true,
    isPublished: true,
    headers: ['density g per l', 'density', 'green density'],
  }),
  moisturePct: quantity('moisturePct', {
    step: 0.1,
    isOpen: true,
    headers: ['moisture pct', 'moisture'],
  }),
} as const;

export type ComponentValues = Values<typeof COMPONENT>;
export type ComponentEntered = Entered<typeof COMPONENT>;
