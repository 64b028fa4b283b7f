/**
 * What a release asks of its lead today, with the reason. Pure: it is told how things stand and
 * answers in words. House heuristic throughout; the order is ours: what leaves the house wrong comes
 * before what could be better.
 */
import { dayWords } from '../dayWords';
import type { AskedCheck } from '../rest/checkPlan';
import { daysBetween, type Day } from '../rest/day';
import type { Rest } from '../rest/rest';
import { massWords } from '../units';

export interface Standing {
  readonly today: Day;
  readonly roastDate: Day;
  readonly rest: Rest;
  /** The recipe on the bench; null before a proposal was accepted. */
  readonly bench: {
    readonly shots: number;
    readonly isOnTarget: boolean;
    /** The one next move in words. */
    readonly next: string;
    /** People who tasted this recipe. */
    readonly tasters: number;
    /** Is this very revision the one that is public? */
    readonly isPublished: boolean;
    /** It came over from an older batch of the coffee. */
    readonly isCarried: boolean;
  } | null;
  readonly isPublic: boolean;
  /** A batch roasted after the one on the bench, not yet dialled in. */
  readonly newerBatchOf: Day | null;
  /** A new batch that can be pulled on the last recipe, one press away. */
  readonly toCarry: {
    readonly restDays: number;
    /** Where its dial stands, or goes, as its grinder writes it. */
    readonly dialWords: string;
  } | null;
  /** Grams of sample left; null when nothing was noted. */
  readonly leftG: number | null;
  /** Check days from today on. */
  readonly checksAhead: readonly Day[];
  /** Those somebody asked for that are due and not yet made, of any batch. */
  readonly checksAsked: readonly (AskedCheck & { readonly roastDate: Day })[];
  readonly gramsPerCheck: number;
  /** Why a planned card did not go out on its day; null where none was held back. */
  readonly heldCard: string | null;
}

export type DueStage = 'read' | 'start' | 'pull' | 'taste' | 'publish';

export interface Due {
  readonly code: string;
  /** 3 now, 2 soon, 1 when there is time. */
  readonly urgency: 1 | 2 | 3;
  readonly words: string;
  readonly stage: DueStage;
}

const COUNTS = ['no', 'one', 'two', 'three', 'four'] as const;
const count = (n: number) => COUNTS[n] ?? String(n);

/** Everything due for a release, most urgent first. */
export function dueOf(standing: Standing): Due[] {
  const due = [
    ...heldDue(standing),
    ...publicDue(standing),
    ...(standing.bench ? benchDue(standing, standing.bench) : arrivalDue(standing)),
    ...newBatchDue(standing),
    ...sampleDue(standing),
  ];
  return due.sort((a, b) => b.urgency - a.urgency);
}

/** "today", "tomorrow", "in 4 days", "3 days ago". */
export function whenWords(today: Day, day: Day): string {
  const days = daysBetween(today, day);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 0 ? `in ${days} days` : `${-days} days ago`;
}

function heldDue({ heldCard }: Standing): Due[] {
  if (heldCard === null) return [];
  return [due('heldCard', 3, 'publish', `The planned card was held back: ${heldCard}`)];
}

function publicDue({ isPublic, rest, today, toCarry, bench }: Standing): Due[] {
  // A new batch on the same recipe answers all of it.
  if (!isPublic || toCarry !== null || bench?.isCarried) return [];
  if (rest.state === 'fading')
    return [
      due('fadedPublic', 3, 'publish', 'Batch faded, recipe still public: withdraw or revise it.'),
    ];
  const days = daysBetween(today, rest.bestTo);
  if (rest.state === 'late')
    return [
      due(
        'latePublic',
        3,
        'publish',
        `Batch fading for ${count(-days)} ${-days === 1 ? 'day' : 'days'}, recipe still public: check it or withdraw it.`,
      ),
    ];
  if (rest.state === 'best' && days <= 2)
    return [
      due(
        'bestEnds',
        2,
        'publish',
        `Best days end ${whenWords(today, rest.bestTo)}, recipe is public: check that it still holds.`,
      ),
    ];
  return [];
}

function arrivalDue({ rest, today, roastDate }: Standing): Due[] {
  const opens = whenWords(today, rest.openOn);
  switch (rest.state) {
    case 'tooFresh':
      if (daysBetween(today, rest.openOn) === 1)
        return [due('opensTomorrow', 2, 'start', 'Opens tomorrow: have a starting recipe ready.')];
      return daysBetween(roastDate, today) <= 1
        ? [due('arrived', 1, 'read', `Fresh from the roaster: read it. Opens ${opens}.`)]
        : [due('waiting', 1, 'start', `Opens ${opens}: propose a starting recipe.`)];
    case 'open':
      return [
        due(
          'openNoRecipe',
          2,
          'start',
          `Open ${sinceWords(today, rest.openOn)}, no recipe yet: propose one.`,
        ),
      ];
    case 'best':
      return [
        due(
          'bestNoRecipe',
          3,
          'start',
          `${bestWords(today, rest.bestFrom)}, no recipe yet: propose one.`,
        ),
      ];
    case 'late':
    case 'fading':
      return [
        due(
          'missed',
          1,
          'read',
          'Past its best without a recipe: take it away, or read what is left.',
        ),
      ];
  }
}

