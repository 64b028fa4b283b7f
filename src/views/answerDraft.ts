/** A drafted answer to a café: what was seen, the one change and the reason, in its language and on its dial. Server only. */
import { roundDial } from '@/core/grinder/dial';
import { dialWords } from '@/core/grinder/notation';
import { cafeWords } from '@/words/cafeWords';
import { figureIn } from '@/words/figures';
import { grindMoveIn } from '@/words/grindMoveIn';
import { helpCall, type HelpCall } from '@/core/cafes/helpCall';
import type { CafeSignal } from '@/core/cafes/signals';
import { signalKey } from '@/core/cafes/signalKey';
import { settableG } from '@/core/extraction/settable';
import type { Language } from '@/core/language';
import { checksOfPartner, openHelp } from '@/data/cafeChecks';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import type { StoredPartner } from '@/data/partners';
import type { CafesReading } from './cafes';
import { dialAfter, movedDial } from './cafeChecksOf';
import { publicRecipe, recipeAt } from './publishedRecipe';

export interface AnswerDraft {
  readonly releaseId: string;
  readonly subject: string;
  readonly body: string;
  readonly asksRound: boolean;
}

interface Asked {
  readonly partner: StoredPartner;
  /** What is answered; a plain word to the café where absent. */
  readonly signal?: string | undefined;
}

/** Null where the café serves no coffee with a public card: a message hangs on one. */
export function draftAnswer(
  db: Db,
  house: House,
  reading: CafesReading,
  { partner, signal: key }: Asked,
): AnswerDraft | null {
  const signal = reading.signals.find((one) => signalKey(one) === key);
  const call = signal ? null : callOf(db, reading, partner);
  const isOpen = call !== null && call.coffee === null;
  const coffee =
    coffeeOf(signal) ?? call?.coffee ?? (isOpen ? null : furthestOff(reading, partner));
  const releaseId = coffee ?? partner.releaseIds.find((id) => publicRecipe(db, id) !== null);
  const published = releaseId === undefined ? null : publicRecipe(db, releaseId);
  if (releaseId === undefined || published === null) return null;
  const { language } = partner;
  const say = cafeWords(language);
  const recipe = recipeAt(house, published.body, partner).recipe;
  const { name } = published.body.coffee;
  // Which coffee they mean is open: no move is told of another one.
  const change = isOpen ? null : changeWords(reading, partner, releaseId);
  const seen = signal
    ? seenWords(signal, reading, { partner, coffee: { id: releaseId, name }, recipe })
    : call
      ? calledWords(call, language, { coffee: name, doseG: recipe.doseG })
      : [];
  const isStep = signal?.kind === 'step';
  const lines = [
    say('reply.greeting', {
      hasNames: partner.people === '' ? 'no' : 'yes',
      people: partner.people,
    }),
    ...seen,
    ...(change === null || signal?.kind === 'dose' || signal?.kind === 'yield'
      ? []
      : [say('reply.one', { what: change })]),
    ...(isStep ? [say('reply.order'), say('reply.round')] : []),
    `${say('reply.thanks')}\n${house.name}`,
  ];
  return {
    releaseId,
    subject: `${name}: ${cafeWords(language)('title').toLowerCase()}`,
    body: lines.join('\n\n'),
    asksRound: isStep,
  };
}

/** The café's oldest call for help that was not answered. */
function callOf(
  db: Db,
  { names }: CafesReading,
  partner: StoredPartner,
): (HelpCall & { readonly words: string }) | null {
  const visit = openHelp(db).find(({ partnerId }) => partnerId === partner.id);
  if (visit === undefined) return null;
  const call = helpCall({
    words: visit.help,
    coffees: partner.releaseIds.map((id) => ({ id, name: names.coffee(id) })),
    checks: checksOfPartner(db, partner.id, visit.visitedAt).filter(
      ({ visitId }) => visitId === visit.id,
    ),
  });
  return { ...call, words: visit.help };
}

/** A tenth of the dose in the cup for a lean taste, a fifth for a weak one. House heuristic (model.md §4). */
const CUP_SHARE = { sour: 0.1, bitter: 0.1, weak: 0.2 } as const;

