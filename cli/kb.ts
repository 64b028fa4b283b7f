/**
 * `kb COMMAND`: JSON on standard input, JSON on standard output, exit 2 with one line on bad input.
 * `kb COMMAND --schema` prints the JSON Schema of the command's input and output. `kb backup`, `restore`,
 * `export --all` and `import --all` are of a whole house.
 */
import { readFileSync } from 'node:fs';
import { HOUSE_USAGE, isHouseCommand } from '@/server/houseUsage';
import { COMMANDS } from './commands';
import { compute, refused, written, type Answered } from './compute';

function usage(): string {
  const names = Object.entries(COMMANDS).map(([name, { purpose }]) => `  ${name}: ${purpose}`);
  return `kb COMMAND [--schema], JSON on standard input. Commands:\n${names.join('\n')}\nOf a house: ${Object.values(HOUSE_USAGE).join(', ')}`;
}

async function ofHouse(
  name: keyof typeof HOUSE_USAGE,
  flags: readonly string[],
): Promise<Answered> {
  try {
    // Loaded here: the computation alone needs no database.
    const { runHouseCommand } = await import('@/server/houseCommands');
    return { status: 0, stdout: written(await runHouseCommand(name, flags)), stderr: '' };
  } catch (error) {
    return refused(error);
  }
}

async function main([name, ...flags]: string[]): Promise<number> {
  if (name === undefined || name === '--help') {
    process.stdout.write(`${usage()}\n`);
    return name === undefined ? 2 : 0;
  }
  const { status, stdout, stderr } = isHouseCommand(name)
    ? await ofHouse(name, flags)
    : compute(name, flags, () => readFileSync(0, 'utf8'));
  process.stdout.write(stdout);
  process.stderr.write(stderr);
  return status;
}

process.exitCode = await main(process.argv.slice(2));
