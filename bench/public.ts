/**
 * `public`: how many requests a second the server answers for what anybody may read, beside a static file
 * of the same server, in one run. Each case is asked in turn, several rounds, so that all share the noise.
 */
import { Agent, get } from 'node:http';
import { readdirSync } from 'node:fs';
import Database from 'better-sqlite3';
import { startServer } from '../tests/support/server';
import { median, type Measure } from './measure';

const ROUNDS = 7;
const ROUND_MS = 700;
const AT_ONCE = 16;

export async function benchPublic(): Promise<Measure[]> {
  const server = await startServer({ demo: true });
  const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });
  try {
    const db = new Database(server.databaseFile, { readonly: true });
    const token = db
      .prepare('SELECT token FROM publication WHERE withdrawn_at IS NULL LIMIT 1')
      .pluck()
      .get() as string;
    db.close();
    const built = readdirSync('.next/static/chunks').find((name) => name.endsWith('.css'))!;
    const paths: Readonly<Record<string, string>> = {
      'static file': `/_next/static/chunks/${built}`,
      page: `/p/${token}`,
      paper: `/p/${token}/card.pdf`,
      document: `/p/${token}/recipe.json`,
    };
    const rates: Record<string, number[]> = {};
    let bytes: Record<string, number> = {};
    // The first round makes what is not made yet, and warms up.
    for (let round = 0; round <= ROUNDS; round++)
      for (const [name, path] of Object.entries(paths)) {
        const asked = await rateOf(agent, server.url + path);
        bytes = { ...bytes, [name]: asked.bytes };
        if (round > 0) (rates[name] ??= []).push(asked.perSecond);
      }
    const of = (name: string) => median(rates[name]!);
    return Object.keys(paths).flatMap((name): Measure[] => [
      { part: 'public', case: name, metric: 'requests', value: of(name), unit: '/s' },
      {
        part: 'public',
        case: name,
        metric: 'against a static file',
        value: of(name) / of('static file'),
        unit: 'x',
      },
      { part: 'public', case: name, metric: 'size', value: bytes[name]! / 1000, unit: 'kB' },
    ]);
  } finally {
    agent.destroy();
    await server.close();
  }
}

/** Asks as fast as answers come, so many at once, for a while. */
async function rateOf(agent: Agent, url: string): Promise<{ perSecond: number; bytes: number }> {
  const start = performance.now();
  let answers = 0;
  let bytes = 0;
  const one = async () => {
    while (performance.now() - start < ROUND_MS) {
      bytes = await sizeOf(agent, url);
      answers++;
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
  return { perSecond: (1000 * answers) / (performance.now() - start), bytes };
}

function sizeOf(agent: Agent, url: string): Promise<number> {
  return new Promise((resolve, reject) => {
    get(url, { agent }, (answer) => {
      let bytes = 0;
      answer.on('data', (chunk: Buffer) => (bytes += chunk.length));
      answer.on('end', () =>
        answer.statusCode === 200
          ? resolve(bytes)
          : reject(new Error(`${url}: ${answer.statusCode}`)),
      );
    }).on('error', reject);
  });
}
