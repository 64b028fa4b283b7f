/** Flights people often want, made from the recipes of a release. No DOM. */
import { USUAL_FIRST_DRIP_S } from '@/core/extraction/clock';
import { STYLE_LABELS, type BeanState } from '@/core/vocabulary';
import type { FlightTest } from '@/core/panel/flightTests';
import { RATIO_LIMIT, TEMPERATURE_LIMIT_C } from '@/core/trials/proposalLimits';
import { settableC, settableG } from '@/core/extraction/settable';
import type { NextCup } from '@/views/best';
import type { FlightRecipe } from '@/views/flightRecipes';

/** One of the things compared, as its fields hold it. */
export interface ArmText {
  readonly label: string;
  readonly serving: 'straight' | 'milk' | 'plantMilk';
  /** Empty for a cup from elsewhere. */
  readonly draftId: string;
  readonly doseG: string;
  readonly yieldG: string;
  readonly temperatureC: string;
  readonly dial: string;
  readonly timeS: readonly [number, number];
  readonly beans: BeanState;
  /** Of a small experiment: the settings of its two things. */
  readonly levels?: readonly [Level, Level];
  /** False where the grinder is left as the last shot left it. */
  readonly purged?: boolean;
}

interface Level {
  readonly of: string;
  readonly is: string;
}

export interface ReadyMade {
  readonly name: string;
  readonly test: FlightTest;
  readonly arms: readonly ArmText[];
}

/** Steps of a plain ladder: wide enough to be tasted. House heuristic. */
const LADDER = { temperatureC: 2, ratio: 0.25, dialSteps: 2 } as const;
/** Half of the window of a cup that is pulled to a time of its own. */
const HALF_WINDOW_S = 2;

export function armOf(
  { pull, drink }: FlightRecipe,
  label: string,
  changed: Partial<ArmText> = {},
): ArmText {
  return {
    label,
    serving: drink,
    draftId: pull.draftId,
    doseG: String(pull.doseG),
    yieldG: String(pull.yieldG),
    temperatureC: String(pull.temperatureC),
    dial: String(pull.dial),
    timeS: pull.timeS,
    beans: pull.beans,
    ...changed,
  };
}

/** A cup that is bought or brewed elsewhere: it is scored like any other. */
export const fromElsewhere: ArmText = {
  label: 'Reference from elsewhere',
  serving: 'straight',
  draftId: '',
  doseG: '',
  yieldG: '',
  temperatureC: '',
  dial: '',
  timeS: [25, 30],
  beans: 'room',
};

interface Bench {
  readonly stepSize: number;
  readonly canSetTemperature: boolean;
}

