/**
 * Six invented cafés over eight weeks: one drifts, one fell silent, one changed its burrs, and all of them are on a
 * batch of the blend that runs fast. Their checks go in by their links, as their phones would send them.
 */
import { addDays } from '@/core/rest/day';
import { chanceFrom, type Chance } from '@/core/random';
import { signalKey } from '@/core/cafes/signalKey';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { findPartner } from '@/data/partners';
import { today } from '@/data/today';
import { readCafesNow } from '@/views/cafes';
import { learnFromCafes } from '@/views/cafesModel';
import { recipeAt, recipeInForce } from '@/views/publishedRecipe';
import type { DemoWorker } from './worker';

interface DemoCafe {
  readonly partner: Readonly<Record<string, unknown>> & { readonly name: string };
  /** ln time of one step coarser. */
  readonly slope: number;
  readonly dial: number;
  /** A lasting change: so many days ago, ln time. */
  readonly step?: { readonly daysAgo: number; readonly ln: number };
  readonly silentSinceDaysAgo?: number;
  readonly doseOffG: number;
  /** Share of its cups on target that it calls sour. */
  readonly calledSour?: number;
}

const CAFES: readonly DemoCafe[] = [
  {
    partner: {
      name: 'The Copper Finch',
      people: 'Ansel and Rhona',
      town: 'Marrowgate',
      machine: 'Pellam two-group',
      grinder: 'Quern 64',
    },
    slope: -0.09,
    dial: 14,
    step: { daysAgo: 5, ln: -0.14 },
    doseOffG: 0.1,
  },
  {
    partner: {
      name: 'Stube Lindwurm',
      people: 'Hedda',
      town: 'Ostrel',
      language: 'de',
      machine: 'Brennfeld lever',
      diameterMm: 54,
      grinder: 'Mahlwerk Drei',
      closedWeekdays: ['1'],
    },
    slope: -0.11,
    dial: 9,
    doseOffG: 0,
    // On its smaller basket the rule gives too little time.
    calledSour: 0.3,
  },
  {
    partner: {
      name: 'Padaria Meia-Lua',
      people: 'Célia',
      town: 'Tidewell',
      language: 'pt',
      machine: 'Pellam one-group',
      grinder: 'Quern 54',
    },
    slope: -0.1,
    dial: 21,
    silentSinceDaysAgo: 3,
    doseOffG: -0.1,
  },
  {
    partner: {
      name: 'Harbour Steps',
      people: 'Odile',
      town: 'Tidewell',
      heatUnit: 'f',
      machine: 'Kestrel three-group',
      grinder: 'Farrow flat',
      flushS: 3,
      overrunG: 1.5,
    },
    slope: -0.08,
    dial: 17,
    doseOffG: 0.1,
  },
  {
    partner: {
      name: 'Third Lantern',
      people: 'Bram',
      town: 'Marrowgate',
      machine: 'Kestrel two-group',
      grinder: 'Farrow flat',
    },
    slope: -0.1,
    dial: 12,
    step: { daysAgo: 18, ln: -0.16 },
    doseOffG: 0,
  },
  {
    partner: {
      name: 'Sous-Bois',
      people: 'Maëlle',
      town: 'Ostrel',
      language: 'fr',
      machine: 'Brennfeld two-group',
      fixedTemperatureC: 91,
      grinder: 'Mahlwerk Zwei',
      stepless: true,
    },
    slope: -0.09,
    dial: 11,
    doseOffG: -0.1,
  },
];

const DAYS = 56;
/** Before this they checked once a day. */
const OFTEN_SINCE_DAYS_AGO = 28;
/** House time: the demo's day stands at two in the afternoon. */
const ROUNDS_MINUTES = [-6.9 * 60, -3.4 * 60, 5];
const BATCH_DAYS = 14;
const BAD_BATCH_LN = -0.085;
/** So old is a bag when a café opens it. */
const FIRST_REST_DAYS = 7;

interface Asked {
  readonly db: Db;
  readonly worker: DemoWorker;
  readonly lead: string;
  readonly blendId: string;
  readonly singleId: string;
}

export function fillField(asked: Asked): void {
  const { db, worker, lead, blendId, singleId } = asked;
  const chance = chanceFrom(42_017);
  worker.goTo(DAYS + 1);
  const cafes = CAFES.map((cafe) => ({
    ...cafe,
    id: String(
      worker.run(
        'savePartner',
        {
          partner: { checkTimes: '7:00, 10:30, 14:00', ...cafe.partner },
          releaseIds: [blendId, singleId],
        },
        lead,
      ).partnerId,
    ),
    dials: new Map([
      [blendId, cafe.dial],
      [singleId, cafe.dial - 2],
    ]),
    levels: new Map([
      [blendId, 0.02 * chance.normal()],
      [singleId, 0.02 * chance.normal()],
    ]),
  }));
  for (let daysAgo = DAYS; daysAgo >= 0; daysAgo--) {
    const weather = 0.012 * chance.normal();
    const rounds = daysAgo >= OFTEN_SINCE_DAYS_AGO ? [ROUNDS_MINUTES[0]!] : ROUNDS_MINUTES;
    for (const minutes of rounds) {
      // Today's later rounds have not come yet.
      if (daysAgo === 0 && (minutes !== ROUNDS_MINUTES[0] || sinceOpening() < 60)) continue;
      for (const cafe of cafes) {
        const isSilent = cafe.silentSinceDaysAgo !== undefined && daysAgo < cafe.silentSinceDaysAgo;
        worker.goTo(daysAgo, daysAgo === 0 ? sinceOpening() : -minutes);
        const weekday = String(((new Date(today()).getUTCDay() + 6) % 7) + 1);
        const isClosed = (cafe.partner.closedWeekdays as string[] | undefined)?.includes(weekday);
        if (isSilent || isClosed || chance.isWithin(0.05)) continue;
        sendRound(asked, cafe, { daysAgo, weather, chance });
      }
    }
  }
  worker.goTo(0, 20);
  learnFromCafes(db, findHouse(db)!);
  askAndExplain(asked, cafes);
}

