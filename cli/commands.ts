/** The commands of `kb`: the computation core from a shell. */
import { z } from 'zod';
import { nextMove } from '@/core/advice/next';
import { grindFeatures, pastDialIn } from '@/core/advice/pastDialIn';
import { ADVICE_STATUSES, USUAL_JUDGING } from '@/core/advice/types';
import { MOST_CHARACTERS, readPacket } from '@/core/packet/readBag';
import { easeOf } from '@/core/ease/ease';
import { extraction } from '@/core/extraction/extraction';
import { finerSign, middleSetting, slopePrior } from '@/core/grinder/dial';
import { retentionHint } from '@/core/grinderMemory/retentionHint';
import { learnGrinder, MEMORY_SIZE, type GrinderMemory } from '@/core/grinderMemory/memory';
import { CARRY_VERDICTS, carryOver } from '@/core/advice/carry';
import { oneOf, quantity } from '@/core/schema/fields';
import { releaseFactsSchema } from '@/core/schema/release';
import { basketSchema, grinderSchema, machineSchema, type Grinder } from '@/core/schema/setup';
import { shotSchema, tasteSchema } from '@/core/schema/shot';
import { targetSchema } from '@/core/schema/target';
import { simulateInputOf, simulateSchema } from '@/core/simulator/question';
import { simulateShot } from '@/core/simulator/simulate';
import { tasteOfCup } from '@/core/simulator/cupTaste';
import { DOSE_SCHOOLS, TASTE_LEVERS, STYLES } from '@/core/vocabulary';
import { worded } from '@/words/adviceWords';
import { withPushes } from './pushes';
import { coded, command, interval, type Command } from './command';
import { field } from './fieldCommand';
import { fit } from './fitCommand';
import { proposeCommand } from './proposeCommand';
import { rest } from './restCommand';
import { TASTE_COMMANDS } from './tasteCommands';

const extract = command({
  purpose: 'Ratio, extraction and dissolved mass of a shot.',
  input: z.strictObject({
    doseG: quantity('doseG'),
    yieldG: quantity('yieldG'),
    tdsPct: quantity('tdsPct'),
  }),
  output: z.object({ ratio: z.number(), extractionPct: z.number(), solublesG: z.number() }),
  run: extraction,
});

const ease = command({
  purpose: 'How easily a coffee will extract: 0 = medium washed ordinary, + easier.',
  input: z.strictObject({ release: releaseFactsSchema }),
  output: z.object({
    ease: z.number(),
    interval80: interval,
    pushes: z.array(
      z.object({ factor: z.string(), label: z.string(), amount: z.number(), sd: z.number() }),
    ),
    missing: z.array(z.object({ factor: z.string(), label: z.string(), narrowsBy: z.number() })),
  }),
  run: ({ release }) => withPushes(easeOf(release)),
});

const expectation = z.object({
  timeS: z.number(),
  interval80: interval,
  clock: z.string(),
  landing: z.number(),
});
const move = z
  .object({
    variable: z.string(),
    from: z.number(),
    to: z.number(),
    words: z.string(),
    doseTrim: z.object({ from: z.number(), to: z.number() }).optional(),
  })
  .nullable();
const advice = z.object({
  status: z.enum(ADVICE_STATUSES),
  move,
  hold: z.array(z.string()),
  expect: expectation,
  setting: z.object({ dial: z.number(), doseG: z.number() }),
  proof: z.object({ meanS: z.number(), sdS: z.number(), inWindow: z.number() }).nullable(),
  purgeG: z.number(),
  reasons: coded,
  costG: z.number(),
  window: z.tuple([z.number(), z.number()]).nullable(),
  keptYieldG: z.number().nullable(),
  offersTrim: z.boolean(),
  alternatives: z.array(
    z.object({ move, words: z.string(), expect: expectation, costG: z.number() }),
  ),
  warnings: coded,
  marks: z.array(z.looseObject({ weight: z.number().nullable(), valid: z.boolean() })),
});

const meanSd = z.looseObject({ mean: z.number(), sd: z.number() });
/** What `grinder` gives and `next` takes; the readable figures are not read back. */
const memory = z.object({
  dialIns: z.int().min(0),
  referenceDial: z.number(),
  mean: z.array(z.number()).length(MEMORY_SIZE),
  covariance: z.array(z.array(z.number()).length(MEMORY_SIZE)).length(MEMORY_SIZE),
  between: z.array(z.number().min(0)).length(5),
  noiseSd: z.number().positive(),
  oddRate: z.number().min(0).max(0.5),
  people: z
    .record(z.string(), z.object({ sd: z.number().positive(), shots: z.number().min(0) }))
    .optional(),
  lnTimeS: meanSd.optional(),
  light: meanSd.optional(),
  dark: meanSd.optional(),
  process: meanSd.optional(),
  perStep: meanSd.optional(),
  doseExponent: meanSd.optional(),
  yieldExponent: meanSd.optional(),
  agePerDay: meanSd.optional(),
});

const next = command({
  purpose: 'The one next move of a dial-in, with what it should give and why.',
  input: z.strictObject({
    target: targetSchema,
    grinder: grinderSchema,
    basket: basketSchema,
    machine: machineSchema.optional(),
    shots: z.array(shotSchema).max(200),
    memory: memory.optional(),
    release: releaseFactsSchema.optional(),
    style: oneOf('Style', STYLES).optional(),
    doseSchool: oneOf('Dose school', DOSE_SCHOOLS).default('locked'),
    proofGoal: z.number().min(0.8).max(0.9).default(USUAL_JUDGING.proofGoal),
    leastLiking: z.number().min(0).max(10).default(USUAL_JUDGING.leastLiking),
    levers: oneOf('Levers', TASTE_LEVERS).default('bySize'),
  }),
  output: advice,
  run: ({ release, style, ...asked }) =>
    worded(
      nextMove({
        ...asked,
        coffee: grindFeatures(release ?? { roastLevel: asked.target.roastLevel }, style),
      }),
    ),
});

