/**
 * Part `views`: server time of each main view against a bare page of the same server, taken in turn
 * in one run; the script each page makes a browser fetch by itself; and the core's
 * `propose` and `next` per call.
 */
import { nextMove } from '@/core/advice/next';
import { targetSchema } from '@/core/schema/target';
import { propose } from '@/core/start/propose';
import { startServer } from '../tests/support/server';
import { cookieOf } from '../tests/support/signIn';
import { median, type Measure } from './measure';
import { pageScripts } from './pageScripts';

const ROUNDS = 60;
const WARM_UP = 8;
const PART = 'views';

export async function benchViews(): Promise<Measure[]> {
  const server = await startServer({ demo: true });
  try {
    const cookie = await cookieOf(server.url);
    const ask: Ask = (path) => fetch(server.url + path, { headers: { cookie } });
    const views = await viewsOf(ask);
    return [
      ...(await serverTimes(ask, views)),
      ...(await scripts(server.url, cookie, views)),
      ...coreCalls(),
    ];
  } finally {
    await server.close();
  }
}

interface View {
  readonly name: string;
  readonly path: string;
}

/** Asks for a page as the lead of the demo house. */
type Ask = (path: string) => Promise<Response>;

async function viewsOf(ask: Ask): Promise<View[]> {
  const today = await (await ask('/')).text();
  const published = /href="(\/releases\/[0-9a-f]{32})"[^>]*>(?:(?!<\/a>).)*Las Veredas/s.exec(
    today,
  )?.[1];
  if (!published) throw new Error('The demo house has no published release.');
  const page = await (await ask(`${published}/publish`)).text();
  const card = /href="(\/p\/[\w-]{20,})"/.exec(page)![1]!;
  const stages = ['read', 'start', 'pull', 'taste', 'rest', 'publish', 'field'];
  return [
    { name: 'today', path: '/' },
    ...stages.map((stage) => ({ name: stage, path: `${published}/${stage}` })),
    { name: 'patterns', path: '/patterns' },
    { name: 'practice', path: '/practice' },
    { name: 'programmes', path: '/programmes' },
    { name: 'import', path: '/import' },
    ...['equipment', 'house', 'people', 'find', 'releases', 'releases/new'].map((name) => ({
      name,
      path: `/${name}`,
    })),
    { name: 'public card', path: card },
  ];
}

async function serverTimes(ask: Ask, views: readonly View[]): Promise<Measure[]> {
  const all = [{ name: 'bare page', path: '/status' }, ...views];
  const times = new Map(all.map(({ name }) => [name, [] as number[]]));
  for (let round = 0; round < ROUNDS + WARM_UP; round++) {
    for (const { name, path } of all) {
      const start = performance.now();
      await (await ask(path)).arrayBuffer();
      if (round >= WARM_UP) times.get(name)!.push(performance.now() - start);
    }
  }
  const bareMs = median(times.get('bare page')!);
  return all.flatMap(({ name }) => {
    const ms = median(times.get(name)!);
    return [
      { part: PART, case: name, metric: 'server time, median', value: ms, unit: 'ms' },
      { part: PART, case: name, metric: 'against the bare page', value: ms / bareMs, unit: 'x' },
    ];
  });
}

async function scripts(url: string, cookie: string, views: readonly View[]): Promise<Measure[]> {
  const found = await pageScripts(
    url,
    cookie,
    views.map(({ path }) => path),
  );
  return views.map(({ name, path }) => ({
    part: PART,
    case: name,
    metric: 'script in the first five seconds, gzip',
    value: found.get(path)!,
    unit: 'kB',
  }));
}

function coreCalls(): Measure[] {
  const release = {
    roastLevel: -1,
    process: 'natural',
    varietyClass: 'landrace',
    altitudeM: 2000,
    restDays: 12,
  } as const;
  const proposing = () =>
    propose({ release, style: 'soakFirst', temperatureSchool: 'both', history: [] });
  const shots = Array.from({ length: 10 }, (_, i) => ({
    dial: 14 - Math.min(3, i),
    doseG: 18,
    yieldG: 36,
    timeS: 22 + Math.min(5, 2 * i),
    clock: 'pump' as const,
    purged: true,
    seen: [],
  }));
  const question = {
    target: targetSchema.parse({ doseG: 18, yieldG: 36, timeS: [26, 30], clock: 'pump' }),
    grinder: { stepSize: 1, finerIs: 'lower' as const, min: 0, max: 40, retentionG: 2 },
    basket: { ratedG: 18 },
    shots,
  };
  const perCall = (name: string, call: () => unknown): Measure => ({
    part: PART,
    case: name,
    metric: 'per call, median',
    value: median(timesOf(call)),
    unit: 'ms',
  });
  return [perCall('propose', proposing), perCall('next, 10 shots', () => nextMove(question))];
}

function timesOf(call: () => unknown): number[] {
  for (let i = 0; i < 200; i++) call();
  return Array.from({ length: 300 }, () => {
    const start = performance.now();
    call();
    return performance.now() - start;
  });
}
