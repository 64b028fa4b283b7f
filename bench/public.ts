/**
 * `public`: how many requests a second the server answers for what anybody may read, beside static files
 * of the same server, and of the same behind nginx with its cache. Each case is asked in turn, several
 * rounds, so that all share the noise; Debian's wrk asks, so that the asking is not what is measured.
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { documentedProxy, servedFolder, startNginx } from '../tests/support/nginx';
import { startServer } from '../tests/support/server';
import { median, type Measure } from './measure';

const ROUNDS = 7;
const AT_ONCE = 16;

export async function benchPublic(): Promise<Measure[]> {
  const server = await startServer({ demo: true });
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-bench-'));
  const site = join(folder, 'site');
  const written = spawnSync('node', ['scripts/kb.mjs', 'site', '--out', site], {
    env: { ...process.env, KETTLEBRAND_DATA: dirname(server.databaseFile) },
  });
  if (written.status !== 0) throw new Error(written.stderr.toString());
  const db = new Database(server.databaseFile, { readonly: true });
  const token = db
    .prepare('SELECT token FROM publication WHERE withdrawn_at IS NULL LIMIT 1')
    .pluck()
    .get() as string;
  db.close();
  const held = await startNginx((place) =>
    documentedProxy({ ...place, upstream: server.url, certificate: null }),
  );
  const files = await startNginx(({ port }) => servedFolder(port, site));
  try {
    const built = readdirSync('.next/static/chunks').find((name) => name.endsWith('.css'))!;
    const [font] = readdirSync(join(site, 'fonts'));
    const of = { page: '', paper: '/card.pdf', document: '/recipe.json' };
    const cases: [string, string, string][] = [
      ['own static file (font)', `${server.url}/fonts/${font!}`, ''],
      ["framework's static file", `${server.url}/_next/static/chunks/${built}`, ''],
      ...Object.entries(of).flatMap(([name, file]): [string, string, string][] => {
        const path = `/p/${token}${file}`;
        const onDisk = file === '' ? `${path}/index.html` : path;
        const base = `nginx: ${name}, a file on disk`;
        return [
          [name, server.url + path, 'own static file (font)'],
          [base, `http://127.0.0.1:${files.port}${onDisk}`, ''],
          [`nginx: ${name}, held`, `http://127.0.0.1:${held.port}${path}`, base],
        ];
      }),
    ];
    const rates = new Map<string, Asked[]>(cases.map(([name]) => [name, []]));
    // The first round makes what is not made yet, and warms up.
    for (let round = 0; round <= ROUNDS; round++)
      for (const [name, url] of cases) {
        const asked = await rateOf(url);
        if (round > 0) rates.get(name)!.push(asked);
      }
    const rate = (name: string) => median(rates.get(name)!.map(({ perSecond }) => perSecond));
    // Within each round, so that a slower moment of the machine is in both.
    const against = (name: string, base: string) =>
      median(
        rates
          .get(name)!
          .map(({ perSecond }, round) => perSecond / rates.get(base)![round]!.perSecond),
      );
    return cases.flatMap(([name, , base]): Measure[] => {
      const line = { part: 'public', case: name };
      const size = rates.get(name)![0]!.bytes / 1000;
      return [
        { ...line, metric: 'requests', value: rate(name), unit: '/s' },
        ...(base
          ? [
              {
                ...line,
                metric: `against ${base}`,
                value: against(name, base),
                unit: 'x',
              },
            ]
          : []),
        { ...line, metric: 'size', value: size, unit: 'kB' },
      ];
    });
  } finally {
    await files.close();
    await held.close();
    await server.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

interface Asked {
  readonly perSecond: number;
  readonly bytes: number;
}

/** Asks as fast as answers come, so many at once, for a second. */
function rateOf(url: string): Promise<Asked> {
  return new Promise((resolve, reject) => {
    const wrk = spawn('/usr/bin/wrk', ['-t1', `-c${AT_ONCE}`, '-d1s', url]);
    let said = '';
    wrk.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
    wrk.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
    wrk.once('error', reject);
    wrk.once('exit', () => {
      const rate = /Requests\/sec:\s+([\d.]+)/.exec(said);
      const sent = /Transfer\/sec:\s+([\d.]+)(K|M|G)?B/.exec(said);
      if (!rate || !sent || /Non-2xx/.test(said)) return reject(new Error(`${url}\n${said}`));
      const unit = { K: 1024, M: 1024 ** 2, G: 1024 ** 3 }[sent[2] as 'K'] ?? 1;
      const perSecond = Number(rate[1]);
      resolve({ perSecond, bytes: (Number(sent[1]) * unit) / perSecond });
    });
  });
}