/** What the recipes at hand allow; the first stands on the bench. */
export function readyMades(
  recipes: readonly FlightRecipe[],
  next: readonly NextCup[],
  { stepSize, canSetTemperature }: Bench,
): ReadyMade[] {
  const [bench, ...others] = recipes;
  if (!bench) return [];
  const { pull } = bench;
  const ours = armOf(bench, 'Our recipe');
  const older = others.find(({ style, drink }) => style === bench.style && drink === bench.drink);
  const otherStyle = others.find(({ style }) => style !== bench.style);
  const made: (ReadyMade | null)[] = [
    next.length < 2
      ? null
      : {
          name: 'The cups that would tell most',
          test: 'scored',
          arms: next.map((cup, i) =>
            armOf(bench, `Trial cup ${i + 1}`, {
              yieldG: String(cup.yieldG),
              temperatureC: String(
                canSetTemperature ? settableC(cup.temperatureC) : pull.temperatureC,
              ),
              dial: String(cup.dial),
              timeS: windowOf(cup.timeS, pull.clock),
            }),
          ),
        },
    older
      ? {
          name: 'Old recipe against new',
          test: 'paired',
          arms: [armOf(bench, 'New recipe'), armOf(older, 'Old recipe')],
        }
      : null,
    canSetTemperature
      ? {
          name: 'Three temperatures',
          test: 'ranking',
          arms: threeOf(pull.temperatureC, LADDER.temperatureC, TEMPERATURE_LIMIT_C).map((c) =>
            armOf(bench, `${settableC(c)} °C`, { temperatureC: String(settableC(c)) }),
          ),
        }
      : null,
    {
      name: 'Three yields',
      test: 'ranking',
      arms: threeOf(pull.yieldG / pull.doseG, LADDER.ratio, RATIO_LIMIT).map((ratio) =>
        armOf(bench, `${settableG(ratio * pull.doseG)} g in the cup`, {
          yieldG: String(settableG(ratio * pull.doseG)),
        }),
      ),
    },
    {
      name: 'Three grinds',
      test: 'ranking',
      arms: [-1, 0, 1].map((side) =>
        armOf(bench, ['Lower dial', 'Dial as it is', 'Higher dial'][side + 1]!, {
          dial: String(pull.dial + side * LADDER.dialSteps * stepSize),
        }),
      ),
    },
    otherStyle
      ? {
          name: 'Two styles',
          test: 'paired',
          arms: [
            armOf(bench, STYLE_LABELS[bench.style]),
            armOf(otherStyle, STYLE_LABELS[otherStyle.style]),
          ],
        }
      : null,
    {
      name: 'Warm against room beans',
      test: 'triangle',
      arms: [armOf(bench, 'Room beans'), armOf(bench, 'Warm beans', { beans: 'warm' })],
    },
    crossed(bench, 'Beans and grounds, room or warm', [
      { of: 'Beans', settings: [{ is: 'room' }, { is: 'warm', changes: { beans: 'warm' } }] },
      { of: 'Grounds', settings: [{ is: 'room' }, { is: 'warm' }] },
    ]),
    crossed(bench, 'Dose and headspace', [
      {
        of: 'Dose',
        settings: [
          { is: 'as it is' },
          { is: '1 g less', changes: { doseG: String(pull.doseG - 1) } },
        ],
      },
      { of: 'Headspace', settings: [{ is: 'as it is' }, { is: 'more' }] },
    ]),
    crossed(bench, 'Purged or not, beans room or warm', [
      {
        of: 'Purge',
        settings: [{ is: 'purged' }, { is: 'not purged', changes: { purged: false } }],
      },
      { of: 'Beans', settings: [{ is: 'room' }, { is: 'warm', changes: { beans: 'warm' } }] },
    ]),
    {
      name: 'Straight against milk',
      test: 'scored',
      arms: [
        { ...ours, label: 'Straight', serving: 'straight' },
        { ...ours, label: 'In milk', serving: 'milk' },
      ],
    },
    {
      name: 'Ours against one from elsewhere',
      test: 'paired',
      arms: [ours, fromElsewhere],
    },
  ];
  return made.filter((one) => one !== null);
}

interface Crossed {
  readonly of: string;
  readonly settings: readonly { readonly is: string; readonly changes?: Partial<ArmText> }[];
}

/** Every setting of one thing with every setting of another. */
function crossed(
  recipe: FlightRecipe,
  name: string,
  [first, second]: readonly [Crossed, Crossed],
): ReadyMade {
  const arms = first.settings.flatMap((a) =>
    second.settings.map((b) =>
      armOf(recipe, `${first.of} ${a.is}, ${second.of.toLowerCase()} ${b.is}`, {
        ...a.changes,
        ...b.changes,
        levels: [
          { of: first.of, is: a.is },
          { of: second.of, is: b.is },
        ],
      }),
    ),
  );
  return { name, test: 'scored', arms };
}

/** On the recipe's clock, of a time from the pump. */
function windowOf(pumpS: number, clock: FlightRecipe['pull']['clock']): readonly [number, number] {
  const middle = Math.round(clock === 'pump' ? pumpS : pumpS - USUAL_FIRST_DRIP_S);
  return [middle - HALF_WINDOW_S, middle + HALF_WINDOW_S];
}

/** Below, at and above a value, as far as the limits go. */
function threeOf(value: number, step: number, [least, most]: readonly [number, number]): number[] {
  return [-1, 0, 1].map((side) => Math.min(most, Math.max(least, value + side * step)));
}
