/** All that Start shows for one question, read from the house's knowledge. Server only. */
import { comingFrom, type ComingFrom } from '@/core/start/comingFrom';
import { evidenceOf } from '@/core/start/evidence';
import { questionRow, type HouseModel } from '@/core/start/fit';
import { OUTPUT_OF, proposeFrom, type Proposal, type Question } from '@/core/start/propose';
import { PROPOSED_VARIABLES, type ProposedVariable } from '@/core/start/proposedVariables';
import { grindStepsOf, LN_TIME_PER_STEP, startDialOf } from '@/core/start/startDial';
import type { ReleaseFacts } from '@/core/coffee/features';
import { middleSetting, slopePrior } from '@/core/grinder/dial';
import { targetOf } from '@/core/advice/benchQuestion';
import { grindFeatures } from '@/core/advice/pastDialIn';
import { firstDial, type FirstDial } from '@/core/state/firstDial';
import type { BrewStyle, Drink, Process } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { readHouseModel, rulesOf, type HouseKnowledge } from './houseModel';
import { factsToday } from './facts';
import { grinderMemoryOf } from './grinderMemory';
import { newestInUse } from './newBatch';
import { readRelease, type BatchView, type ReleaseView } from './release';
import { listBenchNames, listOpenDrafts, type StoredRecipe } from '@/data/dialIns';
import { listSetups, type StoredSetup } from '@/data/setups';
import { nearestTo, pastWords, type NearRow, type PastWords } from './pastWords';
import { readFirstCup } from './best';
import { readStartQuestion, type StartQuestion } from './startQuestion';
import { readWater, type Water } from './water';

export interface EvidenceRow extends PastWords {
  /** Share of its own value in the proposal, on the model's scale. */
  readonly weight: number;
  /** How far the proposal would move without it, in the unit it is shown in. */
  readonly effect: number;
}

export interface Compared {
  readonly changes: ComingFrom['changes'];
  readonly name: string;
  /** Where its dial stands now, and where the new coffee's should, on the same grinder. */
  readonly dial: { readonly from: number; readonly to: number } | null;
  readonly proposal: Proposal;
}

export interface StartView {
  readonly asked: StartQuestion;
  readonly batch: BatchView;
  readonly setups: readonly StoredSetup[];
  readonly setup: StoredSetup | undefined;
  readonly proposal: Proposal;
  /** Where the grinder begins, as Pull will say it; null without a setup. */
  readonly firstDial: FirstDial | null;
  readonly evidence: Readonly<Record<ProposedVariable, readonly EvidenceRow[]>>;
  readonly nearest: readonly NearRow[];
  /** The same question in another style, when one is set beside it. */
  readonly beside: Proposal | null;
  /** The same question with facts changed, when any was. */
  readonly whatIf: Proposal | null;
  /** Coffees one could be coming from. */
  readonly others: readonly { readonly id: string; readonly name: string }[];
  readonly comingFrom: Compared | null;
  readonly halfLife: number | undefined;
  /** Recipes of this release one can go on with, where there are several. */
  readonly open: readonly OpenRecipe[];
  readonly water: Water;
  /** Points a first cup is expected to lie under the best this coffee can give. */
  readonly firstCup: ReturnType<typeof readFirstCup>;
}

/** A recipe that stands open: the newest of its dial-in and drink. */
export interface OpenRecipe {
  readonly draftId: string;
  readonly dialInId: string;
  readonly style: BrewStyle;
  readonly drink: Drink;
  readonly setupName: string;
  readonly roastDate: string;
  readonly recipe: StoredRecipe;
  readonly isOnBench: boolean;
}

/** Recipes of a release one can go on with; none where there is no choice. */
export function openRecipes(
  db: Db,
  { release, batches, benchDraftId }: ReleaseView,
  setups: readonly StoredSetup[],
): OpenRecipe[] {
  const open = listOpenDrafts(db, release.id).flatMap((draft): OpenRecipe[] => {
    const batch = batches.find(({ id }) => id === draft.batchId);
    const setup = setups.find(({ id }) => id === draft.setupId);
    if (!batch || !setup) return [];
    const { id, dialInId, style, drink, recipe } = draft;
    return [
      {
        draftId: id,
        dialInId,
        style,
        drink,
        setupName: setup.name,
        roastDate: batch.roastDate,
        recipe,
        isOnBench: id === benchDraftId,
      },
    ];
  });
  return open.length > 1 ? open : [];
}

const MOST_EVIDENCE = 5;

export interface StartReader {
  readonly today: string;
}

