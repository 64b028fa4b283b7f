/** Blind flights of the demo house: planned, poured and tasted through the same commands as on phones. */
import { findHouse } from '@/data/house';
import { cupsOf, findFlight, tastersOf } from '@/data/flights';
import { flightOutcome, orderOfPlace } from '@/core/panel/flight';
import { readBest } from '@/views/best';
import { readFlightRecipes, type FlightRecipe } from '@/views/flightRecipes';
import type { Chance } from '@/core/random';
import { holdsOf } from '@/core/trials/holds';
import { settableC, settableG } from '@/core/extraction/settable';
import { tasteOf, tdsOf } from './truth';
import type { DemoWorker, DialIn } from './worker';

/** Somebody at the table: their palate lies a little higher or lower than others'. */
interface DemoTaster {
  readonly name: string;
  /** Of the house; a guest without. */
  readonly personId?: string;
  readonly palate: number;
  /** Cups they have tasted so far; all when absent. */
  readonly most?: number;
}

interface DemoArm {
  readonly label: string;
  readonly serving?: 'straight' | 'milk';
  /** What it differs in from the recipe; null for a cup from elsewhere. */
  readonly changes: Partial<FlightRecipe['pull']> | null;
}

export interface DemoFlight {
  readonly test: 'paired' | 'triangle' | 'ranking' | 'scored';
  readonly question: string;
  readonly arms: readonly DemoArm[];
  readonly tasters: readonly DemoTaster[];
  readonly daysAgo: number;
  /** Of its day's afternoon; of now, today. */
  readonly minutesAgo: number;
  readonly hasDuplicate?: boolean;
}

const MINUTES_TO_POUR = 4;
/** Extraction of a cup from elsewhere: somebody else's usual recipe. */
const ELSEWHERE_PCT = 19.4;

/** Plans a flight, pours it and has it tasted; answers its id. It is blind still. */
export function tasteFlight(
  worker: DemoWorker,
  dialIn: DialIn,
  flight: DemoFlight,
  { lead, chance }: { lead: string; chance: Chance },
): string {
  const { db } = worker;
  const { daysAgo, arms, tasters, test, question, hasDuplicate = false } = flight;
  let minutesAgo = flight.minutesAgo;
  worker.goTo(daysAgo, minutesAgo);
  const view = worker.view(dialIn.releaseId);
  const { pull } = readFlightRecipes(db, view)[0]!;
  const { flightId } = worker.run(
    'planFlight',
    {
      releaseId: dialIn.releaseId,
      test,
      question,
      arms: arms.map(({ label, serving = 'straight', changes }) => ({
        label,
        serving,
        ...(changes && { pull: { ...pull, ...changes } }),
      })),
      places: Math.max(4, tasters.length),
      hours: 72,
      hasDuplicate,
    },
    lead,
  ) as { flightId: string };
  const planned = findFlight(db, flightId)!;
  const extractions = new Map<string, number>();
  for (const { code, arm } of cupsOf(db, flightId)) {
    minutesAgo -= MINUTES_TO_POUR;
    worker.goTo(daysAgo, minutesAgo);
    const figures = planned.arms[arm]!.pull;
    if (!figures) {
      extractions.set(code, ELSEWHERE_PCT);
      worker.run('pourCup', { flightId, code }, lead);
      continue;
    }
    const shot = worker.pullTo(dialIn, figures, daysAgo, lead);
    worker.run('pourCup', { flightId, code, shotId: shot.shotId }, lead);
    extractions.set(code, tdsOf(dialIn.coffee, { ...shot, ...figures }, chance).extractionPct);
  }
  for (const [place, taster] of tasters.entries()) {
    minutesAgo -= 1;
    worker.goTo(daysAgo, minutesAgo);
    tasteAs(worker, { flightId, place, taster, extractions, dialIn }, chance);
  }
  return flightId;
}

