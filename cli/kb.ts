/**
 * `kb COMMAND`: JSON on standard input, JSON on standard output, exit 2 with one line on bad input.
 * `kb COMMAND --schema` prints the JSON Schema of the command's input and output. `kb backup`, `restore`,
 * `export --all` and `import --all` are of a whole house.
 */
import { readFileSync } from 'node:fs';
import { UserFault } from '@/core/errors';
import { HOUSE_USAGE, isHouseCommand } from '@/server/houseUsage';
import { COMMANDS } from './commands';

function usage(): string {
  const names = Object.entries(COMMANDS).map(([name, { purpose }]) => `  ${name}: ${purpose}`);
  return `kb COMMAND [--schema], JSON on standard input. Commands:\n${names.join('\n')}\nOf a house: ${Object.values(HOUSE_USAGE).join(', ')}`;
}

function readInput(): unknown {
  const text = readFileSync(0, 'utf8');
  try {
    return JSON.parse(text);
  } catch {
    throw new UserFault('badInput', [
      { field: '', message: 'Standard input is not JSON. Give one JSON object.' },
    ]);
  }
}

/** No figure of the model means more than this many digits. */
const DIGITS = 6;
const meant = (_key: string, value: unknown) =>
  typeof value === 'number' ? Number(value.toPrecision(DIGITS)) : value;

async function answerOf(name: string, flags: readonly string[]): Promise<unknown> {
  if (isHouseCommand(name)) {
    // Loaded here: the computation alone needs no database.
    const { runHouseCommand } = await import('@/server/houseCommands');
    return runHouseCommand(name, flags);
  }
  const command = COMMANDS[name]!;
  return flags.includes('--schema') ? command.schema() : command.run(readInput());
}

async function main([name, ...flags]: string[]): Promise<number> {
  if (name === undefined || name === '--help') {
    process.stdout.write(`${usage()}\n`);
    return name === undefined ? 2 : 0;
  }
  const isKnown = Object.hasOwn(COMMANDS, name);
  const unknownFlag = flags.find((flag) => flag !== '--schema');
  if (!isHouseCommand(name) && (!isKnown || unknownFlag)) {
    const what = isKnown ? `option ${unknownFlag}` : `command ${name}`;
    process.stderr.write(
      `Unknown ${what}. Take one of: ${Object.keys(COMMANDS).join(', ')}; option --schema.\n`,
    );
    return 2;
  }
  try {
    process.stdout.write(`${JSON.stringify(await answerOf(name, flags), meant, 2)}\n`);
    return 0;
  } catch (error) {
    if (!(error instanceof UserFault)) throw error;
    process.stderr.write(
      `${error.faults
        .map(({ field, message }) => (field === '' ? message : `${field}: ${message}`))
        .join(' ')
        .replaceAll('\n', ' ')}\n`,
    );
    return 2;
  }
}

process.exitCode = await main(process.argv.slice(2));
