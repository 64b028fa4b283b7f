/** Blind flights at the bench: planned, poured, revealed, decided. */
import { z } from 'zod';
import { revealedCups } from '@/core/panel/reveal';
import { OVER_RATING_G } from '@/core/extraction/settable';
import { userFault } from '@/core/errors';
import { armSchema, type Arm } from '@/core/panel/arm';
import { dialWords } from '@/core/grinder/notation';
import { cupsOfFlight } from '@/core/panel/flight';
import { ARMS, FLIGHT_TESTS, FLIGHT_TEST_LABELS } from '@/core/panel/flightTests';
import { oneOf, optionalText, quantity, text } from '@/core/schema/fields';
import { defineCommand, personOf, type Context } from '@/data/command';
import { findDraft } from '@/data/dialIns';
import {
  cupsOf,
  findFlight,
  findTaster,
  insertFlight,
  newSeed,
  setRevealed,
  setDecision,
  setDevice,
  setOpen,
  setPoured,
  sheetsOf,
  tastersOf,
  type StoredFlight,
} from '@/data/flights';
import { findRelease } from '@/data/releases';
import { findSetup } from '@/data/setups';
import { findShotWhereabouts } from '@/data/shots';

const whole = (name: 'places' | 'openHours', label: string) =>
  quantity(name).refine(Number.isInteger, { error: `${label} is not a whole number. Enter one.` });

const opening = {
  places: whole('places', 'Tasters'),
  hours: whole('openHours', 'Open for'),
};

const flightId = z.string({ error: 'No flight is named. Reload the page.' }).max(64);

export const planFlight = defineCommand({
  kind: 'planFlight',
  changes: ['flight'],
  duty: 'bench',
  input: z
    .strictObject({
      releaseId: z.string().max(64),
      test: oneOf('Test', FLIGHT_TESTS),
      question: text('What is asked', 'name'),
      arms: z.array(armSchema),
      ...opening,
      hasDuplicate: z.boolean().default(false),
      asksLikeness: z.boolean().default(false),
    })
    .superRefine(({ test, arms }, context) => {
      const { least, most } = ARMS[test];
      const wanted = least === most ? `${least}` : `${least} to ${most}`;
      if (arms.length < least || arms.length > most)
        context.addIssue({
          code: 'custom',
          path: ['arms'],
          message: `“${FLIGHT_TEST_LABELS[test]}” compares ${wanted} things; here ${arms.length === 1 ? 'is one' : `are ${arms.length}`}. Add or take away some, or choose another test.`,
        });
      const names = arms.map(({ label }) => label.toLowerCase());
      const twice = names.findIndex((name, i) => names.indexOf(name) !== i);
      if (twice >= 0)
        context.addIssue({
          code: 'custom',
          path: ['arms', twice, 'label'],
          message: `Two things are called “${arms[twice]!.label}”. Call one of them otherwise.`,
        });
    }),
  run: ({ hasDuplicate, ...flight }, context) => {
    const { db, id } = context;
    if (!findRelease(db, flight.releaseId))
      throw userFault('notFound', 'releaseId', 'There is no such release. Reload the page.');
    for (const [i, arm] of flight.arms.entries()) checkArm(arm, i, flight.releaseId, context);
    const seed = newSeed();
    const cups = cupsOfFlight({ ...flight, seed, arms: flight.arms.length, hasDuplicate });
    const code = insertFlight(db, id, flight, { seed, cups, personId: personOf(context).id });
    return {
      releaseId: flight.releaseId,
      words: `planned a blind flight: ${flight.question}`,
      result: { flightId: id, code },
    };
  },
});

/** What the bench cannot do is refused before anybody stands at it. */
function checkArm({ pull }: Arm, i: number, releaseId: string, { db }: Context): void {
  if (!pull) return;
  const draft = findDraft(db, pull.draftId);
  const setup = draft && findSetup(db, draft.setupId);
  if (!setup || draft.releaseId !== releaseId)
    throw userFault(
      'notFound',
      `arms.${i}`,
      'That recipe is not one of this release. Reload the page.',
    );
  const { machine, basket, grinder } = setup;
  const refuse = (field: string, message: string) =>
    userFault('badInput', `arms.${i}.pull.${field}`, message);
  if (!machine.settableTemperature && pull.temperatureC !== draft.recipe.temperatureC)
    throw refuse(
      'temperatureC',
      `The temperature of ${machine.name} cannot be set: it stays at ${draft.recipe.temperatureC} °C. Compare something else.`,
    );
  if (pull.doseG > basket.ratedG + OVER_RATING_G)
    throw refuse(
      'doseG',
      `${pull.doseG} g is more than the ${basket.ratedG} g basket holds. Enter at most ${basket.ratedG + OVER_RATING_G} g.`,
    );
  if (pull.dial < grinder.min || pull.dial > grinder.max)
    throw refuse(
      'dial',
      `${grinder.name} has no dial ${dialWords(grinder, pull.dial)}: it goes from ${dialWords(grinder, grinder.min)} to ${dialWords(grinder, grinder.max)}.`,
    );
}

