/** The simulated network does what it says, and the model finds in it what was planted: small and seeded. */
import { Network, type NetworkPlan } from './network';
import { ewma, threeSigma } from './rivals';
import { fieldWatcher, follow } from './watch';

const PLAN: NetworkPlan = {
  seed: 12,
  cafes: 3,
  days: 75,
  checksADay: 2,
  dialMissing: 0.1,
  noiseSd: 0.06,
  daysBetweenFaults: 25,
};

describe('a simulated network', () => {
  it('is the same for the same seed, whoever watches', () => {
    const times = () =>
      [...new Network(PLAN).visits()].flatMap(
        ({ checks }) => checks?.map(({ timeS }) => timeS) ?? [],
      );
    const first = times();
    expect(first.length).toBeGreaterThan(1000);
    expect(times()).toEqual(first);
  });

  it('leaves some dials unwritten and some visits unmade', () => {
    const visits = [...new Network(PLAN).visits()];
    const checks = visits.flatMap((visit) => visit.checks ?? []);
    const missing = checks.filter(({ dial }) => dial === null).length / checks.length;
    expect(missing).toBeGreaterThan(0.06);
    expect(missing).toBeLessThan(0.14);
    expect(visits.some((visit) => visit.checks === null)).toBe(true);
  });

  it('pulls a faulty café away from its recipe, until it is mended', () => {
    const network = new Network({ ...PLAN, cafes: 12, noiseSd: 0.001 });
    const fault = network.faults.find(({ kind }) => kind === 'grinder' || kind === 'machine')!;
    const size = fault.kind === 'grinder' ? 0.1 : 0.07;
    const before = network.offLn(fault.cafe, 0, fault.fromDay - 0.001);
    const during = network.offLn(fault.cafe, 0, fault.fromDay + 0.001);
    expect(Math.abs(during - before)).toBeCloseTo(size, 1);
  });
});

describe('ways of watching it', () => {
  it('the model finds more than half of what was planted, and advises better than the last shot', () => {
    const network = new Network(PLAN);
    const outcome = follow(network, fieldWatcher(network));
    const found = outcome.found.filter(({ checks }) => checks !== null).length;
    expect(outcome.found.length).toBeGreaterThan(3);
    expect(found / outcome.found.length).toBeGreaterThan(0.5);
    expect(outcome.broughtIn).toBeGreaterThan(outcome.broughtInByHand);
    expect(outcome.leftIn).toBeGreaterThan(0.9);
    expect(outcome.coverage).toBeGreaterThan(0.6);
  });

  it('charts say nothing of a café that is as it was, and something once it moved', () => {
    for (const watcher of [threeSigma(), ewma()]) {
      const visit = (i: number, ln: number) =>
        watcher.take({
          cafe: 0,
          atDay: i / 3,
          checks: [
            {
              ...{ id: String(i), visit: String(i), atDay: i / 3, coffee: 'coffee 0', batch: 'b' },
              ...{ doseG: 18, yieldG: 36, dial: 5, shots: 1, ageDays: 10 },
              timeS: 28 * Math.exp(ln + 0.02 * Math.sin(i)),
              target: { doseG: 18, yieldG: 36, timeS: 28 },
            },
          ],
        });
      const quiet = Array.from({ length: 60 }, (_, i) => visit(i, 0)).flat();
      const moved = Array.from({ length: 12 }, (_, i) => visit(60 + i, 0.12)).flat();
      expect(quiet).toEqual([]);
      expect(moved.length).toBeGreaterThan(0);
      expect(watcher.take({ cafe: 0, atDay: 99, checks: null })).toEqual([]);
    }
  });
});
