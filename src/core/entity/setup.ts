/** A setup: machine, grinder and basket that stand together, and the instruments linked to them. */
import { INSTRUMENT_LABELS, LINK_LABELS, LINKS, type Instrument } from '../vocabulary';
import { text, word, type Row } from './field';

const link = (instrument: Instrument) =>
  word(LINKS, LINK_LABELS, { label: INSTRUMENT_LABELS[instrument], default: 'none' });

export const SETUP = { name: text('name', { label: 'Name of the setup' }) } as const;

/** What sends its readings; 'none' is read by hand. */
export const SETUP_LINKS = {
  scale: link('scale'),
  machineLink: link('machineLink'),
  refractometer: link('refractometer'),
  colourMeter: link('colourMeter'),
} as const;

export type SetupLinks = Row<typeof SETUP_LINKS>;