/** More tasters, or more time. */
export const changeFlight = defineCommand({
  kind: 'changeFlight',
  changes: ['flight'],
  duty: 'bench',
  input: z.strictObject({ flightId, ...opening }),
  run: ({ flightId: id, ...open }, { db }) => {
    const flight = blindFlight(id, db);
    const taken = tastersOf(db, id).length;
    if (open.places < taken)
      throw userFault(
        'badInput',
        'places',
        `${taken} tasters have a place already. Enter ${taken} or more.`,
      );
    setOpen(db, id, open);
    return {
      releaseId: flight.releaseId,
      words: `opened a flight for ${open.places} tasters`,
      result: {},
    };
  },
});

export const pourCup = defineCommand({
  kind: 'pourCup',
  changes: ['flight'],
  duty: 'bench',
  input: z.strictObject({
    flightId,
    code: z.string().max(3),
    shotId: z.string().max(64).optional(),
  }),
  run: ({ flightId: id, code, shotId }, { db }) => {
    const flight = blindFlight(id, db);
    const cup = cupsOf(db, id).find((one) => one.code === code);
    if (!cup)
      throw userFault('notFound', 'code', `This flight has no cup ${code}. Reload the page.`);
    const { pull } = flight.arms[cup.arm]!;
    if (pull && !shotId)
      throw userFault('badInput', 'shotId', 'Pull this cup first: its shot is not logged yet.');
    const shot = shotId === undefined ? null : findShotWhereabouts(db, shotId);
    if (shotId !== undefined && (!shot || shot.removed || shot.releaseId !== flight.releaseId))
      throw userFault(
        'notFound',
        'shotId',
        'That shot is not one of this release, or was deleted. Pull the cup again.',
      );
    setPoured(db, { flightId: id, code, shotId: pull ? shotId! : null });
    return { releaseId: flight.releaseId, words: `poured cup ${code} of a flight`, result: {} };
  },
});

/** A phone that is lost or empty: whoever joins under the same name goes on where it was. */
export const freePlace = defineCommand({
  kind: 'freePlace',
  changes: ['flight'],
  duty: 'bench',
  input: z.strictObject({ tasterId: z.string().max(64) }),
  run: ({ tasterId }, { db }) => {
    const taster = findTaster(db, tasterId);
    const flight = taster && findFlight(db, taster.flightId);
    if (!flight)
      throw userFault('notFound', 'tasterId', 'There is no such taster. Reload the page.');
    setDevice(db, tasterId, null);
    return {
      releaseId: flight.releaseId,
      words: `freed the place of ${taster.name} in a flight`,
      result: {},
    };
  },
});

export const revealFlight = defineCommand({
  kind: 'revealFlight',
  changes: ['flight', 'tasting'],
  duty: 'bench',
  input: z.strictObject({ flightId }),
  run: ({ flightId: id }, context) => {
    const { db } = context;
    const flight = blindFlight(id, db);
    const hasAnswers = tastersOf(db, id).some(({ answer }) => answer !== null);
    const sheets = sheetsOf(db, id);
    if (!hasAnswers && sheets.length === 0)
      throw userFault(
        'refused',
        '',
        'Nobody has tasted yet. Reveal it once there is something to reveal, or delete the flight.',
      );
    const cups = revealedCups(sheets, cupsOf(db, id), flight.arms);
    setRevealed(db, id, { cups, personId: personOf(context).id });
    return {
      releaseId: flight.releaseId,
      words: `revealed a flight: ${flight.question}`,
      result: {},
    };
  },
});

export const decideFlight = defineCommand({
  kind: 'decideFlight',
  changes: ['flight'],
  duty: 'lead',
  input: z.strictObject({
    flightId,
    chosenArm: z.number().int().min(0).nullable(),
    decision: optionalText('Why', 'words'),
  }),
  run: ({ flightId: id, chosenArm, decision }, { db }) => {
    const flight = knownFlight(id, db);
    if (flight.revealedAt === null)
      throw userFault('refused', '', 'Reveal the flight first, then decide.');
    const arm = chosenArm === null ? null : flight.arms[chosenArm];
    if (arm === undefined)
      throw userFault('badInput', 'chosenArm', 'There is no such cup. Choose one of the flight.');
    setDecision(db, id, { chosenArm, decision });
    return {
      releaseId: flight.releaseId,
      words: `decided a flight: ${arm?.label ?? 'none of them'}${decision ? ` (${decision})` : ''}`,
      result: {},
    };
  },
});

function knownFlight(id: string, db: Context['db']): StoredFlight {
  const flight = findFlight(db, id);
  if (!flight)
    throw userFault(
      'notFound',
      'flightId',
      'There is no such flight, or it was deleted. Go back to Taste and choose another.',
    );
  return flight;
}

function blindFlight(id: string, db: Context['db']): StoredFlight {
  const flight = knownFlight(id, db);
  if (flight.revealedAt !== null)
    throw userFault(
      'gone',
      '',
      'This flight was revealed: nothing about it changes any more. Plan another one.',
    );
  return flight;
}