/** What they wrote, and what answers the taste they speak of. */
function calledWords(
  { words, coffee: known, taste }: HelpCall & { readonly words: string },
  language: Language,
  { coffee, doseG }: { readonly coffee: string; readonly doseG: number },
): string[] {
  const say = cafeWords(language);
  const asked = say('reply.asked', { words });
  if (known === null) return [asked, say('reply.which')];
  if (taste === null) return [asked];
  if (taste === 'uneven') return [asked, say('reply.uneven', { coffee })];
  const g = `${figureIn(language, settableG(CUP_SHARE[taste] * doseG), 1)} g`;
  return [asked, say(`reply.${taste}`, { coffee, g })];
}

function coffeeOf(signal: CafeSignal | undefined): string | null {
  return signal !== undefined && 'coffee' in signal ? signal.coffee : null;
}

/** The coffee that lies furthest from its recipe there. */
function furthestOff({ nextShot }: CafesReading, partner: StoredPartner): string | undefined {
  const off = partner.releaseIds.flatMap((releaseId) => {
    const next = nextShot(partner.id, releaseId);
    return next === null ? [] : [{ releaseId, off: Math.abs(next.offS) }];
  });
  return off.sort((a, b) => b.off - a.off)[0]?.releaseId;
}

function seenWords(
  signal: CafeSignal,
  { names, nextShot }: CafesReading,
  {
    partner: { id, language, releaseIds },
    coffee: { id: releaseId, name: coffee },
    recipe,
  }: {
    partner: StoredPartner;
    coffee: { readonly id: string; readonly name: string };
    recipe: { readonly doseG: number; readonly yieldG: number };
  },
): string[] {
  const say = cafeWords(language);
  const hasSeveral = releaseIds.length > 1;
  const g = (value: number) => `${figureIn(language, Math.abs(value), 1)} g`;
  const ran = (size: number, of: string | null) => {
    const then = names.timeS(of, id) * (Math.exp(size) - 1);
    const next = nextShot(id, releaseId);
    // A bar that turned its dial past the window since then is told how it runs now.
    const seconds = next !== null && next.move.steps * then < 0 ? next.offS : then;
    const s = `${figureIn(language, Math.max(1, Math.round(Math.abs(seconds))), 0)} s`;
    return say(seconds < 0 ? 'reply.fast' : 'reply.slow', { coffee, s });
  };
  switch (signal.kind) {
    case 'step':
      return [
        ran(signal.size, signal.coffee),
        ...(signal.coffee === null && hasSeveral ? [say('reply.all')] : []),
      ];
    case 'batch':
      return [ran(signal.size, signal.coffee), say('reply.batch')];
    case 'dose':
      return [say('reply.dose', { off: g(signal.sizeG), to: g(recipe.doseG) })];
    case 'yield':
      return [
        say('reply.yield', { coffee, off: g(signal.sizeG), to: g(recipe.yieldG) }),
        ...(signal.isFormer ? [say('reply.former')] : []),
      ];
    case 'silence':
      return [say('reply.silent')];
    case 'weather':
      return [];
  }
}

/** "Grind one step finer: dial 11 → 10", as the whole model advises; null where the café stays. */
function changeWords(
  { state, nextShot }: CafesReading,
  partner: StoredPartner,
  releaseId: string,
): string | null {
  const next = nextShot(partner.id, releaseId);
  if (next === null || next.move.steps === 0) return null;
  const { language } = partner;
  const { steps } = next.move;
  const from = lastDial(state.model, partner, releaseId);
  const dial = (value: number) => dialWords(partner, roundDial(value));
  const moved =
    from === null ? undefined : { from: dial(from), to: dial(movedDial(partner, from, steps)) };
  return grindMoveIn(language, -steps, moved);
}

/** The dial its last check of the coffee wrote down, as the grinder counts. */
export function lastDial(
  model: CafesReading['state']['model'],
  partner: StoredPartner,
  releaseId: string,
): number | null {
  const last = model
    .fitted(partner.id)
    ?.rows.visits.flat()
    .findLast(({ check }) => check.coffee === releaseId && check.dial !== null);
  return last === undefined ? null : dialAfter(partner, 0, last.check.dial!);
}
