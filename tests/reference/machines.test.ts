/** The commands on machines other than this one: simulated, since none of them stands here. */
import { spawnSync } from 'node:child_process';
import {
  cpSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

let folder: string;
beforeEach(() => {
  // A path with spaces, as other systems have them.
  folder = mkdtempSync(join(tmpdir(), 'a kettle brand '));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

interface Machine {
  readonly platform?: NodeJS.Platform;
  readonly isRoot?: boolean;
  readonly env?: Readonly<Record<string, string>>;
}

/** Runs a line of a module of scripts/lib in this folder, as that machine would; answers what it said. */
function on(
  { platform = 'linux', isRoot = false, env = {} }: Machine,
  module: string,
  line: string,
) {
  const machine = `
    Object.defineProperty(process, 'platform', { value: '${platform}' });
    process.getuid = ${platform === 'win32' ? 'undefined' : `() => ${isRoot ? 0 : 1000}`};`;
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [
      '--import',
      `data:text/javascript,${encodeURIComponent(machine)}`,
      '--input-type=module',
      '--eval',
      `import * as lib from ${JSON.stringify(join(folder, 'scripts/lib', module))}; ${line}`,
    ],
    {
      cwd: folder,
      env: { NODE_ENV: 'test', PATH: join(folder, 'bin'), ...env },
      encoding: 'utf8',
    },
  );
  return { status, said: (stdout + stderr).trim() };
}

const put = (path: string, text = '', mode = 0o755) => {
  const file = join(folder, path);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, text, { mode });
  return file;
};

beforeEach(() => {
  cpSync('scripts/lib', join(folder, 'scripts/lib'), { recursive: true });
});

const FIND = 'process.stdout.write(String(lib.findBrowser()))';

describe('a browser', () => {
  it.each<[NodeJS.Platform, Record<string, string>, string]>([
    ['darwin', { HOME: 'home' }, 'home/Applications/Chromium.app/Contents/MacOS/Chromium'],
    [
      'darwin',
      { HOME: 'home' },
      'home/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
    ],
    [
      'win32',
      { PROGRAMFILES: 'Program Files' },
      'Program Files/Google/Chrome/Application/chrome.exe',
    ],
    ['win32', { LOCALAPPDATA: 'own' }, 'own/Chromium/Application/chrome.exe'],
    ['linux', {}, 'bin/google-chrome'],
    ['linux', {}, 'bin/chromium'],
  ])('is found on %s where it stands', (platform, places, path) => {
    const env = Object.fromEntries(
      Object.entries(places).map(([name, place]) => [name, join(folder, place)]),
    );
    expect(on({ platform, env }, 'outside.mjs', FIND).said).toBe('null');
    const file = put(path);
    expect(on({ platform, env }, 'outside.mjs', FIND).said).toBe(file);
  });

  it.each<Machine>([{ platform: 'darwin' }, { platform: 'win32' }, {}])(
    'that is nowhere is asked for in one sentence, and nothing is installed: %j',
    (machine) => {
      put('bin/apt-get', '#!/bin/sh\necho apt-get ran\n');
      const { status, said } = on(machine, 'outside.mjs', 'lib.ensureBrowser()');
      expect(status).toBe(1);
      expect(said).toMatch(/^No Chromium or Chrome was found\. Install one .* CHROMIUM_PATH/);
      expect(said).not.toMatch(/apt-get ran/);
    },
  );

  it('is installed on Debian by root alone', () => {
    const browser = join(folder, 'bin/chromium');
    put('bin/apt-get', `#!/bin/sh\necho "apt-get $1"\n: > '${browser}'\n`);
    const line = 'lib.ensureBrowser(); process.stdout.write(process.env.CHROMIUM_PATH)';
    const { status, said } = on({ isRoot: true }, 'outside.mjs', line);
    expect(status).toBe(0);
    expect(said).toContain(browser);
    expect(said).toContain('apt-get install');
  });

  it('named by CHROMIUM_PATH is taken, and a wrong name is said', () => {
    const file = put('some where/chrome');
    const line = 'lib.ensureBrowser(); process.stdout.write(process.env.CHROMIUM_PATH)';
    expect(on({ env: { CHROMIUM_PATH: file } }, 'outside.mjs', line).said).toBe(file);
    const wrong = on({ env: { CHROMIUM_PATH: `${file}s` } }, 'outside.mjs', line);
    expect(wrong).toEqual({
      status: 1,
      said: `CHROMIUM_PATH names ${file}s, and nothing is there. Correct it.`,
    });
  });
});

describe('packages', () => {
  it.each<NodeJS.Platform>(['linux', 'darwin', 'win32'])(
    'are started by Node itself on %s',
    (platform) => {
      put('node_modules/@playwright/test/package.json', '{"bin":{"playwright":"cli.js"}}');
      put('node_modules/@playwright/test/cli.js', 'console.log(process.argv.slice(2).join("|"))');
      const line =
        "process.exitCode = lib.runProgram('playwright', ['test', '--grep', 'two words; x'])";
      expect(on({ platform }, 'packages.mjs', line)).toEqual({
        status: 0,
        said: 'test|--grep|two words; x',
      });
    },
  );

  it('are installed by npm’s own program, wherever it is, and only when they are not those of the lock', () => {
    const npm = put('some where/npm-cli.js', 'console.log("npm", process.argv.slice(2).join(" "))');
    const lock = {
      packages: {
        '': {},
        'node_modules/a': { version: '1.0.0' },
        'node_modules/b': { version: '2.0.0', dev: true },
        'node_modules/of-another-system': { version: '1.0.0', optional: true },
      },
    };
    put('package-lock.json', JSON.stringify(lock));
    put('node_modules/.keep');
    const install = (isProduction: boolean) =>
      on(
        { env: { npm_execpath: npm } },
        'install.mjs',
        `lib.ensureInstalled({ isProduction: ${isProduction} })`,
      ).said;
    expect(install(false)).toMatch(/npm ci --loglevel=error --include=dev$/);
    expect(install(true)).toMatch(/npm ci --loglevel=error --omit=dev$/);
    const standing = (packages: object) =>
      put('node_modules/.package-lock.json', JSON.stringify({ packages }));
    standing({ 'node_modules/a': { version: '1.0.0' } });
    expect(install(true)).toBe('');
    expect(install(false)).toMatch(/npm ci/);
    standing({ 'node_modules/a': { version: '1.0.0' }, 'node_modules/b': { version: '2.0.0' } });
    expect(install(false)).toBe('');
    standing({ 'node_modules/a': { version: '1.0.1' }, 'node_modules/b': { version: '2.0.0' } });
    expect(install(true)).toMatch(/npm ci/);
  });

  it('are built anew for another Node', () => {
    const npm = put('some where/npm-cli.js', 'console.log("npm", process.argv[2])');
    put('package-lock.json', '{"packages":{}}');
    put('node_modules/.package-lock.json', '{"packages":{}}');
    const install = () =>
      on({ env: { npm_execpath: npm } }, 'install.mjs', 'lib.ensureInstalled()').said;
    expect(install()).toBe('');
    put('node_modules/.compiled-for', '1');
    expect(install()).toMatch(/npm ci$/);
    expect(install()).toBe('');
  });

  it('are found by npm behind the command of the path where nothing else says it', () => {
    const npm = put('bin/npm.js', '');
    cpSync(npm, join(folder, 'bin/npm-cli.js'));
    const line = 'process.stdout.write(String(lib.npmEntry({ npm_execpath: process.env.CLI })))';
    expect(on({ env: { CLI: join(folder, 'bin/npm-cli.js') } }, 'packages.mjs', line).said).toBe(
      join(folder, 'bin/npm-cli.js'),
    );
  });
});

it('no command needs a shell, a linked program or another person’s rights', () => {
  const files = ['scripts', 'tests', 'faults', 'bench'].flatMap((top) =>
    readdirSync(top, { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.(mjs|ts|tsx)$/.test(name) && !name.endsWith('machines.test.ts'))
      .map((name) => join(top, name)),
  );
  expect(files.length).toBeGreaterThan(50);
  for (const file of files) {
    const text = readFileSync(file, 'utf8');
    expect([
      file,
      /node_modules\/\.bin|shell: true|\bsudo\b|['"`]npx?['"`]/.exec(text)?.[0],
    ]).toEqual([file, undefined]);
  }
});
