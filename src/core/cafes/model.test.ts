import { CafesModel } from './model';
import { nextAtCafe } from './nextAtCafe';
import { readChecks } from './readChecks';
import { cafeSignals } from './signals';
import { contributionsOf } from './contributions';
import { batchPoints, type BatchPoint } from './batchPoints';
import { weatherDays } from './weatherDays';
import { batchContrast } from './acrossCafes';
import {
  CAFES,
  checks,
  COFFEE_FACTS,
  COFFEES,
  factsOf,
  TARGET,
} from '../../../tests/support/plantedField';

describe('the field model', () => {
  it('says nothing of cafés that only scatter', () => {
    const all = checks(30);
    const { model, told } = readChecks(CAFES, all);
    expect(told).toEqual([]);
    expect(cafeSignals(model, factsOf(all, 29.7), COFFEE_FACTS)).toEqual([]);
  });

  it('finds a café that moved, from when and how far, and keeps it after five days', () => {
    const all = checks(30, { cafe: 1, fromDay: 20, ln: -0.12 });
    const { model, told } = readChecks(CAFES, all);
    const [opened, ...later] = told;
    expect(opened).toMatchObject({ cafe: '1', alarm: { coffee: null, state: 'open' } });
    expect(opened!.alarm.openedDay - 20).toBeLessThan(3);
    expect(later).toMatchObject([{ cafe: '1', alarm: { state: 'kept' } }]);
    const [alarm] = model.alarms('1');
    expect(Math.abs(alarm!.fromDay - 20)).toBeLessThan(1);
    expect(alarm!.size).toBeCloseTo(-0.12, 1);
    const [signal] = cafeSignals(model, factsOf(all, 29.7), COFFEE_FACTS);
    expect(signal).toMatchObject({ kind: 'step', cafe: '1', coffee: null, state: 'kept' });
    const café = contributionsOf(model, '1', 'blend').find(({ cause }) => cause === 'cafe')!;
    expect(café.size).toBeLessThan(-0.06);
  });

  it('blames a bad batch and none of the cafés', () => {
    const all = checks(30, { badBatchFromDay: 26 });
    const { model, told } = readChecks(CAFES, all);
    expect(told).toEqual([]);
    const contrast = batchContrast(model, 'blend', 'second', 'first')!;
    expect(contrast.size).toBeCloseTo(-0.1, 1);
    const [signal] = cafeSignals(model, factsOf(all, 29.7), COFFEE_FACTS);
    expect(signal).toMatchObject({
      kind: 'batch',
      coffee: 'blend',
      batch: 'second',
      cafes: ['0', '1', '2'],
    });
    expect(batchContrast(model, 'blend', 'third', 'second')).toBeNull();
  });

  it('draws the checks of a batch apart from the café, the dial and the day they were made on', () => {
    const all = checks(30, { badBatchFromDay: 26, cafe: 1, fromDay: 12, ln: -0.12 });
    const { model } = readChecks(CAFES, all);
    const points = batchPoints(model, ['0', '1', '2'], 'blend');
    const within = [...all.values()].flat().filter(({ atDay }) => atDay >= points[0]!.atDay);
    expect(points).toHaveLength(within.filter(({ coffee }) => coffee === 'blend').length);
    const meanOf = (batch: string, of: (point: BatchPoint) => number) => {
      const own = points.filter((point) => point.batch === batch);
      return own.reduce((sum, point) => sum + of(point), 0) / own.length;
    };
    const drawn = meanOf('second', (p) => p.offLn) - meanOf('first', (p) => p.offLn);
    expect(Math.abs(drawn + 0.1)).toBeLessThan(0.02);
    const fit = meanOf('second', (p) => p.fitLn) - meanOf('first', (p) => p.fitLn);
    expect(fit).toBeCloseTo(batchContrast(model, 'blend', 'second', 'first')!.size, 10);
    // A café that moved is no part of it: its own step is taken out.
    expect(Math.max(...points.map(({ offLn }) => Math.abs(offLn)))).toBeLessThan(0.35);
    expect(points.map(({ atDay }) => atDay)).toEqual(
      points.map(({ atDay }) => atDay).sort((a, b) => a - b),
    );
    expect(batchPoints(model, ['0'], 'another')).toEqual([]);
  });

  it('shows a damp day as weather and as nobody’s fault, day by day', () => {
    const all = checks(30, { dampDay: 29 });
    const { model, told } = readChecks(CAFES, all);
    expect(told).toEqual([]);
    const days = weatherDays(model, ['0', '1', '2']);
    expect(days.map(({ day }) => day)).toEqual(Array.from({ length: 28 }, (_, i) => i + 2));
    const damp = days.at(-1)!;
    expect(damp.checks).toBe(18);
    expect(damp.fitLn).toBeLessThan(-0.03);
    expect(Math.abs(damp.offLn + 0.08)).toBeLessThan(0.03);
    for (const { fitLn, offLn } of days.slice(0, -2)) {
      expect(Math.abs(fitLn)).toBeLessThan(0.03);
      expect(Math.abs(offLn)).toBeLessThan(0.05);
    }
    expect(weatherDays(model, [])).toEqual([]);
  });

  it('gives the same whether it is kept from check to check or made anew', () => {
    const all = checks(24, { cafe: 2, fromDay: 15, ln: 0.1 });
    const { model } = readChecks(CAFES, all);
    const anew = new CafesModel();
    for (const cafe of CAFES)
      anew.addCafe(cafe, {
        alarms: model.alarms(cafe.id),
        taught: model.taught(cafe.id)!,
      });
    for (const { id } of CAFES) anew.remember(id, all.get(id)!);
    // Weights settle over a few passes; what was kept has had many.
    for (let i = 0; i < 5; i++) anew.refit(23.6);
    for (let i = 0; i < 5; i++) model.refit(23.6);
    for (const { id } of CAFES)
      for (const coffee of COFFEES) {
        const [kept, made] = [model, anew].map((one) =>
          nextAtCafe(one, id, coffee, [-0.07, 0.07])!,
        );
        expect(made!.offLn).toBeCloseTo(kept!.offLn, 4);
        expect(made!.sd).toBeCloseTo(kept!.sd, 4);
      }
  });

  it('takes a revised recipe for no step of the café', () => {
    const all = checks(30);
    for (const own of all.values())
      own.forEach((check, i) => {
        // The same shots, judged by a card that asks for 31 s from the twentieth day on.
        if (check.atDay >= 20) own[i] = { ...check, target: { ...TARGET, timeS: 31 } };
      });
    const { model, told } = readChecks(CAFES, all);
    expect(told).toEqual([]);
    expect(nextAtCafe(model, '0', 'blend', [-0.07, 0.07])!.offLn).toBeCloseTo(Math.log(28 / 31), 1);
  });

  it('calls a café silent by its own habit, and has nothing to say of one that never sent', () => {
    const all = checks(30);
    all.set(
      '2',
      all.get('2')!.filter(({ atDay }) => atDay < 26),
    );
    const { model } = readChecks(CAFES, all);
    const signals = cafeSignals(model, factsOf(all, 29.8), COFFEE_FACTS);
    expect(signals).toMatchObject([{ kind: 'silence', cafe: '2', missed: 12 }]);
    const empty = new CafesModel();
    empty.addCafe(CAFES[0]!);
    empty.refit(10);
    expect(empty.fitted('0')).toBeNull();
    expect(nextAtCafe(empty, '0', 'blend', [-0.07, 0.07])).toBeNull();
    expect(contributionsOf(empty, '0', 'blend')).toEqual([]);
    expect(() => empty.alarms('9')).toThrow('No café 9');
  });

  it('takes a choked or slipped figure in its stride', () => {
    const all = checks(20);
    const own = all.get('0')!;
    own[50] = { ...own[50]!, timeS: 120, yieldG: 1 };
    own[70] = { ...own[70]!, timeS: 2 };
    const { model } = readChecks(CAFES, all);
    expect(Math.abs(nextAtCafe(model, '0', 'blend', [-0.07, 0.07])!.offLn)).toBeLessThan(0.06);
  });
});
