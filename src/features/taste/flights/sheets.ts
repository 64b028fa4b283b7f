/**
 * Cup sheets of a blind flight, from phones without an account: a code opens the flight and nothing else of the
 * house, a place belongs to the phone that took it, and nothing that was tasted is thrown away.
 */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { answerFault, orderOfPlace } from '@/core/panel/flight';
import { oneOf, optionalText, text } from '@/core/schema/fields';
import { tasteSchema } from '@/core/schema/shot';
import { EMPTY_CUP_FAULT, isEmptyCup } from '@/core/taste/emptyCup';
import { LIKENESSES } from '@/core/taste/staged';
import { MOMENTS } from '@/core/vocabulary';
import { defineCommand, type Context } from '@/data/command';
import type { Db } from '@/data/database';
import { deviceMoment, momentSaid } from '@/data/deviceMoment';
import {
  cupsOf,
  findFlight,
  findFlightByCode,
  findTaster,
  insertSheet,
  insertTaster,
  isDeviceOf,
  nameKey,
  setAnswer,
  setDevice,
  tastersOf,
  type StoredFlight,
  type Taster,
} from '@/data/flights';
import { now } from '@/data/rows';
import { asIssue } from '@/core/message';

const device = z
  .string()
  .regex(/^[a-f0-9]{32}$/, { error: 'This phone has no mark of its own. Reload the page.' });

export const joinFlight = defineCommand({
  kind: 'joinFlight',
  changes: ['flight'],
  duty: 'open',
  input: z.strictObject({
    flightCode: z.string({ error: 'The code of the flight is missing. Enter it.' }).max(20),
    name: text('Your name', 'name'),
    device,
  }),
  run: ({ flightCode, name, device: phone }, context) => {
    const { db, id, person } = context;
    const flight = openFlight(findFlightByCode(db, flightCode));
    if (flight.revealedAt !== null)
      throw userFault('gone', '', 'This flight was revealed already. Ask for the next one.');
    const tasters = tastersOf(db, flight.id);
    const known = tasters.find((taster) => nameKey(taster.name) === nameKey(name));
    if (known) return { ...takenUp(known, phone, db), releaseId: flight.releaseId };
    if (tasters.length >= flight.places)
      throw userFault(
        'refused',
        'name',
        `All ${flight.places} places are taken. Whoever leads the tasting can add one.`,
      );
    // Phones that hold a place twice would taste twice.
    const other = tasters.find((taster) => isDeviceOf(taster, phone));
    if (other && person === null)
      throw userFault(
        'conflict',
        'name',
        `This phone tastes as ${other.name}. Hand it on first, or ask whoever leads the tasting.`,
      );
    const place = tasters.length;
    insertTaster(db, id, {
      flightId: flight.id,
      name,
      personId: person?.id ?? null,
      place,
      device: phone,
    });
    return {
      releaseId: flight.releaseId,
      words: `${name} took place ${place + 1} of a flight`,
      result: { tasterId: id },
    };
  },
});

/** Whoever is known by this name goes on, on the phone that holds the place or on one that it was freed for. */
function takenUp(taster: Taster, phone: string, db: Db) {
  if (taster.deviceHash !== null && !isDeviceOf(taster, phone))
    throw userFault(
      'conflict',
      'name',
      `${taster.name} tastes on another phone. Use another name; if that phone is gone, ask whoever leads the tasting to free the place.`,
    );
  setDevice(db, taster.id, phone);
  return { words: `${taster.name} is back in a flight`, result: { tasterId: taster.id } };
}

const ofTaster = { tasterId: z.string().max(64), device };

/** Twenty-four notes and a remark of every length, in any script. */
const MOST_CUP_BYTES = 16_000;

export const tasteBlind = defineCommand({
  kind: 'tasteBlind',
  changes: ['flight'],
  duty: 'open',
  maxBytes: MOST_CUP_BYTES,
  input: z
    .strictObject({
      ...ofTaster,
      code: z.string().max(3),
      moment: oneOf('Moment', MOMENTS),
      scales: tasteSchema,
      notesFound: z.array(text('A note', 'note')).max(24),
      remark: optionalText('Remark', 'remark'),
      likeness: oneOf('Likeness', LIKENESSES).optional(),
      tastedAt: deviceMoment('cup'),
    })
    .refine((given) => !isEmptyCup(given), { path: ['scales'], error: asIssue(EMPTY_CUP_FAULT) }),
  run: ({ tasterId, device: phone, likeness = null, ...sheet }, context) => {
    const { db, id } = context;
    const { flight, taster } = tasterAt(tasterId, phone, context);
    const own = orderOfPlace(taster.place, cupsOf(db, flight.id), flight);
    if (!own.some(({ code }) => code === sheet.code))
      throw userFault('badInput', 'code', `Cup ${sheet.code} is not one of yours in this flight.`);
    const isLate = flight.revealedAt !== null;
    const tastedAt = momentSaid('cup', 'tastedAt', sheet.tastedAt);
    insertSheet(db, id, { ...sheet, tasterId, likeness, tastedAt, isLate });
    return {
      releaseId: flight.releaseId,
      words: `${taster.name} tasted cup ${sheet.code}${isLate ? ', after the reveal' : ' blind'}`,
      result: { isLate },
    };
  },
});

export const answerFlight = defineCommand({
  kind: 'answerFlight',
  changes: ['flight'],
  duty: 'open',
  input: z.strictObject({ ...ofTaster, codes: z.array(z.string().max(3)).max(9) }),
  run: ({ tasterId, device: phone, codes }, context) => {
    const { db } = context;
    const { flight, taster } = tasterAt(tasterId, phone, context);
    if (flight.revealedAt !== null)
      throw userFault(
        'gone',
        'codes',
        'The flight was revealed before this answer came, so it does not count. Your sheets are kept.',
      );
    const fault = answerFault({ place: taster.place, codes }, cupsOf(db, flight.id), flight);
    if (fault) throw userFault('badInput', 'codes', fault);
    setAnswer(db, tasterId, codes);
    return { releaseId: flight.releaseId, words: `${taster.name} answered a flight`, result: {} };
  },
});

/** The flight of a code, if its sheets can still be filled in. */
export function openFlight(flight: StoredFlight | null): StoredFlight {
  if (!flight)
    throw userFault(
      'notFound',
      'flightCode',
      'No flight has this code. Check it, or ask whoever leads the tasting.',
    );
  if (flight.expiresAt <= now())
    throw userFault(
      'gone',
      'flightCode',
      'This flight is closed: its time is over. What you tasted is kept on this phone; whoever leads the tasting can open it again, then send it once more.',
    );
  return flight;
}

function tasterAt(tasterId: string, phone: string, { db }: Context) {
  const taster = findTaster(db, tasterId);
  if (!taster)
    throw userFault('notFound', '', 'You have no place in this flight. Join it with its code.');
  const flight = openFlight(findFlight(db, taster.flightId));
  if (!isDeviceOf(taster, phone))
    throw userFault(
      'conflict',
      '',
      `${taster.name} tastes on another phone now. Join again under another name, or ask whoever leads the tasting.`,
    );
  return { flight, taster };
}
