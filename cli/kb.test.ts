/** `kb` from a shell, as an outsider calls it. */
import { spawnSync } from 'node:child_process';
import { compute } from './compute';

/** What the shell would see, without one. */
function kb([name = '', ...flags]: readonly string[], input: unknown = '') {
  const text = typeof input === 'string' ? input : JSON.stringify(input);
  const { status, stdout, stderr } = compute(name, flags, () => text);
  return { status, stdout, stderr, answer: () => JSON.parse(stdout) as Record<string, unknown> };
}

it('answers in a shell what it answers here', () => {
  const run = (args: string[], input: string) => {
    const { status, stdout, stderr } = spawnSync('node_modules/.bin/tsx', ['cli/kb.ts', ...args], {
      input,
      encoding: 'utf8',
    });
    return { status, stdout, stderr };
  };
  const shot = { doseG: 18, yieldG: 36, tdsPct: 9.6 };
  for (const input of [shot, { ...shot, tdsPct: 'strong' }]) {
    const { answer: _answer, ...here } = kb(['extract'], input);
    expect(run(['extract'], JSON.stringify(input))).toEqual(here);
  }
});

const question = {
  target: { doseG: 18, yieldG: 36, timeS: [26, 30], clock: 'pump' },
  grinder: { stepSize: 1, finerIs: 'lower', min: 0, max: 40, retentionG: 3 },
  basket: { ratedG: 18 },
  shots: [{ dial: 12, doseG: 18, yieldG: 36, timeS: 22, clock: 'pump', purged: true, seen: [] }],
};