/** "from today", "since yesterday", "for 3 days". */
function sinceWords(today: Day, day: Day): string {
  const days = daysBetween(day, today);
  if (days === 0) return 'from today';
  return days === 1 ? 'since yesterday' : `for ${days} days`;
}

/** "Best from today", "At its best for 3 days". */
function bestWords(today: Day, bestFrom: Day): string {
  const since = sinceWords(today, bestFrom);
  return `${bestFrom === today ? 'Best' : 'At its best'} ${since}`;
}

function benchDue({ rest, today }: Standing, bench: NonNullable<Standing['bench']>): Due[] {
  if (bench.isPublished) return [];
  if (rest.state === 'tooFresh')
    return daysBetween(today, rest.openOn) === 1
      ? [due('opensTomorrow', 2, 'pull', 'Opens tomorrow: the recipe is on the bench.')]
      : [];
  if (!bench.isOnTarget) return [dialInDue(bench)];
  if (bench.isCarried)
    return bench.tasters === 0
      ? [due('carriedTaste', 3, 'taste', 'The recipe carries over: one cup, then republish it.')]
      : [due('republish', 3, 'publish', 'The recipe carries over to the new batch: republish it.')];
  if (bench.tasters >= 2)
    return [due('publish', 3, 'publish', 'On target and tasted by two, not published.')];
  if (bench.tasters === 1)
    return [due('secondTaster', 3, 'taste', 'On target, not published: needs a second taster.')];
  return rest.state === 'best'
    ? [
        due(
          'notTasted',
          3,
          'taste',
          `${bestWords(today, rest.bestFrom)}, on target, not yet tasted.`,
        ),
      ]
    : [due('notTasted', 3, 'taste', 'On target, not yet tasted.')];
}

function dialInDue({ shots, next, isCarried }: NonNullable<Standing['bench']>): Due {
  if (shots === 0)
    return isCarried
      ? due(
          'firstShot',
          2,
          'pull',
          'Last recipe on the new batch: pull the one shot that settles it.',
        )
      : due('firstShot', 2, 'pull', 'Recipe on the bench: pull the first shot.');
  const pulled = `${shots} ${shots === 1 ? 'shot' : 'shots'}, not on target`;
  return due(
    'dialIn',
    2,
    'pull',
    `${pulled}. Next: ${next.charAt(0).toLowerCase()}${next.slice(1)}.`,
  );
}

function newBatchDue({ newerBatchOf, toCarry, isPublic }: Standing): Due[] {
  if (toCarry !== null) {
    const { restDays, dialWords } = toCarry;
    return [
      due(
        'newBatch',
        3,
        'pull',
        `New batch, day ${restDays}: carry the recipe over (dial ${dialWords}), one shot settles it.`,
      ),
    ];
  }
  if (newerBatchOf === null) return [];
  const words = isPublic
    ? 'A newer batch is here, the public recipe was made on an older one: dial it in again.'
    : 'A newer batch is here: choose which one to go on with.';
  return [due('newBatch', 2, 'start', words)];
}

function sampleDue(standing: Standing): Due[] {
  const { leftG, checksAhead, checksAsked, gramsPerCheck, today, isPublic } = standing;
  const checks = checksAhead.length;
  const found: Due[] = [];
  for (const { day, why, roastDate } of checksAsked)
    found.push(
      due(
        'checkAsked',
        2,
        'pull',
        `A check of the batch of ${dayWords(roastDate)} was asked for ${whenWords(today, day)}: ${why === '' ? 'pull and taste it' : why}`,
      ),
    );
  if (isPublic && checksAhead.includes(today) && checksAsked.length === 0)
    found.push(
      due('checkToday', 2, 'pull', 'A check day of this batch is today: pull and taste it.'),
    );
  if (leftG !== null && checks > 0 && leftG < checks * gramsPerCheck)
    found.push(
      due(
        'sample',
        2,
        'read',
        `${massWords(Math.max(0, leftG), 0)} of sample left, ${count(checks)} ${checks === 1 ? 'check' : 'checks'} planned: ${checks === 1 ? 'it needs' : 'they need'} ${massWords(checks * gramsPerCheck, 0)}.`,
      ),
    );
  return found;
}

function due(code: string, urgency: Due['urgency'], stage: DueStage, words: string): Due {
  return { code, urgency, stage, words };
}
