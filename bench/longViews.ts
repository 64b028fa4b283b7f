/**
 * `views --years N`: the same house after three months and after N years, side by side in one run: server
 * time and HTML of each view, statements behind it, exports by the second, and one dial-in of 5,000 shots.
 */
import { setImmediate as nextTurn } from 'node:timers/promises';
import Database from 'better-sqlite3';
import { findBenchDraft } from '@/data/dialIns';
import { openDatabase, type Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { findLead } from '@/data/people';
import { listRecentReleases } from '@/data/releases';
import { insertShot } from '@/data/shots';
import { today } from '@/data/today';
import { exportSheet } from '@/features/import/exports';
import { SHEET_NAMES } from '@/features/import/sheetNames';
import { csvChunks } from '@/formats/sheets/csv';
import { readFind } from '@/views/find';
import { prepareModel } from '@/views/houseModel';
import { MOST_POINTS, readPatterns } from '@/views/patterns';
import { readPull } from '@/views/pull';
import { prepareRecords } from '@/views/records';
import { readRelease } from '@/views/release';
import { readStart } from '@/views/start';
import { prepareToday, readToday } from '@/views/today';
import { startServer, type RunningServer } from '../tests/support/server';
import { cookieOf } from '../tests/support/signIn';
import { growHouse, growthOf } from './growHouse';
import { median, type Measure } from './measure';

const ROUNDS = 30;
const WARM_UP = 4;
const THREE_MONTHS = 91;
const STAGES = ['read', 'start', 'pull', 'taste', 'rest', 'publish', 'field'];

export async function benchLongViews(years: number): Promise<Measure[]> {
  const short = await startServer({
    demo: true,
    prepare: (file) => growHouse(file, growthOf(THREE_MONTHS)),
  });
  const long = await startServer({
    demo: true,
    prepare: (file) => growHouse(file, growthOf(Math.round(365 * years))),
  });
  try {
    return [
      ...(await sideBySide(short, long, `${years} years`)),
      ...(await statements(long.databaseFile)),
      ...(await exportsOf(long.databaseFile)),
      ...(await crowded(long)),
    ];
  } finally {
    await short.close();
    await long.close();
  }
}

const measure = (name: string, metric: string, value: number, unit: string): Measure => ({
  part: 'views',
  case: name,
  metric,
  value,
  unit,
});

interface Asked {
  readonly server: RunningServer;
  readonly cookie: string;
  readonly paths: Readonly<Record<string, string>>;
}

/** The views of a house, the release pages of the one that was worked on last. */
async function askedOf(server: RunningServer): Promise<Asked> {
  const db = openDatabase(server.databaseFile);
  const id = listRecentReleases(db, 50).find(({ name }) => name.startsWith('Lot'))!.id;
  db.close();
  return {
    server,
    cookie: await cookieOf(server.url),
    paths: {
      'bare page': '/status',
      today: '/',
      ...Object.fromEntries(STAGES.map((stage) => [stage, `/releases/${id}/${stage}`])),
      patterns: '/patterns',
      find: '/find?q=plum',
      equipment: '/equipment',
      house: '/house',
    },
  };
}

const fetchOf = ({ server, cookie, paths }: Asked, view: string) =>
  fetch(server.url + paths[view]!, { headers: { cookie } }).then((response) => response.text());

async function sideBySide(
  short: RunningServer,
  long: RunningServer,
  name: string,
): Promise<Measure[]> {
  const houses = [await askedOf(short), await askedOf(long)] as const;
  const measures: Measure[] = [];
  for (const view of Object.keys(houses[0].paths)) {
    const times: [number[], number[]] = [[], []];
    const bytes: [number, number] = [0, 0];
    for (let round = 0; round < ROUNDS + WARM_UP; round++)
      for (const [i, house] of houses.entries()) {
        const start = performance.now();
        bytes[i as 0 | 1] = Buffer.byteLength(await fetchOf(house, view));
        if (round >= WARM_UP) times[i as 0 | 1].push(performance.now() - start);
      }
    const [shortMs, longMs] = times.map(median) as [number, number];
    measures.push(
      measure(view, `server time, ${name}`, longMs, 'ms'),
      measure(view, 'against three months', longMs / shortMs, 'x'),
      measure(view, `HTML, ${name}`, bytes[1] / 1000, 'kB'),
    );
  }
  return measures;
}

/** Statements each view runs, the first time and once what it keeps is kept. */
async function statements(file: string): Promise<Measure[]> {
  let count = 0;
  const db: Db = new Database(file, { verbose: () => count++ });
  const house = findHouse(db)!;
  const day = today();
  const { id } = listRecentReleases(db, 50).find(({ name }) => name.startsWith('Lot'))!;
  const release = () => readRelease(db, house, id, { today: day })!;
  // As the pages read them: what takes long is prepared in steps first.
  const views: Readonly<Record<string, () => unknown>> = {
    today: async () => {
      await prepareToday(db, house, {}, day);
      return readToday(db, house, { today: day });
    },
    'a release': release,
    start: async () => {
      await prepareModel(db, house);
      return readStart(db, house, release(), {}, { today: day });
    },
    pull: async () => {
      const view = release();
      await prepareRecords(db, house);
      return readPull(db, house, view, view.bench!);
    },
    patterns: async () => {
      await prepareModel(db, house);
      await prepareRecords(db, house);
      return readPatterns(db, house, {}, MOST_POINTS);
    },
    find: () => readFind(db, house, { q: 'plum' }),
  };
  const measures: Measure[] = [];
  for (const [name, read] of Object.entries(views))
    for (const when of ['the first time', 'kept'] as const) {
      count = 0;
      const { wholeMs, longestMs } = await stopsOf(read);
      measures.push(
        measure(name, `statements, ${when}`, count, ''),
        measure(name, `in all, ${when}`, wholeMs, 'ms'),
        measure(name, `longest stop of the main thread, ${when}`, longestMs, 'ms'),
      );
    }
  db.close();
  return measures;
}

/** How long work takes, and for how long at a time it lets nothing else run. */
async function stopsOf(work: () => unknown): Promise<{ wholeMs: number; longestMs: number }> {
  const start = performance.now();
  let [last, longestMs, isRunning] = [start, 0, true];
  const turn = () => {
    const now = performance.now();
    longestMs = Math.max(longestMs, now - last);
    last = now;
    if (isRunning) setImmediate(turn);
  };
  setImmediate(turn);
  await work();
  const wholeMs = performance.now() - start;
  isRunning = false;
  await new Promise((resolve) => setImmediate(resolve));
  turn();
  return { wholeMs, longestMs };
}

const EXPORTS = 7;

/** Rows of each sheet by the second, as CSV text: the median of several times over. */
async function exportsOf(file: string): Promise<Measure[]> {
  const db = openDatabase(file);
  const measures: Measure[] = [];
  for (const sheet of SHEET_NAMES) {
    const rates: number[] = [];
    let rows = 0;
    for (let round = 0; round < EXPORTS; round++) {
      rows = 0;
      const counted = function* () {
        for (const row of exportSheet(db, sheet)) {
          rows++;
          yield row;
        }
      };
      const start = performance.now();
      for (const _chunk of csvChunks(counted()));
      rates.push((1000 * rows) / (performance.now() - start));
      // Connections the server closed meanwhile are noticed.
      await nextTurn();
    }
    measures.push(measure(`export of ${sheet}`, `${rows} rows`, median(rates), 'rows/s'));
  }
  db.close();
  return measures;
}

const MANY = 5000;

/** One dial-in of 5,000 shots: nobody should make one, and nothing may stand still because of it. */
async function crowded(server: RunningServer): Promise<Measure[]> {
  const db = openDatabase(server.databaseFile);
  const { id } = listRecentReleases(db, 50).find(({ name }) => name.startsWith('Lot'))!;
  const draft = findBenchDraft(db, id)!;
  const lead = findLead(db)!;
  db.transaction(() => {
    for (let n = 0; n < MANY; n++) {
      const pulledAt = new Date(Date.now() - (MANY - n) * 60_000).toISOString();
      const timeS = 26 + (n % 7);
      insertShot(
        db,
        `many${n}`,
        {
          draftId: draft.id,
          pulledAt,
          dial: 11,
          doseG: 18,
          yieldG: draft.recipe.yieldG,
          timeS,
          clock: 'pump',
          temperatureC: draft.recipe.temperatureC,
        },
        lead.id,
      );
    }
    db.exec(`UPDATE epoch SET n = n + 1`);
  })();
  db.close();
  const asked = await askedOf(server);
  const measures: Measure[] = [];
  for (const view of ['pull', 'taste', 'rest', 'publish', 'today', 'patterns']) {
    const path = view in asked.paths ? view : 'pull';
    const start = performance.now();
    const html = await fetchOf(
      { ...asked, paths: { ...asked.paths, [path]: pathOf(asked, path, id) } },
      path,
    );
    measures.push(
      measure(`${view}, 5,000 shots`, 'the first time', performance.now() - start, 'ms'),
      measure(`${view}, 5,000 shots`, 'HTML', Buffer.byteLength(html) / 1000, 'kB'),
    );
  }
  return measures;
}

const pathOf = ({ paths }: Asked, view: string, id: string) =>
  STAGES.includes(view) ? `/releases/${id}/${view}` : paths[view]!;