const MOST_DIAL_INS = 500;

const grinder = command({
  purpose: 'What past dial-ins teach of a grinder.',
  input: z.strictObject({
    grinder: grinderSchema,
    dialIns: z
      .array(
        z.strictObject({
          release: releaseFactsSchema,
          style: oneOf('Style', STYLES).optional(),
          target: targetSchema,
          shots: z.array(shotSchema).max(200),
        }),
      )
      .max(MOST_DIAL_INS),
  }),
  output: z.object({
    memory,
    retentionHint: z.object({ retentionG: z.number(), lnGain: z.number() }).optional(),
  }),
  run: ({ grinder: asked, dialIns }) => {
    const dial = asked.referenceDial ?? dialIns[0]?.target.startDial ?? middleSetting(asked);
    const pastWith = (retentionG: number) =>
      dialIns.map(({ release, style, ...dialIn }) =>
        pastDialIn(
          {
            ...dialIn,
            grinder: { ...asked, retentionG },
            basket: { ratedG: dialIn.target.doseG },
          },
          grindFeatures(release, style),
          dial,
        ),
      );
    const slope = slopePrior(asked);
    const learnt = learnGrinder(pastWith(asked.retentionG), slope, dial);
    const hint = retentionHint(pastWith, slope, asked.retentionG);
    return {
      memory: { ...learnt, ...readable(learnt, asked) },
      ...(hint && { retentionHint: hint }),
    };
  },
});

/** The memory's figures by their names, the slope for each step finer. */
function readable(
  { mean, covariance, between }: GrinderMemory,
  { stepSize, finerIs }: Pick<Grinder, 'stepSize' | 'finerIs'>,
) {
  const of = (k: number) => ({ mean: mean[k]!, sd: Math.sqrt(covariance[k]![k]!) });
  const perDial = of(4);
  return {
    lnTimeS: of(0),
    light: of(1),
    dark: of(2),
    process: of(3),
    perStep: {
      mean: perDial.mean * finerSign({ finerIs }) * stepSize,
      sd: perDial.sd * stepSize,
      between: between[1]! * stepSize,
    },
    doseExponent: of(5),
    yieldExponent: of(6),
    agePerDay: of(7),
  };
}

const carry = command({
  purpose: 'Does a recipe carry over to a new batch, by its first shots?',
  input: z.strictObject({
    prior: z.strictObject({ mean: z.number().min(-2).max(2), sd: z.number().positive().max(1) }),
    window: interval.refine(([low, high]) => low > 0 && high > low, {
      error: 'The window goes from a time to a later one. Give [26.5, 29.5].',
    }),
    noiseSd: z.number().positive().max(0.5).optional(),
    shots: z
      .array(z.strictObject({ moveLn: z.number().min(-2).max(2), timeS: quantity('timeS') }))
      .max(8),
    moves: z.array(z.number().min(-2).max(2)).max(100).optional(),
    goal: z.number().min(0.5).max(0.99),
  }),
  output: z.object({
    mean: z.number(),
    inWindow: z.number(),
    best: z.object({ moveLn: z.number(), inWindow: z.number() }),
    verdict: z.enum(CARRY_VERDICTS),
  }),
  run: carryOver,
});

const bag = command({
  purpose: 'What a bag or a web page says of a coffee, each fact with the words it was read from.',
  input: z.strictObject({
    text: z
      .string({ error: 'The text of the bag is missing. Give it as text.' })
      .max(MOST_CHARACTERS, {
        error: `The text is over ${MOST_CHARACTERS} characters. Shorten it.`,
      }),
  }),
  output: z.object({
    facts: z.array(
      z.object({
        field: z.string(),
        value: z.union([z.string(), z.number(), z.array(z.string())]),
        words: z.string(),
        at: z.number().int(),
      }),
    ),
    left: z.string(),
  }),
  run: ({ text }) => readPacket(text),
});

const cupPart = z.object({
  yieldG: z.number(),
  tdsPct: z.number(),
  solutesG: z.object({ acid: z.number(), middle: z.number(), bitter: z.number() }),
  /** Of the simulator: invented from what it dissolves. */
  taste: tasteSchema.omit({ signs: true }).required(),
});

const simulate = command({
  purpose:
    'A simulated shot: a stand-in for machine, scale and refractometer. Heuristic; no measurement.',
  input: simulateSchema,
  output: z.object({
    timeS: z.number(),
    firstDripS: z.number().nullable(),
    yieldG: z.number(),
    tdsPct: z.number(),
    extractionPct: z.number(),
    channelled: z.number(),
    trace: z.array(
      z.object({
        timeS: z.number(),
        weightG: z.number(),
        pressureBar: z.number(),
        flowMlS: z.number(),
        temperatureC: z.number(),
      }),
    ),
    stages: z.array(cupPart),
  }),
  run: (asked) => {
    const input = simulateInputOf(asked);
    const { balance: _, stages, ...shot } = simulateShot(input);
    const { temperatureC } = input.shot;
    const { roastLevel } = input.coffee;
    const { channelled } = shot;
    return {
      ...shot,
      stages: stages.map((cup) => ({
        ...cup,
        taste: tasteOfCup({ cup, roastLevel, temperatureC, channelled }),
      })),
    };
  },
});

export const COMMANDS: Readonly<Record<string, Command>> = {
  extract,
  ease,
  propose: proposeCommand,
  next,
  grinder,
  carry,
  bag,
  fit,
  rest,
  field,
  simulate,
  ...TASTE_COMMANDS,
};
