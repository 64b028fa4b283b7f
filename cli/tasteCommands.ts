/** Commands of `kb` about cups: where a coffee tastes best, which cups come next, what a panel found. */
import { say } from '@/words/say';
import { Matrix } from 'ml-matrix';
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { pairedPreference, ranking, triangle } from '@/core/panel/panel';
import { quantity } from '@/core/schema/fields';
import { ratioField } from '@/core/schema/recipe';
import { codedFrom, placeAt, STEP, type Coded, type TrialPoint } from '@/core/trials/coding';
import { isEnough, nextCups } from '@/core/trials/nextCups';
import { robustOptimum, toleranceAt } from '@/core/trials/robust';
import { tasteEvidenceOf } from '@/core/trials/tasteEvidence';
import { fitSurface, type Surface, type SurfaceWarning } from '@/core/trials/surface';
import { usualPrior } from '@/core/start/usualPrior';
import { command, type Command } from './command';

const place = z.strictObject({
  ratio: ratioField,
  temperatureC: quantity('temperatureC'),
  timeS: quantity('timeS'),
});
const step = z.number().min(-6).max(6);
const coded = z.tuple([step, step, step]);
export const matrix = z.array(z.array(z.number()).length(3)).length(3);
const scored = {
  taster: z.string().min(1).max(80),
  liking: quantity('cup'),
  u: z.number().min(-30).max(30).optional(),
};

/** A cup at its place. */
export const scoredCup = place.extend(scored);

const asked = {
  centre: place,
  prior: z.strictObject({ covCoded: matrix }).optional(),
  cups: z.array(z.union([z.strictObject({ x: coded, ...scored }), scoredCup])).max(400),
  /** Sides that cafés told, their own zero taken out. */
  told: z
    .array(z.strictObject({ x: coded, u: scored.u.unwrap(), sd: z.number().min(0.05).max(30) }))
    .max(400)
    .optional(),
  curvatures: z
    .array(
      z.strictObject({ H: matrix, weight: z.number().positive(), a: z.number().min(0).optional() }),
    )
    .min(1)
    .max(400)
    .optional(),
  misfit: z.boolean().optional(),
  useSigns: z.boolean().optional(),
  release: z.int().min(0).max(1e6).optional(),
  doseG: quantity('doseG').optional(),
};
const surfaceInput = z.strictObject(asked);
type Asked = z.output<typeof surfaceInput>;

const WARNINGS: Readonly<Record<SurfaceWarning, string>> = {
  contradictory:
    'These cups contradict each other more than cups do: the noise is taken to be larger.',
  edge: 'The best point lies at the edge of what was tried: move the centre there.',
};

function surfaceOf(input: Asked): { surface: Surface; prior: Matrix } {
  const { centre, prior, cups, curvatures, ...options } = input;
  const V0 = prior ? new Matrix(prior.covCoded) : usualPrior();
  try {
    const surface = fitSurface({
      ...options,
      prior: V0,
      cups: cups.map((cup) => ({ ...cup, x: 'x' in cup ? cup.x : codedFrom(centre, cup) })),
      ...(curvatures && {
        curvatures: curvatures.map(({ H, weight, a = 1 }) => ({ H: new Matrix(H), weight, a })),
      }),
    });
    return { surface, prior: V0 };
  } catch (error) {
    // A matrix that is none: whoever wrote it can mend it.
    const isOdd = error instanceof RangeError || /symmetric/.test(String(error));
    if (!isOdd) throw error;
    const field = curvatures ? 'curvatures' : 'prior';
    throw userFault(
      'badInput',
      field,
      'Not a covariance: give a symmetric, positive definite 3 × 3 matrix.',
    );
  }
}

const rounded = {
  coded: z.array(z.number()),
  ratio: z.number(),
  temperatureC: z.number(),
  timeS: z.number(),
};
const shown = (centre: TrialPoint, x: readonly number[]) => ({ coded: x, ...placeAt(centre, x) });

