/** `kb field`: who is off, is it the café or the coffee, and what each café does next; from checks alone. */
import { z } from 'zod';
import { groupBy } from '@/core/groupBy';
import { userFault } from '@/core/errors';
import { fromPump } from '@/core/extraction/clock';
import { ALARM_STATES } from '@/core/cafes/alarms';
import { lnWindow, type CafeCheck } from '@/core/cafes/check';
import { INTERVAL_SDS } from '@/core/cafes/cafeRules';
import { nextAtCafe } from '@/core/cafes/nextAtCafe';
import { readChecks } from '@/core/cafes/readChecks';
import { localDay, readTimes } from '@/core/cafes/schedule';
import { cafeSignals, type CafeFacts, type CoffeeFacts } from '@/core/cafes/signals';
import { signalReason, signalTitle, type SignalNames } from '@/words/signalWords';
import { usualTimeS } from '@/core/cafes/usualTime';
import { CHECK_TASTES } from '@/core/entity/cafeCheck';
import { day, oneOf, quantity } from '@/core/schema/fields';
import { CLOCKS } from '@/core/vocabulary';
import { command, interval } from './command';

const name = z.string().min(1).max(80);
const MS_PER_DAY = 86_400_000;

const partnerSchema = z.strictObject({
  id: name,
  name: name.optional(),
  region: name.default('one'),
  /** "7:00, 10:30, 14:00"; without them a café is never called silent. */
  checkTimes: z
    .string()
    .max(200)
    .refine((typed) => readTimes(typed) !== null, {
      error: 'checkTimes are no times of day. Write 7:00, 10:30, 14:00.',
    })
    .default(''),
  /** 1 Monday … 7 Sunday. */
  closedWeekdays: z.array(z.int().min(1).max(7)).default([]),
  /** ln time of one step coarser, where known. */
  slope: z
    .strictObject({ mean: z.number().min(-1).max(1), sd: z.number().positive().max(1) })
    .optional(),
});

const checkSchema = z.strictObject({
  partner: name,
  at: z.iso.datetime({ error: 'at is no date and time. Write 2026-05-20T07:00:00Z.' }),
  /** Checks of one partner with one visit were made in one go; by the moment when absent. */
  visit: name.optional(),
  coffee: name,
  roastDate: day('roastDate').optional(),
  doseG: quantity('doseG'),
  yieldG: quantity('shotYieldG'),
  timeS: quantity('timeS'),
  /** In steps that count up as it grinds coarser. */
  dial: quantity('dial').optional(),
  shots: quantity('shotsAveraged').int().default(1),
  taste: oneOf('taste', CHECK_TASTES).optional(),
  target: z.strictObject({
    doseG: quantity('doseG'),
    yieldG: quantity('yieldG'),
    timeS: interval.refine(([low, high]) => low > 0 && high > low, {
      error: 'The window goes from a time to a later one. Give [26, 30].',
    }),
    clock: z.enum(CLOCKS).default('pump'),
  }),
});

const signalShape = z.looseObject({
  kind: z.enum(['step', 'dose', 'yield', 'silence', 'batch', 'weather']),
  probability: z.number(),
  title: z.string(),
  reason: z.string(),
  state: z.enum(ALARM_STATES).optional(),
});

