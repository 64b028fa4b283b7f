/**
 * What a release asks of its lead today, with the reason. Pure: it is told how things stand and
 * answers with messages. House heuristic throughout; the order is ours: what leaves the house wrong comes
 * before what could be better.
 */
import { dayWords } from '../dayWords';
import type { Message } from '../message';
import type { AskedCheck } from '../rest/checkPlan';
import { daysBetween, type Day } from '../rest/day';
import type { Rest } from '../rest/rest';

export interface Standing {
  readonly today: Day;
  readonly roastDate: Day;
  /** Batches that say they are roasted after today. */
  readonly roastsAhead: readonly Day[];
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
  readonly message: Message;
  readonly stage: DueStage;
}

const said = (name: string, values: Message['values'] = {}): Message => ({
  id: `due.${name}`,
  values,
});

/** Everything due for a release, most urgent first. */
export function dueOf(standing: Standing): Due[] {
  const all = [
    ...standing.roastsAhead.map((day) => due('roastAhead', 3, 'read', { day: dayWords(day) })),
    ...heldDue(standing),
    // Of a batch whose age nobody knows nothing else is asked.
    ...(standing.roastsAhead.includes(standing.roastDate) ? [] : batchDue(standing)),
  ];
  return all.sort((a, b) => b.urgency - a.urgency);
}

const batchDue = (standing: Standing): Due[] => [
  ...publicDue(standing),
  ...(standing.bench ? benchDue(standing, standing.bench) : arrivalDue(standing)),
  ...newBatchDue(standing),
  ...sampleDue(standing),
];

/** "today", "tomorrow", "in 4 days", "3 days ago". */
export function whenOf(today: Day, day: Day): Message {
  const days = daysBetween(today, day);
  if (days === 0) return said('when.today');
  if (days === 1) return said('when.tomorrow');
  if (days === -1) return said('when.yesterday');
  return days > 0 ? said('when.ahead', { days }) : said('when.ago', { days: -days });
}

function heldDue({ heldCard }: Standing): Due[] {
  if (heldCard === null) return [];
  return [due('heldCard', 3, 'publish', { why: heldCard })];
}

function publicDue({ isPublic, rest, today, toCarry, bench }: Standing): Due[] {
  // A new batch on the same recipe answers all of it.
  if (!isPublic || toCarry !== null || bench?.isCarried) return [];
  if (rest.state === 'fading') return [due('fadedPublic', 3, 'publish')];
  const days = daysBetween(today, rest.bestTo);
  if (rest.state === 'late') return [due('latePublic', 3, 'publish', { days: -days })];
  if (rest.state === 'best' && days <= 2)
    return [due('bestEnds', 2, 'publish', { when: whenOf(today, rest.bestTo) })];
  return [];
}

function arrivalDue({ rest, today, roastDate }: Standing): Due[] {
  const when = whenOf(today, rest.openOn);
  switch (rest.state) {
    case 'tooFresh':
      if (daysBetween(today, rest.openOn) === 1)
        return [due('opensTomorrow', 2, 'start', { bench: 'empty' })];
      return daysBetween(roastDate, today) <= 1
        ? [due('arrived', 1, 'read', { when })]
        : [due('waiting', 1, 'start', { when })];
    case 'open':
      return [due('openNoRecipe', 2, 'start', { since: sinceOf(today, rest.openOn) })];
    case 'best':
      return [due('bestNoRecipe', 3, 'start', { best: bestOf(today, rest.bestFrom) })];
    case 'late':
    case 'fading':
      return [due('missed', 1, 'read')];
  }
}

/** "from today", "since yesterday", "for 3 days". */
function sinceOf(today: Day, day: Day): Message {
  const days = daysBetween(day, today);
  if (days === 0) return said('since.today');
  return days === 1 ? said('since.yesterday') : said('since.days', { days });
}

/** "Best from today", "At its best for 3 days". */
const bestOf = (today: Day, bestFrom: Day): Message =>
  said(bestFrom === today ? 'best.begins' : 'best.stands', { since: sinceOf(today, bestFrom) });

function benchDue({ rest, today }: Standing, bench: NonNullable<Standing['bench']>): Due[] {
  if (bench.isPublished) return [];
  if (rest.state === 'tooFresh')
    return daysBetween(today, rest.openOn) === 1
      ? [due('opensTomorrow', 2, 'pull', { bench: 'ready' })]
      : [];
  if (!bench.isOnTarget) return [dialInDue(bench)];
  if (bench.isCarried)
    return bench.tasters === 0
      ? [due('carriedTaste', 3, 'taste')]
      : [due('republish', 3, 'publish')];
  if (bench.tasters >= 2) return [due('publish', 3, 'publish')];
  if (bench.tasters === 1) return [due('secondTaster', 3, 'taste')];
  const best = bestOf(today, rest.bestFrom);
  return rest.state === 'best'
    ? [due('notTasted', 3, 'taste', { best }, 'bestNotTasted')]
    : [due('notTasted', 3, 'taste')];
}

function dialInDue({ shots, next, isCarried }: NonNullable<Standing['bench']>): Due {
  if (shots === 0) return due('firstShot', 2, 'pull', { recipe: isCarried ? 'carried' : 'new' });
  return due('dialIn', 2, 'pull', {
    shots,
    next: `${next.charAt(0).toLowerCase()}${next.slice(1)}`,
  });
}

function newBatchDue({ newerBatchOf, toCarry, isPublic }: Standing): Due[] {
  if (toCarry !== null) {
    const { restDays, dialWords } = toCarry;
    return [due('newBatch', 3, 'pull', { restDays, dial: dialWords })];
  }
  if (newerBatchOf === null) return [];
  return [due('newBatch', 2, 'start', { state: isPublic ? 'public' : 'own' }, 'newerBatch')];
}

function sampleDue(standing: Standing): Due[] {
  const { leftG, checksAhead, checksAsked, gramsPerCheck, today, isPublic } = standing;
  const checks = checksAhead.length;
  const found: Due[] = [];
  for (const { day, why, roastDate } of checksAsked)
    found.push(
      due('checkAsked', 2, 'pull', {
        day: dayWords(roastDate),
        when: whenOf(today, day),
        reason: why === '' ? 'none' : 'given',
        why,
      }),
    );
  if (isPublic && checksAhead.includes(today) && checksAsked.length === 0)
    found.push(due('checkToday', 2, 'pull'));
  if (leftG !== null && checks > 0 && leftG < checks * gramsPerCheck)
    found.push(
      due('sample', 2, 'read', {
        leftG: Math.max(0, leftG),
        checks,
        neededG: checks * gramsPerCheck,
      }),
    );
  return found;
}

/** Said by the message of its code, unless by another. */
function due(
  code: string,
  urgency: Due['urgency'],
  stage: DueStage,
  values: Message['values'] = {},
  name = code,
): Due {
  return { code, urgency, stage, message: said(name, values) };
}