const surface = command({
  purpose: 'Where a coffee tastes best, from scored cups around its proposal.',
  input: surfaceInput,
  output: z.object({
    optimum: z.object({ ...rounded, sdCoded: z.array(z.number()) }),
    tasters: z.record(z.string(), z.number()),
    lnEvidence: z.number(),
    expectedLeft: z.number(),
    site: z.object({ P: z.array(z.array(z.number())), h: z.array(z.number()) }),
    robustOptimum: z.object({ ...rounded, costPoints: z.number() }),
    tolerance: z.object({ ...rounded }),
    warnings: z.array(z.object({ code: z.string(), text: z.string() })),
  }),
  run: (input) => {
    const { centre, doseG = 18 } = input;
    const { surface: found, prior } = surfaceOf(input);
    const { P, h } = tasteEvidenceOf(found, prior, [0, 0, 0]);
    const { x, costPoints } = robustOptimum(found, { centre, doseG });
    const reach = toleranceAt(found, x);
    return {
      optimum: {
        ...shown(centre, found.optimum),
        sdCoded: [0, 1, 2].map((j) => Math.sqrt(found.covariance.get(j, j))),
      },
      tasters: found.tasters,
      lnEvidence: found.lnEvidence,
      expectedLeft: found.expectedLeft,
      site: { P: P.to2DArray(), h },
      robustOptimum: { ...shown(centre, x), costPoints },
      tolerance: toleranceOf(placeAt(centre, x), reach),
      warnings: found.warnings.map((code) => ({ code, text: WARNINGS[code] })),
    };
  },
});

/** Coded reaches as ratio, °C and s around a recipe: the smaller side. */
function toleranceOf(at: TrialPoint, reach: readonly number[]) {
  const [lnRatio, temperature, lnTime] = reach as unknown as Coded;
  return {
    coded: reach,
    ratio: at.ratio * (1 - Math.exp(-STEP.lnRatio * lnRatio)),
    temperatureC: STEP.temperatureC * temperature,
    timeS: at.timeS * (1 - Math.exp(-STEP.lnTimeS * lnTime)),
  };
}

const span = <T extends z.ZodType>(value: T) => z.tuple([value, value]).optional();

const trial = command({
  purpose: 'Which cups to pull next, and whether to go on.',
  input: z.strictObject({
    ...asked,
    limits: z
      .strictObject({
        ratio: span(ratioField),
        temperatureC: span(quantity('temperatureC')),
        timeS: span(quantity('timeS')),
      })
      .optional(),
    flight: z.int().min(1).max(8).optional(),
    tasters: z.int().min(1).max(40).optional(),
  }),
  output: z.object({
    plan: z.array(z.object({ ...rounded, gain: z.number() })),
    expectedLeft: z.number(),
    stop: z.boolean(),
  }),
  run: ({ limits = {}, flight, tasters, ...input }) => {
    const { centre, cups, useSigns = true } = input;
    const { surface: found } = surfaceOf(input);
    const edges = (['ratio', 'temperatureC', 'timeS'] as const).map((name, j) => {
      const asPlace = (value: number) => codedFrom(centre, { ...centre, [name]: value })[j]!;
      const of = limits[name];
      return of ? ([asPlace(of[0]), asPlace(of[1])] as const) : ([-2, 2] as const);
    });
    const plan = nextCups(found, {
      useSigns,
      limits: edges,
      ...(flight !== undefined && { flight }),
      ...(tasters !== undefined && { tasters }),
    });
    const recipes = new Set(
      cups.map((cup) => ('x' in cup ? cup.x : codedFrom(centre, cup)).join(' ')),
    ).size;
    return {
      plan: plan.map(({ x, gain }) => ({ ...shown(centre, x), gain })),
      expectedLeft: found.expectedLeft,
      stop: isEnough(found, recipes),
    };
  },
});

const count = z.int().min(0).max(1000);
const tasters = z.int().min(1).max(1000);

const panelQuestion = z.discriminatedUnion('test', [
  z.strictObject({ test: z.literal('paired'), n: tasters, preferA: count }),
  z.strictObject({ test: z.literal('triangle'), n: tasters, correct: count }),
  z.strictObject({
    test: z.literal('rank'),
    ranks: z
      .array(z.array(z.int().min(1).max(12)).max(12))
      .min(1)
      .max(200),
  }),
]);
type PanelQuestion = z.infer<typeof panelQuestion>;

const panel = command({
  purpose: 'What a blind flight found, by exact statistics.',
  input: panelQuestion,
  output: z.object({
    pValue: z.number(),
    statistic: z.number().optional(),
    minimumCorrect: z.number().optional(),
    decision: z.enum(['difference', 'noneFound']),
    words: z.string(),
  }),
  run: (asked) => {
    const { message, ...found } = panelResult(asked);
    return { ...found, words: say(message) };
  },
});

function panelResult(asked: PanelQuestion) {
  switch (asked.test) {
    case 'paired':
      return pairedPreference(asked.n, asked.preferA);
    case 'triangle':
      return triangle(asked.n, asked.correct);
    case 'rank':
      return ranking(asked.ranks);
  }
}

export const TASTE_COMMANDS: Readonly<Record<string, Command>> = { surface, trial, panel };
