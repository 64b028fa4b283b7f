/** The simulated machine and scale as Pull uses them: in time, stopped early, one shot after the other. */
import { STYLE_STEPS } from '@/core/programme/styles';
import { drawStation } from '@/core/simulator/drawStation';
import { pullAt } from '@/core/simulator/station';
import type { PullDone, PullJob } from '@/workers/protocol';
import type { Weight } from '../instruments';
import { simulatedColourMeter } from './colourMeter';
import { SimulatedBench } from './simulatedBench';

const GRINDER = {
  stepSize: 1,
  finerIs: 'lower',
  min: 0,
  max: 60,
  retentionG: 2.5,
  umPerStep: 17,
} as const;

const draw = (seed: number) =>
  drawStation({
    coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
    basket: { diameterMm: 58, ratedG: 18 },
    grinder: GRINDER,
    recipe: {
      doseG: 18,
      yieldG: 36,
      temperatureC: 93,
      programme: STYLE_STEPS.classic,
      centreS: 28,
    },
    startDial: 27,
    startSd: 0.2,
    seed,
  });

const jobs: PullJob[] = [];
async function pullShot(job: PullJob): Promise<PullDone> {
  jobs.push(job);
  return pullAt(job.station, job.chamberDial, job.pull, job.seed);
}

const inBasket = (dial: number) => ({ dial, doseG: 18, purgeG: 0, temperatureC: 93 });

beforeEach(() => {
  jobs.length = 0;
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

/** Runs the clock of the test and of the bench together. */
async function open() {
  const { station, idealDial } = draw(5);
  const bench = new SimulatedBench({ station, pullShot, seed: 9, now: () => jest.now() });
  const weights: Weight[] = [];
  bench.onWeight((weight) => weights.push(weight));
  const run = (seconds: number) => jest.advanceTimersByTimeAsync(1000 * seconds);
  return { bench, weights, run, dial: Math.round(idealDial) };
}

it('sends ten readings a second and stops where it is told, with what the spout still gives', async () => {
  const { bench, weights, run, dial } = await open();
  bench.load(inBasket(dial));
  bench.start(STYLE_STEPS.classic);
  let stoppedAt: Weight | null = null;
  bench.onWeight((weight) => {
    if (stoppedAt || weight.weightG < 34.5) return;
    stoppedAt = weight;
    bench.stop();
  });
  await run(60);
  expect(stoppedAt).not.toBeNull();
  const { timeS, weightG } = stoppedAt!;
  expect(weights.filter((weight) => weight.timeS <= timeS).length).toBeGreaterThan(9.5 * timeS);
  const end = weights.at(-1)!;
  expect(end.weightG - weightG).toBeGreaterThan(0.6);
  expect(end.weightG - weightG).toBeLessThan(3);
  expect(weights.every(({ timeS: at }, i) => i === 0 || at >= weights[i - 1]!.timeS)).toBe(true);
  expect((await bench.read()).tdsPct).toBeGreaterThan(5);
});

it('runs as fast as asked and is not later for it', async () => {
  const { bench, weights, run, dial } = await open();
  bench.speed = 10;
  bench.load(inBasket(dial));
  bench.start(STYLE_STEPS.classic);
  await run(2);
  expect(weights.at(-1)!.timeS).toBeGreaterThan(18);
  bench.stop();
  const stoppedS = weights.at(-1)!.timeS;
  await run(2);
  expect(jobs.at(-1)!.pull.mostS).toBeCloseTo(stoppedS, 5);
});

it('remembers the grounds of the shot before, and measures no cup that was not pulled', async () => {
  const { bench, run, dial } = await open();
  await expect(bench.read()).rejects.toThrow(/Pull a shot first/);
  for (const at of [dial, dial - 3]) {
    bench.load(inBasket(at));
    bench.start(STYLE_STEPS.classic);
    await run(20);
    bench.stop();
    await run(10);
  }
  const second = jobs.find(({ pull }) => pull.dial === dial - 3)!;
  expect(second.chamberDial).toBeCloseTo(dial, 5);
  bench.close();
});

it('reads a darker roast as a lower colour', async () => {
  const at = async (roastLevel: number) =>
    (await simulatedColourMeter(roastLevel, 3).read()).colourGround;
  expect(await at(1)).toBeLessThan(await at(0));
  expect(await at(0)).toBeLessThan(await at(-1));
});

it('draws a bench whose ideal dial gives the middle of the window', () => {
  for (const seed of [1, 2, 3]) {
    const { station, idealDial } = draw(seed);
    const { result } = pullAt(
      station,
      null,
      {
        dial: idealDial,
        doseG: 18,
        purgeG: 0,
        yieldG: 36,
        temperatureC: 93,
        programme: STYLE_STEPS.classic,
      },
      4,
    );
    // One shot with its noise, 4 % sd.
    expect(Math.abs(Math.log(result.timeS / 28))).toBeLessThan(0.15);
  }
});
