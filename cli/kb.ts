/**
 * `kb COMMAND`: JSON on standard input, JSON on standard output, exit 2 with one line on bad input.
 * `kb COMMAND --schema` prints the JSON Schema of the command's input and output. `kb backup`, `restore`,
 * `export --all` and `import --all` are of a whole house.
 */
import { readFileSync } from 'node:fs';
import { UserFault } from '@/core/errors';
import { houseCommandWords, runHouseCommand } from '@/server/houseCommands';
import { COMMANDS } from './commands';

function usage(): string {
  const names = Object.entries(COMMANDS).map(([name, { purpose }]) => `  ${name}: ${purpose}`);
  return `kb COMMAND [--schema], JSON on standard input. Commands:\n${names.join('\n')}\nOf a house: ${houseCommandWords.join(', ')}`;
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

/** What a sum in binary leaves behind the twelfth digit means nothing. */
const meant = (_key: string, value: unknown) =>
  typeof value === 'number' ? Number(value.toPrecision(12)) : value;

async function main(words: string[]): Promise<number> {
  const [name, ...flags] = words;
  const asHouse = await runHouseCommand(words);
  if (asHouse !== null) return asHouse;
  if (name === undefined || name === '--help') {
    process.stdout.write(`${usage()}\n`);
    return name === undefined ? 2 : 0;
  }
  const found = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
  const unknownFlag = flags.find((flag) => flag !== '--schema');
  if (!found || unknownFlag) {
    const what = found ? `option ${unknownFlag}` : `command ${name}`;
    process.stderr.write(
      `Unknown ${what}. Take one of: ${Object.keys(COMMANDS).join(', ')}; option --schema.\n`,
    );
    return 2;
  }
  try {
    const answer = flags.includes('--schema') ? found.schema() : found.run(readInput());
    process.stdout.write(`${JSON.stringify(answer, meant, 2)}\n`);
    return 0;
  } catch (error) {
    if (!(error instanceof UserFault)) throw error;
    process.stderr.write(
      `${error.faults
        .map((fault) => fault.message)
        .join(' ')
        .replaceAll('\n', ' ')}\n`,
    );
    return 2;
  }
}

process.exitCode = await main(process.argv.slice(2));
