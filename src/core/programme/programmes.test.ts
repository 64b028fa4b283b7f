import fc from 'fast-check';
import { STYLES } from '../vocabulary';
import { reachWords } from '@/words/reachWords';
import { inWords } from '@/words/faults';
import { fromIssue } from '../message';
import { commandAt } from './commandAt';
import { outlineOf } from './outline';
import { programmeSchema } from '../schema/programme';
import { reachOf } from './reach';
import { programmeOf, STYLE_STEPS } from './styles';
import { DRIVES, isSameProgramme, MOST, startOf, type Programme, type Step } from './step';
import { programmeWords, shortProgrammeWords, stepWords } from './words';

const pressure = (level: number, seconds = 30): Step => ({
  drive: 'pressure',
  level,
  seconds,
  ramp: false,
});
const flow = (level: number, limitBar?: number): Step => ({
  drive: 'flow',
  level,
  seconds: 10,
  ramp: false,
  ...(limitBar !== undefined && { limitBar }),
});

const PUMP_ONLY = { pressureControl: false, flowControl: false };
const WETS_FIRST = { ...PUMP_ONLY, preinfusion: true };
const PRESSURE = { pressureControl: true, flowControl: false };
const FLOW = { pressureControl: false, flowControl: true };
const BOTH = { pressureControl: true, flowControl: true };

const anyStep: fc.Arbitrary<Step> = fc
  .record({
    drive: fc.constantFrom(...DRIVES),
    height: fc.integer({ min: 0, max: 10 }),
    seconds: fc.integer({ min: 1, max: 40 }),
    ramp: fc.boolean(),
    limitBar: fc.option(fc.integer({ min: 1, max: 12 }), { nil: undefined }),
  })
  .map(({ drive, height, seconds, ramp, limitBar }) => ({
    drive,
    level: (height / 10) * MOST[drive],
    seconds,
    ramp,
    ...(drive === 'flow' && limitBar !== undefined && { limitBar }),
  }));
const anyProgramme: fc.Arbitrary<Programme> = fc
  .array(anyStep, { minLength: 0, maxLength: 11 })
  .map((steps) => [...steps, pressure(9)]);
const anyMachine = fc.record({
  pressureControl: fc.boolean(),
  flowControl: fc.boolean(),
  preinfusion: fc.boolean(),
});

describe('a programme in words', () => {
  it('says each step as a hand at the machine would set it', () => {
    expect(stepWords(flow(8, 3))).toBe('8 ml/s, at most 3 bar for 10 s');
    expect(stepWords(flow(0))).toBe('pause 10 s');
    expect(stepWords({ ...pressure(6, 25), ramp: true })).toBe('evenly to 6 bar over 25 s');
    expect(programmeWords([pressure(3, 5), pressure(9)])).toBe(
      '3 bar for 5 s; 9 bar to target weight',
    );
  });

  it('fits the plate however many steps it has', () => {
    expect(shortProgrammeWords(STYLE_STEPS.soakFirst)).toBe(
      'fill fast, pause 30 s, then slow flow up to 9 bar',
    );
    expect(shortProgrammeWords([pressure(7)])).toBe('7 bar, flat');
    fc.assert(
      fc.property(anyProgramme, (steps) => {
        const words = shortProgrammeWords(steps);
        expect(words.length).toBeGreaterThan(0);
        expect(words.length).toBeLessThanOrEqual(80);
      }),
    );
  });
});