/** Minutes since six past seven today. */
function sinceOpening(): number {
  const now = new Date();
  return (now.getHours() - 7) * 60 + now.getMinutes() - 6;
}

interface Working {
  readonly id: string;
  readonly slope: number;
  readonly step?: DemoCafe['step'];
  readonly doseOffG: number;
  readonly calledSour?: number;
  readonly dials: Map<string, number>;
  readonly levels: ReadonlyMap<string, number>;
  readonly dial: number;
}

function sendRound(
  { db, worker, blendId, singleId }: Asked,
  cafe: Working,
  { daysAgo, weather, chance }: { daysAgo: number; weather: number; chance: Chance },
): void {
  const partner = findPartner(db, cafe.id)!;
  const house = findHouse(db)!;
  const visitLn = 0.012 * chance.normal();
  const checks = [blendId, singleId].flatMap((releaseId) => {
    const published = recipeInForce(db, releaseId, `${today()}T23:59:59Z`);
    if (published === null || published.body.publishedOn > today()) return [];
    const { doseG, yieldG, timeS } = recipeAt(house, published.body, partner).recipe;
    const offset = releaseId === blendId ? 5 : 12;
    const batchNumber = Math.floor((DAYS - daysAgo + offset) / BATCH_DAYS);
    const roastedDaysAgo = DAYS - (batchNumber * BATCH_DAYS - offset) + FIRST_REST_DAYS;
    const restDays = roastedDaysAgo - daysAgo;
    const newest = Math.floor((DAYS + offset) / BATCH_DAYS);
    const isBad = releaseId === blendId && batchNumber === newest;
    const dial = cafe.dials.get(releaseId)!;
    const firstDial = releaseId === blendId ? cafe.dial : cafe.dial - 2;
    const wrong = cafe.step !== undefined && daysAgo < cafe.step.daysAgo ? cafe.step.ln : 0;
    const typedDose = doseG + cafe.doseOffG + 0.08 * chance.normal();
    const typedYield = yieldG + 0.5 * chance.normal();
    const ln =
      Math.log((timeS[0] + timeS[1]) / 2) +
      cafe.levels.get(releaseId)! +
      cafe.slope * (dial - firstDial) +
      1.2 * Math.log(typedDose / doseG) +
      Math.log(typedYield / yieldG) -
      0.008 * (restDays - 10) +
      (isBad ? BAD_BATCH_LN : 0) +
      wrong +
      weather +
      visitLn +
      0.028 * chance.normal();
    const time = Math.exp(ln);
    const isOff = time < timeS[0] - 0.5 || time > timeS[1] + 0.5;
    if (isOff && chance.isWithin(0.75)) {
      const middle = (timeS[0] + timeS[1]) / 2;
      const steps = Math.round(Math.log(time / middle) / 0.1);
      cafe.dials.set(releaseId, dial + Math.max(-1, Math.min(1, steps)));
    }
    const taste = isOff
      ? chance.isWithin(0.5)
        ? time < timeS[0]
          ? 'sour'
          : 'bitter'
        : 'fine'
      : chance.isWithin(cafe.calledSour ?? 0)
        ? 'sour'
        : chance.isWithin(0.95)
          ? 'fine'
          : 'weak';
    return [
      {
        releaseId,
        roastDate: addDays(today(), -restDays),
        check: {
          doseG: round(typedDose, 1),
          yieldG: round(typedYield, 1),
          timeS: round(time, 1),
          ...(chance.isWithin(0.85) && { dial }),
          taste,
        },
      },
    ];
  });
  if (checks.length === 0) return;
  worker.run('sendChecks', { secret: partner.secret, checks, help: '' }, null);
}

const round = (value: number, digits: number) => Number(value.toFixed(digits));

/** A café asks for help; what another's change was is known. */
function askAndExplain({ db, worker, lead }: Asked, cafes: readonly Working[]): void {
  const secretOf = (at: number) => findPartner(db, cafes[at]!.id)!.secret;
  worker.goTo(0, 12);
  const help = 'The single runs sour since yesterday, whatever we do. Could you call before noon?';
  worker.run('sendChecks', { secret: secretOf(3), checks: [], help }, null);
  const house = findHouse(db)!;
  const burrs = readCafesNow(db, house).signals.find(
    (signal) => signal.kind === 'step' && signal.cafe === cafes[4]!.id,
  );
  if (burrs !== undefined)
    worker.run(
      'settleSignal',
      { signal: signalKey(burrs), cause: 'burrs', note: 'New burrs; they told us on the phone.' },
      lead,
    );
}
