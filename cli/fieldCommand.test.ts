/** `kb field` as an outsider calls it: cafés and checks in, signals and verdicts out. */
import { chanceFrom } from '@/core/random';
import { compute } from './compute';

const kb = (input: unknown) => compute('field', [], () => JSON.stringify(input));

const target = { doseG: 18, yieldG: 36, timeS: [26, 30] };

/** Two cafés over 24 days; the second runs 3 s fast from the eighteenth. */
function checks() {
  const chance = chanceFrom(5);
  return ['north', 'south'].flatMap((partner) =>
    Array.from({ length: 24 * 3 }, (_, i) => {
      const atDay = Math.floor(i / 3);
      const at = new Date(Date.UTC(2026, 4, 1 + atDay, 7 + 3 * (i % 3))).toISOString();
      const off = partner === 'south' && atDay >= 18 ? -0.12 : 0;
      return ['blend', 'single'].map((coffee) => ({
        ...{ partner, at, coffee, target },
        doseG: 18,
        yieldG: 36,
        timeS: Number((28 * Math.exp(off + 0.04 * chance.normal())).toFixed(1)),
        dial: 11,
      }));
    }).flat(),
  );
}

const partners = [
  { id: 'north', name: 'North café', checkTimes: '7:00, 10:00, 13:00' },
  { id: 'south', checkTimes: '7:00, 10:00, 13:00' },
];

interface Answer {
  readonly signals: { kind: string; title: string; reason: string; probability: number }[];
  readonly verdicts: { partner: string; coffee: string; offS: number; move: { steps: number } }[];
}

describe('kb field', () => {
  it('names the café that moved, the order to ask in, and its next move', () => {
    const { status, stdout } = kb({ partners, checks: checks() });
    expect(status).toBe(0);
    const { signals, verdicts } = JSON.parse(stdout) as Answer;
    expect(signals).toHaveLength(1);
    expect(signals[0]).toMatchObject({ kind: 'step', cafe: 'south', coffee: null });
    expect(signals[0]!.title).toMatch(/^south: all coffees \d\.\d s fast since (18|19|20) May$/);
    expect(signals[0]!.reason).toMatch(/known weight on the scale, then the machine, then the/);
    expect(verdicts).toHaveLength(4);
    for (const { partner, offS, move } of verdicts) {
      expect(Math.abs(offS)).toBeLessThan(partner === 'south' ? 5 : 1.2);
      expect(move.steps).toBe(partner === 'south' ? -1 : 0);
    }
  });

  it('says that a café fell silent', () => {
    const until = '2026-05-20T00:00:00Z';
    const kept = checks().filter(({ partner, at }) => partner === 'north' || at < until);
    const { signals } = JSON.parse(kb({ partners, checks: kept }).stdout) as Answer;
    expect(signals.map(({ kind }) => kind)).toContain('silence');
  });

  it.each([
    [{ partners: [], checks: [] }, /^partners: /],
    [
      { partners, checks: [{ ...checks()[0], partner: 'nowhere' }] },
      /^checks\.0\.partner: There is/,
    ],
    [{ partners, checks: [{ ...checks()[0], timeS: 'fast' }] }, /^checks\.0\.timeS: /],
    [{ partners: [{ id: 'a', checkTimes: 'noon' }], checks: [] }, /^partners\.0\.checkTimes: /],
    [{ partners, checks: [], colour: 1 }, /colour/],
  ])('refuses what it cannot read, by its key', (input, words) => {
    const { status, stderr } = kb(input);
    expect(status).toBe(2);
    expect(stderr).toMatch(words);
  });
});