describe('what a machine can make of it', () => {
  it.each([
    ['classic', PUMP_ONLY, true],
    ['longQuick', PUMP_ONLY, false],
    ['fastCoarse', PUMP_ONLY, false],
    ['soakFirst', WETS_FIRST, false],
    ['declining', PUMP_ONLY, false],
    ['longQuick', PRESSURE, true],
    ['declining', PRESSURE, true],
    ['fastCoarse', PRESSURE, false],
    ['soakFirst', FLOW, true],
    ['fastCoarse', FLOW, true],
  ] as const)('%s on %o: %s', (style, machine, isWhole) => {
    expect(reachOf(STYLE_STEPS[style], machine).isWhole).toBe(isWhole);
  });

  it('says which steps are out of reach and what comes nearest', () => {
    const reach = reachOf([pressure(3, 5), flow(2.5, 9)], PRESSURE);
    expect(reach.made).toEqual([true, false]);
    expect(reachWords(reach)).toBe(
      'Step 2 of 2 is out of reach of this machine. The nearest it can make: 3 bar for 5 s; 9 bar to target weight.',
    );
  });

  it('keeps the wetting of a machine that can only wet first', () => {
    expect(reachOf(STYLE_STEPS.soakFirst, WETS_FIRST).nearest).toEqual([
      pressure(3, 4),
      pressure(9),
    ]);
    expect(reachOf(STYLE_STEPS.soakFirst, PUMP_ONLY).nearest).toEqual([pressure(9)]);
    // Sinking to nothing wets nothing.
    const sinking = [{ ...pressure(0, 1), ramp: true }, pressure(0, 1), pressure(9)];
    expect(reachOf(sinking, WETS_FIRST).nearest).toEqual([pressure(9)]);
    expect(reachOf([pressure(3, 6), pressure(9)], WETS_FIRST).isWhole).toBe(true);
    expect(reachOf([pressure(3, 6), pressure(9)], PUMP_ONLY).isWhole).toBe(false);
  });

  it('holds a pressure with full flow under it where only flow is set', () => {
    expect(reachOf([flow(0), pressure(6)], FLOW)).toMatchObject({ isWhole: true });
    const rising = reachOf([{ ...pressure(6, 20), ramp: true }, pressure(9)], FLOW);
    expect(rising.isWhole).toBe(false);
    expect(rising.nearest[0]).toMatchObject({ drive: 'flow', level: 10, limitBar: 6 });
  });

  it('claims nothing of a machine nobody described', () => {
    expect(reachOf(STYLE_STEPS.soakFirst, undefined)).toMatchObject({ isWhole: true });
    expect(reachWords(reachOf(STYLE_STEPS.soakFirst, undefined))).toBe('');
    expect(reachOf(STYLE_STEPS.soakFirst, { preinfusion: true }).isWhole).toBe(true);
  });

  it('proposes a nearest that the machine makes and the schema takes', () => {
    fc.assert(
      fc.property(anyProgramme, anyMachine, (steps, machine) => {
        const { nearest, isWhole } = reachOf(steps, machine);
        expect(programmeSchema.safeParse(nearest).success).toBe(true);
        if (isWhole) expect(isSameProgramme(nearest, steps)).toBe(true);
        else expect(isSameProgramme(reachOf(nearest, machine).nearest, nearest)).toBe(true);
        expect(reachOf(steps, BOTH).isWhole).toBe(true);
      }),
    );
  });
});

describe('a programme drawn', () => {
  it('stays in its box, tread after tread, and meets what the machine is told', () => {
    const box = { x: 40, y: 10, width: 600, height: 200 };
    fc.assert(
      fc.property(
        anyProgramme,
        fc.constantFrom('used' as const, 'both' as const),
        (steps, lanes) => {
          const { treads, x, y, untilS } = outlineOf(steps, box, { lanes });
          treads.forEach(({ fromX, toX, topY, midY }, i) => {
            expect(fromX).toBeCloseTo(i === 0 ? box.x : treads[i - 1]!.toX, 6);
            expect(toX).toBeGreaterThan(fromX);
            for (const at of [topY, midY]) {
              expect(at).toBeGreaterThanOrEqual(box.y - 1e-9);
              expect(at).toBeLessThanOrEqual(box.y + box.height + 1e-9);
            }
            const midS = startOf(steps, i) + (i < steps.length - 1 ? steps[i]!.seconds / 2 : 0);
            const { level, drive } = commandAt(steps, midS);
            if (i < steps.length - 1) expect(midY).toBeCloseTo(y(drive, level), 6);
          });
          expect(x(untilS)).toBeCloseTo(box.x + box.width, 6);
        },
      ),
    );
  });

  it('leaves out a lane nothing is driven on', () => {
    const box = { x: 0, y: 0, width: 100, height: 50 };
    expect(outlineOf([pressure(9)], box).lanes.map(({ drive }) => drive)).toEqual(['pressure']);
    expect(outlineOf([flow(3)], box).lanes.map(({ drive }) => drive)).toEqual(['flow']);
    expect(outlineOf([flow(3, 6)], box).lanes).toHaveLength(2);
  });
});

it('takes a recipe’s own steps, else those of its style; every style’s pass the schema', () => {
  expect(programmeOf({ recipe: {}, style: 'declining' })).toBe(STYLE_STEPS.declining);
  const own = [pressure(7)];
  expect(programmeOf({ recipe: { steps: own }, style: 'declining' })).toBe(own);
  for (const style of STYLES)
    expect(programmeSchema.safeParse(STYLE_STEPS[style]).success).toBe(true);
});

it.each([
  [[], /at least one step/],
  [[flow(0)], /last step is a pause/],
  [[{ ...flow(11) }], /flow step is at most 10 ml\/s/],
  [[pressure(13)], /pressure step is at most 12 bar/],
  [Array.from({ length: 13 }, () => pressure(9, 2)), /at most 12 steps/],
  [[{ ...pressure(9), colour: 'red' }], /Unrecognized key/],
])('refuses %j', (steps, words) => {
  const { success, error } = programmeSchema.safeParse(steps);
  expect(success).toBe(false);
  const said = error!.issues.map(({ message }) => inWords(fromIssue(message)));
  expect(said.join(' ')).toMatch(words);
});