function tasteAs(
  worker: DemoWorker,
  {
    flightId,
    place,
    taster,
    extractions,
    dialIn,
  }: {
    flightId: string;
    place: number;
    taster: DemoTaster;
    extractions: ReadonlyMap<string, number>;
    dialIn: DialIn;
  },
  chance: Chance,
): void {
  const { db } = worker;
  const flight = findFlight(db, flightId)!;
  const device = String(place + 1).padStart(32, '0');
  const personId = taster.personId ?? null;
  const joined = { flightCode: flight.code, name: taster.name, device };
  const { tasterId } = worker.run('joinFlight', joined, personId);
  const { promisedNotes } = worker.view(dialIn.releaseId).release;
  const own = orderOfPlace(place, cupsOf(db, flightId), flight).slice(0, taster.most);
  const liked = own.map(({ code }) => {
    const scales = tasteOf(dialIn.coffee, extractions.get(code)!, taster.palate, chance);
    const sheet = {
      tasterId,
      device,
      code,
      moment: 'warm',
      scales,
      notesFound: promisedNotes.filter(() => chance.isWithin(0.5)),
      remark: '',
    };
    worker.run('tasteBlind', sheet, personId);
    return { code, liking: scales.liking! + 0.1 * chance.normal() };
  });
  if (taster.most !== undefined || flight.test === 'scored') return;
  const best = liked.sort((a, b) => b.liking - a.liking).map(({ code }) => code);
  const codes = flight.test === 'ranking' ? best : [best[0]!];
  worker.run('answerFlight', { tasterId, device, codes }, personId);
}

/** Ends the blind part, and writes down what is made of it. */
export function revealFlight(
  worker: DemoWorker,
  flightId: string,
  { lead, decision }: { lead: string; decision?: string },
): void {
  const { db } = worker;
  worker.run('revealFlight', { flightId }, lead);
  if (decision === undefined) return;
  const flight = findFlight(db, flightId)!;
  const answers = tastersOf(db, flightId).flatMap(({ place, answer }) =>
    answer === null ? [] : [{ place, codes: answer }],
  );
  const names = flight.arms.map(({ label }) => label);
  const outcome = flightOutcome(answers, { ...flight, cups: cupsOf(db, flightId), names });
  const counts = outcome?.counts ?? names.map(() => 0);
  const most = flight.test === 'ranking' ? Math.min(...counts) : Math.max(...counts);
  worker.run('decideFlight', { flightId, chosenArm: counts.indexOf(most), decision }, lead);
}

/** The cups that would tell most, as the release stands now. */
export function trialArms(worker: DemoWorker, { releaseId }: DialIn): DemoArm[] {
  const best = readBest(worker.db, findHouse(worker.db)!, worker.view(releaseId))!;
  return best.next.map(({ yieldG, temperatureC, timeS, dial }, i) => ({
    label: `Trial cup ${i + 1}`,
    changes: {
      yieldG,
      temperatureC: settableC(temperatureC),
      timeS: [Math.round(timeS) - 2, Math.round(timeS) + 2],
      dial,
    },
  }));
}

/** The recipe that forgives, on the bench, as one press in Taste puts it there. */
export function takeRobust(worker: DemoWorker, releaseId: string, lead: string): void {
  const view = worker.view(releaseId);
  const { draft, advice } = view.bench!;
  const best = readBest(worker.db, findHouse(worker.db)!, view)!;
  const { ratio: _ratio, ...recipe } = draft.recipe;
  const middleS = Math.round(best.robust.timeS);
  worker.run(
    'acceptRecipe',
    {
      ...recipe,
      releaseId,
      batchId: draft.batchId,
      setupId: draft.setupId,
      style: draft.style,
      temperatureSchool: draft.temperatureSchool,
      yieldG: settableG(best.robust.ratio * best.doseG),
      temperatureC: settableC(best.robust.temperatureC),
      timeS: [middleS - 2, middleS + 2],
      ...holdsOf(best),
      startDial: advice.setting.dial,
      why: 'The forgiving recipe, from nine blind cups',
      basedOn: draft.id,
    },
    lead,
  );
}