describe('kb', () => {
  it('extract', () => {
    const { ratio, extractionPct } = kb(['extract'], {
      doseG: 18,
      yieldG: 36,
      tdsPct: 9.6,
    }).answer();
    expect(ratio).toBe(2);
    expect(extractionPct).toBeCloseTo(19.2, 9);
  });

  it('ease', () => {
    const release = {
      roastLevel: -1,
      process: 'natural',
      varietyClass: 'ordinary',
      densityGPerL: 700,
    };
    expect(kb(['ease'], { release }).answer().ease).toBeCloseTo(-0.5, 9);
  });

  it('bag: each fact with the words it was read from, and what is left', () => {
    const text = 'Guji, Ethiopia\nProcess: washed\nRoasted with care.';
    const { facts, left } = kb(['bag'], { text }).answer() as {
      facts: { field: string; value: string; words: string; at: number }[];
      left: string;
    };
    expect(facts.map(({ field, value }) => [field, value])).toEqual([
      ['country', 'Ethiopia'],
      ['region', 'Guji'],
      ['process', 'washed'],
    ]);
    for (const { words, at } of facts) expect(text.slice(at, at + words.length)).toBe(words);
    expect(left).toBe('Roasted with care.');
  });

  it('simulate: the reference shot, with its trace', () => {
    const { timeS, firstDripS, trace, stages } = kb(['simulate'], {
      coffee: { roastLevel: 0, process: 'washed' },
      setup: { basket: { diameterMm: 58, ratedG: 18 } },
      shot: { doseG: 18, yieldG: 36, cutsS: [10, 20] },
      seed: null,
    }).answer() as { timeS: number; firstDripS: number; trace: { weightG: number }[]; stages: [] };
    expect(Math.abs(timeS - 27.9)).toBeLessThan(1.4);
    expect(Math.abs(firstDripS - 6.3)).toBeLessThan(0.4);
    expect(Math.abs(trace.at(-1)!.weightG - 36)).toBeLessThan(0.3);
    expect(stages).toHaveLength(3);
  });

  it('propose, worked figure (1)', () => {
    const release = {
      roastLevel: -1,
      process: 'washed',
      varietyClass: 'ordinary',
      densityGPerL: 720,
      restDays: 10,
    };
    const input = { release, style: 'classic', temperatureSchool: 'both', history: [] };
    const { mean, rulesOnly } = kb(['propose'], input).answer() as {
      mean: Record<string, number>;
      rulesOnly: boolean;
    };
    expect(mean.temperatureC).toBeCloseTo(94.2, 9);
    expect(rulesOnly).toBe(true);
  });

  it('propose: coming from another coffee, rules of the house’s own, a dial on a calibrated grinder', () => {
    const washed = { roastLevel: -1, process: 'washed', varietyClass: 'ordinary' };
    const recipe = {
      doseG: 18,
      yieldG: 50.4,
      ratio: 2.8,
      temperatureC: 95,
      timeS: [26, 30],
      clock: 'pump',
      restDays: [14, 35],
    };
    const input = {
      release: { ...washed, process: 'natural' },
      comingFrom: { release: washed, style: 'classic', recipe, grindSteps: 2 },
      rules: [{ factor: 'intensity', output: 'temperatureC', mean: -2, sd: 0.2 }],
      setup: {
        grinder: { ...question.grinder, referenceDial: 15, secondsPerStep: 2.5, chokesAt: 5 },
        basket: { ratedG: 18 },
      },
    };
    const { changes, startDial, releases } = kb(['propose'], input).answer() as {
      changes: Record<string, { from: number; to: number; change: number }>;
      startDial: { dial: number; heldBy: null };
      releases: number;
    };
    expect(changes.ratio!.change).toBeLessThan(0);
    expect(changes.temperatureC!.change).toBeLessThan(-1);
    expect(changes.grindSteps!.to).toBeLessThan(2);
    expect(changes.ratio!.from).toBeCloseTo(2.8, 9);
    // Finer is lower on this dial, and the natural still wants it finer than the reference.
    expect(startDial.dial).toBeLessThanOrEqual(15);
    expect(releases).toBe(1);
    const bent = { ...input, rules: [{ factor: 'moon', output: 'temperatureC', mean: 0, sd: 1 }] };
    expect(kb(['propose'], bent)).toMatchObject({ status: 2 });
  });

  it('next', () => {
    expect(kb(['next'], question).answer()).toMatchObject({ status: 'grind', purgeG: 2 });
  });

  it('propose takes cups in its history', () => {
    const recipe = {
      doseG: 18,
      yieldG: 36,
      ratio: 2,
      temperatureC: 92,
      timeS: [26, 30],
      clock: 'pump',
      restDays: [8, 21],
    };
    const release = { id: 'a', roastLevel: 0, process: 'washed' };
    // Longer and hotter cups were liked better than the recipe they belong to.
    const cups = [2, 2.4, 2.8].flatMap((ratio) =>
      [91, 93, 95].flatMap((temperatureC) =>
        [25, 29].map((timeS) => ({
          ratio,
          temperatureC,
          timeS,
          taster: 'one',
          liking: 9 - 4 * (ratio - 2.5) ** 2 - 0.2 * (temperatureC - 94) ** 2,
        })),
      ),
    );
    const asked = (past: object) => {
      const history = [{ release, style: 'classic', recipe, ratedG: 18, ...past }];
      const input = { release: { roastLevel: 0, process: 'washed' }, history };
      return kb(['propose'], input).answer() as {
        cups: number;
        mean: { lnRatio: number; temperatureC: number };
        pushes: { ratio: { factor: string }[] };
      };
    };
    const [before, tasted] = [asked({}), asked({ cups })];
    expect([before.cups, tasted.cups]).toEqual([0, cups.length]);
    expect(tasted.mean.lnRatio).toBeGreaterThan(before.mean.lnRatio + 0.05);
    expect(tasted.mean.temperatureC).toBeGreaterThan(before.mean.temperatureC + 0.2);
    expect(tasted.pushes.ratio.map(({ factor }) => factor)).toContain('cups');
    const bent = {
      release: {},
      history: [{ release, style: 'classic', recipe, cups: [{ liking: 11 }] }],
    };
    expect(kb(['propose'], bent)).toMatchObject({ status: 2 });
  });

  it('next takes a whole recipe as its target, and propose a machine by its name', () => {
    const target = {
      ...question.target,
      ratio: 2,
      temperatureC: 93,
      restDays: [8, 21],
      programme: '9 bar',
    };
    expect(kb(['next'], { ...question, target }).answer()).toMatchObject({ status: 'grind' });
    const setup = { machine: 'Two-group', basket: { diameterMm: 58, ratedG: 20 } };
    const { recipe } = kb(['propose'], { release: { roastLevel: 0 }, setup }).answer();
    expect(recipe).toMatchObject({ doseG: 20, ratio: 2 });
  });

  describe('grinder', () => {
    const stepped = { stepSize: 1, finerIs: 'lower', min: -40, max: 40, retentionG: 0 };
    const target = { ...question.target, timeS: [26.5, 29.5], startDial: 0 };
    const shotsOf = (...shots: [number, number][]) =>
      shots.map(([dial, timeS]) => ({ ...question.shots[0], dial, timeS, doseG: 18, yieldG: 36 }));
    const dialIns = [
      {
        release: { roastLevel: 0, process: 'washed' },
        target,
        shots: shotsOf([0, 34], [2, 28.5], [2, 27.8]),
      },
      {
        release: { roastLevel: -1, process: 'washed' },
        target,
        shots: shotsOf([0, 26], [-1, 28.2], [-1, 29]),
      },
    ];

    it('tells what two dial-ins taught, by names, and next begins there', () => {
      const asked = { grinder: { ...stepped, referenceDial: 0 }, dialIns };
      const { memory } = kb(['grinder'], asked).answer() as { memory: Record<string, object> };
      expect(memory).toMatchObject({
        dialIns: 2,
        lnTimeS: { mean: expect.closeTo(3.4638, 3) },
        perStep: { mean: expect.closeTo(0.0922, 3) },
        noiseSd: expect.closeTo(0.04056, 4),
      });
      const next = kb(['next'], {
        target,
        grinder: stepped,
        basket: { ratedG: 18 },
        shots: shotsOf([0, 34]),
        memory,
        release: { roastLevel: 1, process: 'washed' },
      }).answer();
      expect(next).toMatchObject({ status: 'grind', move: { variable: 'dial', from: 0, to: 2 } });
    });

    it('of one dial-in still leans on the rules, and says how many it has', () => {
      const asked = { grinder: stepped, dialIns: dialIns.slice(0, 1) };
      const { memory } = kb(['grinder'], asked).answer() as { memory: Record<string, object> };
      expect(memory.dialIns).toBe(1);
      expect(kb(['next'], { ...question, memory: { ...memory, mean: [1] } })).toMatchObject({
        status: 2,
      });
    });
  });

  it('carry', () => {
    const asked = {
      prior: { mean: -0.0302, sd: 0.0566 },
      window: [26.5, 29.5],
      shots: [{ moveLn: 0, timeS: 29 }],
      goal: 0.8,
    };
    expect(kb(['carry'], asked).answer()).toMatchObject({
      inWindow: expect.closeTo(0.8494, 3),
      verdict: 'carriesOver',
    });
    expect(kb(['carry'], { ...asked, window: [29, 26] }).stderr).toMatch(
      /^window: The window goes/,
    );
  });

  it('rest', () => {
    const input = {
      roastDate: '2026-03-01',
      roastLevel: 0,
      school: 'byRoast',
      frozen: [],
      on: '2026-03-11',
    };
    expect(kb(['rest'], input).answer()).toMatchObject({ restDays: 10, state: 'best' });
  });

  it('prints the schemas of every command', () => {
    for (const name of ['extract', 'ease', 'propose', 'next', 'rest']) {
      const { input, output } = kb([name, '--schema']).answer() as Record<string, { type: string }>;
      expect([input!.type, output!.type]).toEqual(['object', 'object']);
    }
  });

  it.each([
    [
      'an unknown key',
      ['extract'],
      { doseG: 18, yieldG: 36, tdsPct: 9, cup: 1 },
      /Unknown key "cup"/,
    ],
    [
      'a nested unknown key',
      ['next'],
      { ...question, basket: { ratedG: 18, colour: 1 } },
      /basket\.colour/,
    ],
    [
      'an absurd dose',
      ['extract'],
      { doseG: 300, yieldG: 36, tdsPct: 9 },
      /Dose 300 g is outside 3-40 g/,
    ],
    ['TDS over 30', ['extract'], { doseG: 18, yieldG: 36, tdsPct: 31 }, /outside 0-30 %/],
    [
      'shares that are not whole',
      ['ease'],
      { release: { components: [{ sharePct: 60 }, { sharePct: 30 }] } },
      /90 %.*make 100 %/,
    ],
    [
      'a roast in the future',
      ['rest'],
      { roastDate: '2027-01-01', roastLevel: 0, on: '2026-01-01' },
      /in the future/,
    ],
    [
      'a programme that ends with a pause',
      ['simulate'],
      {
        coffee: {},
        setup: { basket: { diameterMm: 58, ratedG: 18 } },
        shot: {
          doseG: 18,
          yieldG: 36,
          programme: [{ drive: 'flow', level: 0, seconds: 4, ramp: false }],
        },
      },
      /ends? with pressure or flow|End with pressure or flow/,
    ],
    ['no JSON', ['rest'], 'tomorrow', /not JSON/],
    ['an unknown command', ['brew'], {}, /Unknown command brew/],
  ])('refuses %s with exit 2 and one line', (_name, args, input, words) => {
    const { status, stdout, stderr } = kb(args, input);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(words);
    expect(stderr.trim().split('\n')).toHaveLength(1);
  });

  it('is reached by npm with clean JSON on its output', () => {
    const { stdout } = spawnSync('npm', ['run', 'kb', '--', 'extract'], {
      input: '{"doseG":18,"yieldG":36,"tdsPct":9.6}',
      encoding: 'utf8',
    });
    expect(JSON.parse(stdout)).toMatchObject({ ratio: 2 });
  });

  it('fit', () => {
    const recipe = {
      doseG: 18,
      yieldG: 36,
      ratio: 2,
      temperatureC: 93,
      timeS: [26, 30],
      clock: 'pump',
      programme: '9 bar, flat',
      restDays: [8, 21],
    };
    const at = (to: object) => kb(['fit'], { recipe, to }).answer();
    expect(at({ basket: { diameterMm: 54, ratedG: 18 } })).toMatchObject({
      recipe: { doseG: 18, yieldG: 36, timeS: [23, 35] },
      notes: [{ code: 'basket' }, { code: 'coarser' }],
    });
    expect(at({ basket: { ratedG: 16, pressurised: true } })).toMatchObject({ recipe: null });
    const tried = { recipe, to: { basket: { diameterMm: 54, ratedG: 18 } }, timeShare: 0.25 };
    expect(kb(['fit'], tried).answer().centreS).toBeCloseTo(28 * 1.3308 ** 0.25, 1);
    const refused = kb(['fit'], { recipe: { ...recipe, ratio: 3 }, to: {} });
    expect(refused.status).toBe(2);
    expect(refused.stderr).toMatch(/^recipe\.ratio: /);
  });

  it('rest, with spans of a release, checks off closed days and phases', () => {
    const asked = { roastDate: '2026-05-01', roastLevel: 0, on: '2026-05-15' };
    const answer = kb(['rest'], {
      ...asked,
      closed: { weekdays: [6, 7] },
      agePerDay: { mean: -0.008, sd: 0.002 },
      cardDay: 14,
    }).answer();
    expect(answer).toMatchObject({ restDays: 14, openOn: '2026-05-07', state: 'best' });
    expect(answer.phases).toMatchObject([
      { from: 8, to: 13.622, steps: -0.291414 },
      { from: 13.622, to: 21, steps: 0.230457 },
    ]);
    const own = { opens: 9, bestFrom: 12, bestTo: 30, fades: 40 };
    expect(kb(['rest'], { ...asked, span: own }).answer()).toMatchObject({
      bestFrom: '2026-05-13',
      fadesOn: '2026-06-10',
    });
    const refused = kb(['rest'], { ...asked, span: { ...own, bestTo: 12 } });
    expect([refused.status, refused.stderr]).toEqual([
      2,
      expect.stringMatching(/^span: .*in order/),
    ]);
  });
});
