/** A programme of the house's own: what the machine does during a shot, under a name. */
import { STYLE_LABELS, STYLES } from '../vocabulary';
import { flag, steps, text, word, type Input, type Row } from './field';

export const PROGRAMME = {
  name: text('name', { label: 'Name of the programme' }),
  style: word(STYLES, STYLE_LABELS, { label: 'Style' }),
  steps: steps({ label: 'Programme' }),
  /** Start begins its style with this one. */
  isFirst: flag({ label: 'First of its style', default: false }),
} as const;

export type ProgrammeRow = Row<typeof PROGRAMME>;
export type ProgrammeInput = Input<typeof PROGRAMME>;
