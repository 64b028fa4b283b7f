import type { Contribution } from '@/core/cafes/contributions';
import type { CafeSignal } from '@/core/cafes/signals';
import { signalKey } from '@/core/cafes/signalKey';
import { dayOf, signalReason, signalTitle, type SignalNames } from './signalWords';

const NAMES: SignalNames = {
  cafe: (id) => ({ a: 'Quay Nine', b: 'Third Lantern' })[id] ?? id,
  coffee: () => 'Harbour Lamp',
  coffeesAt: (id) => (id === 'c' ? 1 : 2),
  // Third Lantern pulls on a lever.
  timeS: (_coffee, cafe) => (cafe === 'b' ? 42 : 28),
};

/** 24 Nov 2026, in the morning. */
const DAY = Date.UTC(2026, 10, 24) / 86_400_000 + 0.3;

const STEP: CafeSignal = {
  kind: 'step',
  cafe: 'a',
  coffee: null,
  fromDay: DAY,
  openedDay: DAY + 0.6,
  state: 'open',
  size: -0.1,
  sd: 0.03,
  probability: 0.94,
};

describe('a signal in words', () => {
  it('of a café says what, how far and since when, and never which machine', () => {
    expect(dayOf(DAY)).toBe('24 Nov');
    expect(signalTitle(STEP, NAMES)).toBe('Quay Nine: all coffees 2.7 s fast since 24 Nov');
    const parts: Contribution[] = [
      { cause: 'age', size: -0.02, sd: 0.005 },
      { cause: 'cafe', size: -0.1, sd: 0.03 },
      { cause: 'weather', size: 0.001, sd: 0.01 },
    ];
    const reason = signalReason(STEP, NAMES, { cafe: 'a', coffee: 'x', parts });
    expect(reason).toMatch(
      /^9 in 10 that it is so, by 2\.7 ± 1\.2 s\. Every coffee there moved: the café\./,
    );
    expect(reason).toMatch(
      /Harbour Lamp against the days before: the café 2\.7 s fast \(± 1\.2\), age 0\.6 s fast \(± 0\.2\)\./,
    );
    expect(reason).not.toMatch(/weather/);
    expect(reason).toMatch(/Still unsure/);
    expect(reason).toMatch(
      /ask for a known weight on the scale, then the machine, then the grinder/,
    );
    // With one coffee there is no other to go by.
    const only = { ...STEP, cafe: 'c' };
    expect(signalTitle(only, NAMES)).toBe('c: 2.7 s fast since 24 Nov');
    expect(signalReason(only, NAMES)).not.toMatch(/Every coffee|other coffees/);
    const onLever = { ...STEP, cafe: 'b' };
    expect(signalTitle(onLever, NAMES)).toMatch(/^Third Lantern: all coffees 4\.0 s fast/);
    expect(signalReason(onLever, NAMES)).toMatch(/, by 4\.0 ± 1\.8 s\./);
    const kept = signalReason({ ...STEP, state: 'kept', coffee: 'x' }, NAMES);
    expect(kept).toMatch(/Its other coffees did not move.*Open for five days/);
  });

  it('of a batch names it, how many see it and what was taken out', () => {
    const batch: CafeSignal = {
      kind: 'batch',
      coffee: 'x',
      batch: '2026-11-15',
      before: '2026-11-01',
      size: -0.08,
      sd: 0.01,
      probability: 0.999,
      cafes: ['a', 'b'],
      fromDay: DAY,
    };
    expect(signalTitle(batch, NAMES)).toBe(
      '2 cafés on the batch of 15 Nov of Harbour Lamp run 2.2 s fast since 24 Nov',
    );
    expect(signalTitle({ ...batch, cafes: ['a'] }, NAMES)).toMatch(/^One café .* runs 2\.2 s fast/);
    // Nothing is certain.
    expect(signalReason(batch, NAMES)).toMatch(
      /^Almost certain that it is so, by 2\.2 ± 0\.4 s\. Against the batch of 1 Nov/,
    );
    const parts: Contribution[] = [
      { cause: 'dial', size: 0.08, sd: 0.01 },
      { cause: 'age', size: -0.02, sd: 0.005 },
    ];
    expect(signalReason(batch, NAMES, { cafe: 'a', coffee: 'x', parts })).toMatch(
      /not the cafés\. Age alone would make it 0\.6 s fast\.$/,
    );
    // What rounds to nothing is still not nothing.
    expect(signalReason({ ...batch, sd: 0.001 }, NAMES)).toMatch(/by 2\.2 ± under 0\.1 s/);
  });

  it('of weights, silence and weather asks for what each asks for', () => {
    const weighed = { cafe: 'b', sizeG: 0.62, sdG: 0.1, fromDay: DAY, probability: 0.9 };
    const dose: CafeSignal = { kind: 'dose', ...weighed };
    expect(signalTitle(dose, NAMES)).toBe(
      'Third Lantern doses 0.6 g more than it did since 24 Nov',
    );
    expect(signalReason(dose, NAMES)).toMatch(/^9 in 10 that it is so, by 0\.6 ± 0\.1 g\./);
    const former: CafeSignal = {
      kind: 'yield',
      coffee: 'x',
      isFormer: true,
      ...weighed,
      sizeG: -4,
    };
    expect(signalTitle(former, NAMES)).toMatch(/Harbour Lamp 4\.0 g less in the cup/);
    expect(signalReason(former, NAMES)).toMatch(/the old card is still in use there/);
    expect(signalReason({ ...former, isFormer: false }, NAMES)).toMatch(/A button or a habit/i);
    const silence: CafeSignal = {
      kind: 'silence',
      cafe: 'a',
      missed: 7,
      fromDay: DAY,
      probability: 0.97,
    };
    expect(signalTitle(silence, NAMES)).toBe('Quay Nine has missed 7 checks in a row since 24 Nov');
    expect(signalReason(silence, NAMES)).toMatch(/^By its own habit/);
    const weather: CafeSignal = {
      kind: 'weather',
      region: 'Ostrel',
      size: 0.04,
      sd: 0.01,
      probability: 0.9,
    };
    expect(signalTitle(weather, NAMES)).toBe('Ostrel: all cafés 1.1 s slow today: the weather');
    expect(signalReason(weather, NAMES)).toMatch(/nothing needs to be answered/);
    expect(new Set([STEP, dose, former, silence, weather].map(signalKey)).size).toBe(5);
  });

  it('keeps its name while its figures move', () => {
    expect(signalKey({ ...STEP, size: -0.2, probability: 0.99, state: 'kept' })).toBe(
      signalKey(STEP),
    );
  });
});
