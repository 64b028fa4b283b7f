/** What Patterns shows as rows for a spreadsheet, under the same filters. Server only. */
import { LEVERS } from '@/core/patterns/tongue';
import { OUTPUTS } from '@/core/start/priors';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { readPatterns } from '@/views/patterns';

export const PATTERN_EXPORTS = [
  'effects',
  'proposals',
  'dial-ins',
  'cups',
  'tongue',
  'notes',
] as const;
export type PatternExport = (typeof PATTERN_EXPORTS)[number];

type Rows = (string | number)[][];

export function exportPatterns(
  db: Db,
  house: House,
  what: PatternExport,
  search: Readonly<Record<string, string>>,
): Rows {
  const view = readPatterns(db, house, search);
  switch (what) {
    case 'effects':
      return [
        ['output', 'factor', 'rule', 'learned', 'half_width_80', 'releases'],
        ...OUTPUTS.flatMap((output) =>
          view.effects[output].map(({ label, rule, learned, halfWidth80, releases }) => [
            output,
            label,
            rule,
            learned,
            halfWidth80,
            releases,
          ]),
        ),
      ];
    case 'proposals':
      return [
        ['release', 'decided_on', 'output', 'proposed', 'decided'],
        ...view.proposals.points.flatMap(({ name, day, values }) =>
          OUTPUTS.flatMap((output) => {
            const value = values[output];
            return value ? [[name, day, output, ...value]] : [];
          }),
        ),
      ];
    case 'dial-ins':
      return [
        ['release', 'begun_on', 'style', 'shots', 'spent_g', 'on_target'],
        ...view.dialIns.points.map(({ name, day, style, shots, spentG, isOnTarget }) => [
          name,
          day,
          style,
          shots,
          spentG,
          isOnTarget ? 'yes' : 'no',
        ]),
      ];
    case 'tongue':
      return [
        ['scale', 'lever', 'points_a_step', 'half_width_80', 'cups', 'coffees'],
        ...view.tongue.flatMap(({ scale, byLever, cups, coffees }) =>
          LEVERS.flatMap((lever) => {
            const effect = byLever[lever];
            return effect ? [[scale, lever, effect.mean, effect.half80, cups, coffees]] : [];
          }),
        ),
      ];
    case 'notes':
      return [
        [
          'note',
          'coffees',
          'cups',
          'promised_for',
          'promised_and_found',
          'more_in',
          'here',
          'elsewhere',
        ],
        ...view.notes.map(({ note, coffees, cups, promisedFor, kept, mostIn }) => [
          note,
          coffees,
          cups,
          promisedFor,
          kept,
          mostIn?.group ?? '',
          mostIn?.here.join(' of ') ?? '',
          mostIn?.elsewhere.join(' of ') ?? '',
        ]),
      ];
    case 'cups':
      return [
        ['process', 'roast', 'releases', 'cups', 'liking', 'half_width_80', 'notes_found'],
        ...view.cups.map(({ process, roast, releases, cups, liking, notes }) => [
          process,
          roast,
          releases,
          cups,
          liking?.mean ?? '',
          liking?.half80 ?? '',
          notes.map(({ note, found, asked }) => `${note} ${found} of ${asked}`).join('; '),
        ]),
      ];
  }
}