/** Reads the answer to what the address asks of a release. */
export function readStart(
  db: Db,
  house: House,
  view: ReleaseView,
  search: Readonly<Record<string, string | string[] | undefined>>,
  { today }: StartReader,
): StartView {
  const knowledge = readHouseModel(db, house);
  const stored = listSetups(db);
  const setups = stored.map((setup) => ({
    ...setup,
    grinder: knowledge.withReference(setup.grinder),
  }));
  const asked = readStartQuestion(search, { house, draft: view.bench?.draft, setups });
  const setup = setups.find(({ id }) => id === asked.setupId);
  // As Pull knows it: without a reference inferred from past recipes.
  const own = stored.find(({ id }) => id === asked.setupId);
  const batch = view.batches.find(({ id }) => id === asked.batchId) ?? newestInUse(view.batches);
  const question: Question = {
    release: factsToday(view.release, batch, today),
    style: asked.style,
    setup,
    setupId: setup?.id,
    restSchool: house.restSchool,
    span: view.release.span,
    clock: house.clock,
  };
  const model = knowledge.modelOf(asked.temperatureSchool);
  const proposal = proposeFrom(model, question);
  const isSupposing = Object.values(asked.suppose).some((value) => value !== undefined);
  return {
    asked,
    batch,
    setups,
    setup,
    proposal,
    firstDial: own
      ? firstDialOf(db, house, { setup: own, batch, asked, proposal, question })
      : null,
    evidence: evidenceRows(knowledge, model, question, proposal),
    nearest: nearestTo(knowledge, question.release, question.style),
    beside: asked.beside === null ? null : proposeFrom(model, { ...question, style: asked.beside }),
    whatIf: isSupposing
      ? proposeFrom(model, { ...question, release: supposed(question.release, asked) })
      : null,
    others: listBenchNames(db).filter(({ id }) => id !== view.release.id),
    comingFrom: readComingFrom(db, house, {
      knowledge,
      model,
      question,
      asked,
      grinderId: setup?.grinder.id,
      today,
    }),
    halfLife: house.halfLife,
    open: openRecipes(db, view, setups),
    firstCup: readFirstCup(db, house, {
      facts: question.release,
      style: asked.style,
      school: asked.temperatureSchool,
      releaseId: view.release.id,
    }),
    water: readWater(db, {
      style: asked.style,
      release: question.release,
      draft: view.bench?.draft.style === asked.style ? view.bench.draft : undefined,
    }),
  };
}

/** What this grinder's past dial-ins, its calibration, or nothing at all say of the first setting. */
function firstDialOf(
  db: Db,
  house: House,
  {
    setup,
    batch,
    asked,
    proposal: { recipe, startDial },
    question,
  }: {
    readonly setup: StoredSetup;
    readonly batch: BatchView;
    readonly asked: StartQuestion;
    readonly proposal: Proposal;
    readonly question: Question;
  },
): FirstDial {
  const { grinder, basket } = setup;
  const begin = startDial?.dial ?? middleSetting(grinder);
  const { roast, span } = batch;
  return firstDial(
    {
      target: targetOf(house, { recipe, startDial: begin }, { roast, opensOn: span.opens }),
      ...{ grinder, basket },
      memory: grinderMemoryOf(db, house, grinder, asked.style),
      coffee: grindFeatures(question.release, asked.style),
    },
    startDial,
  );
}

function evidenceRows(
  { decided }: HouseKnowledge,
  model: HouseModel,
  { release, style }: Question,
  proposal: Proposal,
): StartView['evidence'] {
  const [, row] = questionRow(release, style);
  const byId = new Map(decided.map((item) => [item.draft.releaseId, item]));
  return Object.fromEntries(
    PROPOSED_VARIABLES.map((name) => {
      const output = OUTPUT_OF[name];
      const rows = evidenceOf(model.history, row, model.fits[output])
        .slice(0, MOST_EVIDENCE)
        .map(({ id, weight, effect }) => ({
          ...pastWords(byId.get(id)!),
          weight,
          effect: shownEffect(name, proposal, effect),
        }));
      return [name, rows];
    }),
  ) as unknown as StartView['evidence'];
}

/** An effect on ln, as what it does to the figure shown. */
function shownEffect(name: ProposedVariable, { mean, recipe }: Proposal, effect: number): number {
  const output = OUTPUT_OF[name];
  if (!output.startsWith('ln')) return effect;
  const value = name === 'doseG' ? recipe.doseG : Math.exp(mean[output]);
  return value * (1 - Math.exp(-effect));
}

/** The coffee's facts with what is supposed in their place; a process is supposed of the whole blend. */
function supposed(release: ReleaseFacts, { suppose }: StartQuestion): ReleaseFacts {
  const { roastLevel, restDays, process } = suppose;
  return {
    ...release,
    ...(roastLevel !== undefined && { roastLevel, roastSd: 0 }),
    ...(restDays !== undefined && { restDays }),
    ...(process !== undefined && {
      components: release.components?.map((part) => ({ ...part, process: process as Process })),
    }),
  };
}

interface Comparing {
  readonly knowledge: HouseKnowledge;
  readonly model: HouseModel;
  readonly question: Question;
  readonly asked: StartQuestion;
  readonly grinderId: string | undefined;
  readonly today: string;
}

/** The coffee on some bench now, told to the model, and what to change from it. */
function readComingFrom(
  db: Db,
  house: House,
  { knowledge, model, question, asked, grinderId, today }: Comparing,
): Compared | null {
  if (asked.from === null) return null;
  const other = readRelease(db, house, asked.from, { today });
  if (!other?.bench) return null;
  const { bench, release, batch } = other;
  const { draft, shots } = bench;
  const dial = shots.at(-1)?.dial ?? draft.startDial;
  const grinder = knowledge.withReference(bench.setup.grinder);
  const known = {
    release: factsToday(release, batch, today),
    style: draft.style,
    recipe: draft.recipe,
    ratedG: bench.setup.basket.ratedG,
    diameterMm: bench.setup.basket.diameterMm,
    setupId: bench.setup.id,
    grindSteps: grindStepsOf(grinder, dial) ?? undefined,
  };
  const { changes, proposal } = comingFrom(model, known, question, rulesOf(house));
  const isSameGrinder = grinderId === bench.setup.grinder.id;
  const steps = known.grindSteps ?? proposeFrom(model, { ...question, ...known }).mean.grindSteps;
  const reference = dial - (LN_TIME_PER_STEP * steps) / slopePrior(grinder).mean;
  const to = isSameGrinder
    ? startDialOf(
        { ...grinder, referenceDial: reference },
        proposal.mean.grindSteps,
        proposal.halfWidth80.grindSteps,
      )
    : null;
  return { changes, name: release.name, dial: to && { from: dial, to: to.dial }, proposal };
}
