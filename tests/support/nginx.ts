/** Debian's nginx on loopback, for what is to stand behind it or be served by it. */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const NGINX = '/usr/sbin/nginx';

/** Other systems than Debian may have none: what stands behind it is then not tried. */
export const hasNginx = existsSync(NGINX);

export interface RunningNginx {
  readonly port: number;
  readonly close: () => Promise<void>;
}

/** @param httpOf what stands in its `http { }`, given its port and a folder of its own. */
export async function startNginx(
  httpOf: (place: { port: number; folder: string }) => string,
): Promise<RunningNginx> {
  const folder = mkdtempSync(join(tmpdir(), 'kettlebrand-nginx-'));
  const port = await freePort();
  const temporary = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(
    (name) => `${name}_temp_path ${folder}/${name};`,
  );
  mkdirSync(join(folder, 'logs'));
  writeFileSync(
    join(folder, 'nginx.conf'),
    `${process.getuid?.() === 0 ? 'user root;' : ''}
daemon off;
worker_processes 1;
pid ${folder}/nginx.pid;
error_log ${folder}/logs/error.log;
events { worker_connections 256; }
http {
  include /etc/nginx/mime.types;
  access_log off;
  # As Debian's own configuration has it.
  sendfile on;
  tcp_nopush on;
  ${temporary.join('\n  ')}
  ${httpOf({ port, folder })}
}
`,
  );
  const child = spawn(NGINX, ['-p', folder, '-c', join(folder, 'nginx.conf')], {
    stdio: 'ignore',
  });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  await until(
    () => isListening(port),
    () => readFileSync(join(folder, 'logs/error.log'), 'utf8'),
  );
  return {
    port,
    close: async () => {
      child.kill('SIGQUIT');
      await ended;
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** A folder as any web host serves it. */
export const servedFolder = (port: number, folder: string): string =>
  `server { listen 127.0.0.1:${port}; root ${folder}; }`;

/** The configuration that docs/operations.md gives, for this place instead of its own. */
export function documentedProxy(at: {
  port: number;
  folder: string;
  upstream: string;
  certificate: { file: string; key: string } | null;
}): string {
  const guide = readFileSync('docs/operations.md', 'utf8');
  const [, given] = /```nginx\n([^]*?)```/.exec(guide)!;
  const replaced = (text: string, [from, to]: readonly [string, string]) => {
    if (!text.includes(from)) throw new Error(`The guide does not say "${from}" any more.`);
    return text.replaceAll(from, to);
  };
  const { certificate } = at;
  const ssl: readonly (readonly [string, string])[] = certificate
    ? [
        ['443 ssl', `127.0.0.1:${at.port} ssl`],
        ['/etc/ssl/recipes.example.pem', certificate.file],
        ['/etc/ssl/recipes.example.key', certificate.key],
      ]
    : [
        ['443 ssl', `127.0.0.1:${at.port}`],
        ['ssl_certificate     /etc/ssl/recipes.example.pem;', ''],
        ['ssl_certificate_key /etc/ssl/recipes.example.key;', ''],
      ];
  return [
    ...ssl,
    ['http://127.0.0.1:3210', at.upstream] as const,
    ['/var/cache/nginx/recipes', join(at.folder, 'cache')] as const,
  ].reduce(replaced, given!);
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const asked = createServer().listen(0, '127.0.0.1', () => {
      const { port } = asked.address() as AddressInfo;
      asked.close(() => resolve(port));
    });
  });
}

const isListening = (port: number) =>
  fetch(`http://127.0.0.1:${port}/`).then(
    () => true,
    // What speaks TLS alone answers, but not to this.
    (error: unknown) => !/ECONNREFUSED/.test(String((error as { cause?: unknown }).cause)),
  );

async function until(isSo: () => Promise<boolean>, why: () => string): Promise<void> {
  const deadline = Date.now() + 10_000;
  while (Date.now() < deadline) {
    if (await isSo()) return;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error(`nginx did not start.\n${why()}`);
}
