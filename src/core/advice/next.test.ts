import { say } from '@/words/say';
import fc from 'fast-check';
import { grinder, question, shot, target } from '../../../tests/support/coffee';
import { expectSignificant } from '../../../tests/support/significant';
import { SEEN } from '../vocabulary';
import { doseChange } from './nextSetting';
import { nextMove } from './next';
import { ADVICE_STATUSES } from './types';
import { headOf } from '@/words/adviceWords';

const codes = (advice: ReturnType<typeof nextMove>) => advice.reasons.map((r) => r.code);

describe('worked (6): dose for 26.6 → 28 s at 18 g', () => {
  it('is +.9474 g', () => {
    expectSignificant(doseChange(18, Math.log(28 / 26.6), 1), 0.9474);
  });
});

describe('order of judgement', () => {
  it('asks for the first shot when there is none', () => {
    expect(nextMove(question([]))).toMatchObject({ status: 'repeat', move: null, purgeG: 0 });
  });

  it('measures before it judges the time', () => {
    const advice = nextMove(question([shot({ yieldG: 42, timeS: 31, doseG: 18.6 })]));
    expect(advice.status).toBe('measure');
    expect(advice.move).toBeNull();
    expect(codes(advice)).toEqual(['doseOff', 'yieldOff']);
    expect(say(advice.reasons[1]!.message)).toMatch(/6\.0 g over.*stop earlier/);
  });

  it('says of a time that a long cup brought into the window what it would have been', () => {
    const advice = nextMove(question([shot({ yieldG: 50, timeS: 28 })]));
    expect(advice.status).toBe('grind');
    expect(advice.reasons[0]!.code).toBe('tooFast');
    expect(say(advice.reasons[0]!.message)).toMatch(
      /^28\.0 s .* lies in 26-30 s, but with the dose and yield of the recipe it would have been about 2\d\.\d s: \d\.\d s too fast\.$/,
    );
  });

  it('never compares across clocks', () => {
    const dripped = { clock: 'firstDrip', timeS: 21 } as const;
    expect(codes(nextMove(question([shot(dripped)])))).toEqual(['noFirstDrip']);
    // 12 s from the first drip is far too fast on any clock.
    expect(nextMove(question([shot({ ...dripped, timeS: 12 })])).status).toBe('grind');
    const noted = nextMove(question([shot({ ...dripped, firstDripS: 7 })]));
    expect(noted.status).toBe('repeat');
    expect(noted.marks[0]!.timeOnTargetClockS).toBe(28);
  });

  it('sends a badly prepared shot back unchanged', () => {
    const advice = nextMove(question([shot({ timeS: 18, seen: ['spurt', 'coldMetal'] })]));
    expect(advice.status).toBe('prep');
    expect(advice.hold).toEqual(['dial', 'doseG', 'yieldG', 'temperatureC']);
    expect(say(advice.alternatives[0]!.message)).toMatch(/^Believe the shot: finer/);
  });

  it('does not believe an unpurged move', () => {
    const moved = shot({ dial: -3, timeS: 26, purged: false });
    expect(codes(nextMove(question([shot({ timeS: 21.5 }), moved])))).toContain('unpurged');
    const clean = { ...grinder, retentionG: 0 };
    const kept = nextMove(question([shot({ timeS: 21.5 }), moved], { grinder: clean }));
    expect(codes(kept)).not.toContain('unpurged');
  });

  it('does not believe an odd shot until its repeat agrees', () => {
    const steady = [28.1, 27.6, 28.4].map((timeS) => shot({ timeS }));
    expect(codes(nextMove(question([...steady, shot({ timeS: 19 })])))).toContain('odd');
    const twice = nextMove(question([...steady, shot({ timeS: 19 }), shot({ timeS: 19.3 })]));
    expect(codes(twice)).not.toContain('odd');
  });

  it('waits for a coffee that is too fresh', () => {
    const fresh = question([shot({ restDays: 3 })], { target: target({ openDay: 6 }) });
    expect(codes(nextMove(fresh))).toEqual(['tooFresh']);
  });

  it('grinds finer for a fast shot, with word, dial and purge', () => {
    const advice = nextMove(question([shot({ timeS: 22 })]));
    expect(advice.status).toBe('grind');
    expect(say(advice.move!.message)).toMatch(/^Finer, 0 → -[23]/);
    // Two or three steps of about .1: two grams of the three kept are enough, see retention.
    expect(advice.purgeG).toBe(2);
    expect(advice.expect.interval80[0]).toBeLessThan(28);
    expect(advice.expect.interval80[1]).toBeGreaterThan(26);
  });

  it('sets the bench as its move says, and leaves it where the move is of another thing', () => {
    const fast = nextMove(question([shot({ timeS: 22 })]));
    expect(fast.setting).toEqual({ dial: fast.move!.to, doseG: fast.move!.doseTrim?.to ?? 18 });
    const landed = nextMove(question([shot({}), shot({})]));
    expect(landed).toMatchObject({ status: 'onTarget', setting: { dial: 0, doseG: 18 } });
    fc.assert(
      fc.property(fc.double({ min: 12, max: 60, noNaN: true }), (timeS) => {
        const { setting, move } = nextMove(question([shot({ timeS })]));
        const isGrind = move?.variable === 'dial';
        expect(setting.dial).toBe(isGrind ? move.to : 0);
        if (move?.variable === 'doseG') expect(setting.doseG).toBe(move.to);
        else expect(setting.doseG).toBe((isGrind && move.doseTrim?.to) || 18);
      }),
    );
  });

  it('knows which way is finer', () => {
    const reversed = { ...grinder, finerIs: 'higher' } as const;
    const advice = nextMove(question([shot({ timeS: 22 })], { grinder: reversed }));
    expect(advice.move!.to).toBeGreaterThan(0);
    expect(say(advice.move!.message)).toMatch(/^Finer/);
  });

  it('makes a large move coarser after a choke, with the caution', () => {
    const advice = nextMove(question([shot({ timeS: 30, yieldG: 0.5, seen: ['choke'] })]));
    expect(advice.status).toBe('grind');
    expect(advice.move!.to).toBeGreaterThanOrEqual(4);
    expect(say(advice.reasons[0]!.message)).toMatch(/vent before you loosen/);
  });

  it('makes a large move finer after a gush', () => {
    const advice = nextMove(question([shot({ timeS: 9, yieldG: 40, seen: ['gush'] })]));
    expect(advice.move!.to).toBeLessThanOrEqual(-5);
  });

  it('trims the dose with the step when steps are too coarse, as one move', () => {
    const coarse = { ...grinder, umPerStep: 40, min: 0, max: 30 };
    const shots = [shot({ dial: 10, timeS: 25.2 }), shot({ dial: 10, timeS: 25.2 })];
    const advice = nextMove(
      question(shots, {
        grinder: coarse,
        target: target({ startDial: 10 }),
        doseSchool: 'trim',
      }),
    );
    const trimG = advice.move!.doseTrim?.to ?? advice.move!.to;
    expect(trimG).toBeGreaterThan(18);
    expect(trimG).toBeLessThanOrEqual(19);
    expect(advice.hold).not.toContain('doseG');
  });

  it('turns to the dose only where the dial ends', () => {
    const ended = { ...grinder, min: 0, max: 20 };
    const advice = nextMove(question([shot({ dial: 0, timeS: 20 })], { grinder: ended }));
    expect(advice.status).toBe('dose');
    expect(advice.move).toMatchObject({ variable: 'doseG', from: 18, to: 19 });
  });

  it('lets taste speak once the time is right', () => {
    const sour = { sharpness: 8, body: 3, bitterness: 1 };
    const advice = nextMove(question([shot({ taste: sour })]));
    expect(advice.status).toBe('taste');
    expect(advice.move!.variable).toBe('yieldG');
    expect(advice.move!.to).toBeGreaterThan(36);
    expect(nextMove(question([shot({ timeS: 22, taste: sour })])).status).toBe('grind');
  });

  it('tastes first where the house does', () => {
    const house = { target: target({ tasteFirst: true }) };
    expect(nextMove(question([shot({ timeS: 20 })], house))).toMatchObject({
      status: 'taste',
      move: null,
    });
    const good = shot({ timeS: 20, taste: { sweetness: 8, sharpness: 2, bitterness: 2 } });
    const kept = nextMove(question([good], house));
    expect(kept).toMatchObject({ status: 'taste', move: null });
    expect(say(kept.reasons[0]!.message)).toMatch(/move the window to 18-22 s/);
  });

  it('does not judge the last shot by a recipe revised after it', () => {
    const revised = { target: target({ yieldG: 44, timeS: [31, 37] as [number, number] }) };
    const shots = [shot(), shot()];
    expect(nextMove(question(shots, revised)).status).toBe('measure');
    const advice = nextMove(question(shots, { ...revised, targetFrom: shots.length }));
    expect(advice).toMatchObject({ status: 'repeat', move: null, alternatives: [] });
    expect(codes(advice)).toEqual(['revised']);
  });

  it('repeats a hit, proves it by a second, and confirms with a liked cup', () => {
    expect(nextMove(question([shot()])).status).toBe('repeat');
    const onTarget = nextMove(question([shot(), shot({ timeS: 27.6 })]));
    expect(onTarget.status).toBe('onTarget');
    expect(say(onTarget.reasons[0]!.message)).toMatch(
      /runs 27\.8 ± \d\.\d s: (almost certain|9 in 10) that it holds/,
    );
    const liked = { sharpness: 2, bitterness: 2, sweetness: 7, liking: 7 };
    expect(nextMove(question([shot(), shot({ timeS: 27.6, taste: liked })])).status).toBe(
      'approved',
    );
    const unloved = { ...liked, liking: 5 };
    expect(nextMove(question([shot(), shot({ timeS: 27.6, taste: unloved })])).status).toBe(
      'onTarget',
    );
  });

  it('takes two hits at the edge for no proof, and a near miss beside a hit for one', () => {
    const narrow = { target: target({ timeS: [26.5, 29.5] }) };
    expect(nextMove(question([shot({ timeS: 29.2 }), shot({ timeS: 28.9 })], narrow)).status).toBe(
      'repeat',
    );
    const wide = { target: target({ timeS: [25, 31] }) };
    expect(nextMove(question([shot({ timeS: 29 }), shot({ timeS: 31.1 })], wide)).status).not.toBe(
      'approved',
    );
  });

  it('does not count a shot of the recipe before as the repeat', () => {
    const shots = [shot(), shot({ timeS: 27.6 })];
    expect(nextMove(question(shots, { targetFrom: 1 })).status).toBe('repeat');
    const third = [...shots, shot({ timeS: 28.5 })];
    expect(nextMove(question(third, { targetFrom: 1 })).status).toBe('onTarget');
  });

  it('does not prove across settings or by a bad shot', () => {
    const dials = [shot({ timeS: 27 }), shot({ dial: -1, timeS: 29, purged: true })];
    expect(nextMove(question(dials)).status).not.toBe('onTarget');
    expect(nextMove(question([shot(), shot({ seen: ['spurt'] })])).status).toBe('prep');
    const warmer = [shot({ temperatureC: 93 }), shot({ temperatureC: 94 })];
    expect(nextMove(question(warmer)).status).toBe('repeat');
  });

  it('says what it cannot prove', () => {
    // A step of four windows: no setting lands, and the dose is locked.
    const coarse = { ...grinder, umPerStep: 80, retentionG: 0 };
    const shots = [
      shot({ timeS: 25.2 }),
      shot({ dial: -1, timeS: 38 }),
      ...[25.1, 24.9].map((timeS) => shot({ timeS })),
    ];
    const advice = nextMove(question(shots, { grinder: coarse }));
    expect(advice.status).toBe('nearest');
    expect(say(advice.reasons[0]!.message)).toMatch(/not on target/);
    expect(advice.alternatives.map(({ message }) => say(message)).join()).toMatch(/dose 18\.0 → /i);
  });
});