export const field = command({
  purpose: 'Who is off in the field, is it the café or the coffee, and what each café does next.',
  input: z.strictObject({
    partners: z.array(partnerSchema).min(1).max(1000),
    checks: z.array(checkSchema).max(100_000),
    /** Until when it is looked at; the newest check when absent. */
    on: z.iso.datetime().optional(),
  }),
  output: z.object({
    signals: z.array(signalShape),
    verdicts: z.array(
      z.object({
        partner: z.string(),
        coffee: z.string(),
        offS: z.number(),
        interval80: interval,
        move: z.object({ steps: z.number(), inWindow: z.number(), asItIs: z.number() }),
      }),
    ),
  }),
  run: ({ partners, checks, on }) => {
    const known = new Set(partners.map(({ id }) => id));
    checks.forEach(({ partner }, i) => {
      if (!known.has(partner))
        throw userFault('badInput', `checks.${i}.partner`, `There is no partner ${partner}.`);
    });
    const byPartner = groupBy(checks, ({ partner }) => partner);
    const read = new Map(
      [...byPartner].map(([id, own]) => [
        id,
        own.map(fieldCheckOf).sort((a, b) => a.atDay - b.atDay),
      ]),
    );
    const cafes = partners.map(({ id, region, slope, checkTimes }) => ({
      id,
      region,
      checksADay: Math.max(1, readTimes(checkTimes)!.length),
      ...(slope && { slope }),
    }));
    const { model } = readChecks(cafes, read);
    const newest = Math.max(0, ...[...read.values()].flatMap((own) => own.at(-1)?.atDay ?? 0));
    const nowDay = on === undefined ? newest : localDay(on, 'UTC');
    const facts = partners.map(({ id, region, checkTimes, closedWeekdays }): CafeFacts => {
      const own = read.get(id) ?? [];
      const times = readTimes(checkTimes)!;
      return {
        ...{ id, region, nowDay, checks: own, firstDay: own[0]?.atDay ?? nowDay },
        plan: times.length === 0 ? null : { times, closed: closedWeekdays.map((one) => one % 7) },
      };
    });
    const names = namesOf(partners, read);
    return {
      signals: cafeSignals(model, facts, coffeesOf(read)).map((signal) => ({
        ...signal,
        title: signalTitle(signal, names),
        reason: signalReason(signal, names),
      })),
      verdicts: partners.flatMap(({ id }) =>
        [...newestOf(read.get(id) ?? [])].flatMap(([coffee, { window, target }]) => {
          const next = nextAtCafe(model, id, coffee, lnWindow(window));
          if (next === null) return [];
          const seconds = (ln: number) => target.timeS * (Math.exp(ln) - 1);
          const half = INTERVAL_SDS * next.sd;
          return [
            {
              partner: id,
              coffee,
              offS: seconds(next.offLn),
              interval80: [seconds(next.offLn - half), seconds(next.offLn + half)] as [
                number,
                number,
              ],
              move: next.move,
            },
          ];
        }),
      ),
    };
  },
});

type SentCheck = z.output<typeof checkSchema>;

function fieldCheckOf(check: SentCheck, i: number): CafeCheck & { window: [number, number] } {
  const { partner, at, visit, coffee, roastDate, target } = check;
  const atDay = localDay(at, 'UTC');
  const onPump = (s: number) => fromPump(s, target.clock);
  const window: [number, number] = [onPump(target.timeS[0]), onPump(target.timeS[1])];
  return {
    id: `${partner} ${i}`,
    visit: visit ?? at,
    atDay,
    coffee,
    batch: roastDate ?? null,
    doseG: check.doseG,
    yieldG: Math.max(1, check.yieldG),
    timeS: onPump(check.timeS),
    dial: check.dial ?? null,
    shots: check.shots,
    ageDays:
      roastDate === undefined ? null : Math.floor(atDay) - Date.parse(roastDate) / MS_PER_DAY,
    target: { doseG: target.doseG, yieldG: target.yieldG, timeS: (window[0] + window[1]) / 2 },
    window,
  };
}

type Read = ReadonlyMap<string, readonly ReturnType<typeof fieldCheckOf>[]>;

/** Each coffee's newest check of one café: a café on another basket has another window. */
const newestOf = (own: readonly ReturnType<typeof fieldCheckOf>[]) =>
  new Map(own.map((check) => [check.coffee, check]));

function namesOf(partners: readonly z.output<typeof partnerSchema>[], read: Read): SignalNames {
  const names = new Map(partners.map(({ id, name }) => [id, name ?? id]));
  const times = [...read].flatMap(([cafe, own]) =>
    [...newestOf(own)].map(([coffee, { target }]) => ({ cafe, coffee, timeS: target.timeS })),
  );
  return {
    cafe: (id) => names.get(id) ?? id,
    coffee: (id) => id,
    coffeesAt: (id) => times.filter(({ cafe }) => cafe === id).length,
    timeS: (coffee, cafe) => usualTimeS(times, coffee, cafe),
  };
}

function coffeesOf(read: Read): CoffeeFacts[] {
  return [...groupBy([...read.values()].flat(), ({ coffee }) => coffee)].map(([coffee, own]) => ({
    coffee,
    batches: [...new Set(own.flatMap(({ batch }) => batch ?? []))].sort(),
  }));
}
