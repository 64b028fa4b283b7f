/** From here on a grinder's numbers mean something else: what it taught before is kept apart. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import {
  dialToday,
  PERIOD_KINDS,
  PERIOD_LABELS,
  type CalibrationPeriod,
} from '@/core/grinder/calibrationPeriod';
import { countedIn } from '@/core/grinder/notation';
import { oneOf, quantity, text } from '@/core/schema/fields';
import { roundDial } from '@/core/grinder/dial';
import { defineCommand, personOf } from '@/data/command';
import { findPart, updatePart } from '@/data/equipment';
import { insertPeriod } from '@/data/calibrationPeriods';
import { now } from '@/data/rows';

export const beginCalibrationPeriod = defineCommand({
  kind: 'beginCalibrationPeriod',
  changes: ['equipment'],
  duty: 'lead',
  input: z.strictObject({
    grinderId: z.string().max(64),
    kind: oneOf('What was done', PERIOD_KINDS),
    shift: quantity('dialShift').optional(),
    reason: text('Reason', 'words'),
  }),
  run: ({ grinderId, kind, shift: typed, reason }, context) => {
    const { db, id } = context;
    const grinder = findPart(db, 'grinder', grinderId);
    if (!grinder)
      throw userFault('notFound', 'grinderId', 'That grinder is gone. Reload the page.');
    // New burrs cut otherwise: no shift of the numbers says what they do.
    const shift = kind === 'burrs' ? null : (typed ?? null);
    insertPeriod(db, { id, grinderId, kind, shift, reason }, personOf(context).id);
    const { id: _id, rowVersion, ...fields } = grinder;
    const period: CalibrationPeriod = { beganAt: now(), kind, shift };
    const moved = (dial: number | undefined) => {
      const today = dial === undefined ? null : dialToday(dial, '', [period]);
      return today === null ? undefined : roundDial(today);
    };
    updatePart(
      db,
      'grinder',
      { id: grinderId, rowVersion },
      {
        ...fields,
        referenceDial: moved(grinder.referenceDial),
        chokesAt: withinDial(moved(grinder.chokesAt), grinder),
      },
    );
    const far =
      shift === null
        ? ''
        : `, the same grind reads ${[`${shift > 0 ? '+' : ''}${shift}`, countedIn(grinder)].filter(Boolean).join(' ')}`;
    return {
      releaseId: null,
      words: `began ${PERIOD_LABELS[kind].toLowerCase()} of ${grinder.name}${far}: ${reason}`,
      result: {},
    };
  },
});

/** A choke point that moved off the dial says nothing any more. */
function withinDial(
  dial: number | undefined,
  { min, max }: { readonly min: number; readonly max: number },
): number | undefined {
  return dial !== undefined && dial >= min && dial <= max ? dial : undefined;
}