describe('advice: properties', () => {
  const anyShot = fc.record({
    dial: fc.integer({ min: -10, max: 10 }),
    doseG: fc.double({ min: 3, max: 40, noNaN: true }),
    yieldG: fc.double({ min: 0, max: 200, noNaN: true }),
    timeS: fc.double({ min: 1, max: 180, noNaN: true }),
    firstDripS: fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: undefined }),
    clock: fc.constantFrom('pump' as const, 'firstDrip' as const),
    purged: fc.boolean(),
    seen: fc.subarray([...SEEN]),
  });

  it('always answers with one known status, at most one move, and a finite expectation', () => {
    fc.assert(
      fc.property(fc.array(anyShot, { maxLength: 12 }), (shots) => {
        const advice = nextMove(question(shots));
        expect(ADVICE_STATUSES).toContain(advice.status);
        expect(advice.reasons.length).toBeGreaterThan(0);
        expect(Number.isFinite(advice.expect.timeS)).toBe(true);
        expect(advice.expect.landing).toBeGreaterThanOrEqual(0);
        expect(advice.expect.landing).toBeLessThanOrEqual(1);
        expect(advice.hold.length).toBeGreaterThanOrEqual(advice.move?.doseTrim ? 2 : 3);
      }),
    );
  });

  it('never leaves the dial or the basket', () => {
    const short = { ...grinder, min: -5, max: 5 };
    fc.assert(
      fc.property(fc.array(anyShot, { maxLength: 8 }), (shots) => {
        const inRange = shots.map((s) => ({ ...s, dial: Math.max(-5, Math.min(5, s.dial)) }));
        const { move } = nextMove(question(inRange, { grinder: short }));
        if (move?.variable === 'dial') {
          expect(move.to).toBeGreaterThanOrEqual(-5);
          expect(move.to).toBeLessThanOrEqual(5);
        }
        const doseG = move?.variable === 'doseG' ? move.to : move?.doseTrim?.to;
        if (doseG !== undefined) {
          expect(doseG).toBeGreaterThanOrEqual(16);
          expect(doseG).toBeLessThanOrEqual(19);
        }
      }),
    );
  });
});

describe('the move in a few words', () => {
  it.each([
    [shot({ doseG: 18.7, timeS: 29 }), 'Check the dose'],
    [shot({ yieldG: 40, timeS: 29 }), 'Check the yield'],
    [shot({ doseG: 18.7, yieldG: 41, timeS: 32 }), 'Check dose and yield'],
    [shot({ yieldMl: 48 }), 'Weigh the yield'],
    [shot({ seen: ['spurt'] }), 'Same again, with better puck prep'],
    [shot(), 'Pull it unchanged'],
  ])('%#: %s', (last, words) => {
    expect(headOf(nextMove(question([last])))).toBe(words);
  });

  it('says what an unpurged move lacks', () => {
    const shots = [shot({ timeS: 21.5 }), shot({ dial: -3, timeS: 26, purged: false })];
    expect(headOf(nextMove(question(shots)))).toBe('Same again, purged');
    expect(headOf(nextMove(question([shot({ timeS: 20 })])))).toMatch(/^Finer, 0 → /);
  });
});
