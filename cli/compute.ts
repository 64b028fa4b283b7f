/** What a command of the computation answers, as its shell would see it. */
import { UserFault } from '@/core/errors';
import { wordedFaults } from '@/words/faults';
import { COMMANDS } from './commands';

export interface Answered {
  readonly status: number;
  readonly stdout: string;
  readonly stderr: string;
}

/** No figure of the model means more than this many digits. */
const DIGITS = 6;
const meant = (_key: string, value: unknown) =>
  typeof value === 'number' ? Number(value.toPrecision(DIGITS)) : value;

export const written = (answer: unknown): string => `${JSON.stringify(answer, meant, 2)}\n`;

/** Runs an act; what a person can mend becomes status 2 and one line, anything else is thrown. */
export function refused(error: unknown): Answered {
  if (!(error instanceof UserFault)) throw error;
  const line = wordedFaults(error.faults)
    .map(({ field, message }) => (field === '' ? message : `${field}: ${message}`))
    .join(' ')
    .replaceAll('\n', ' ');
  return { status: 2, stdout: '', stderr: `${line}\n` };
}

/** Answers `kb NAME [--schema]`; `readText` gives standard input. */
export function compute(name: string, flags: readonly string[], readText: () => string): Answered {
  const isKnown = Object.hasOwn(COMMANDS, name);
  const unknownFlag = flags.find((flag) => flag !== '--schema');
  if (!isKnown || unknownFlag) {
    const what = isKnown ? `option ${unknownFlag}` : `command ${name}`;
    const names = Object.keys(COMMANDS).join(', ');
    const stderr = `Unknown ${what}. Take one of: ${names}; option --schema.\n`;
    return { status: 2, stdout: '', stderr };
  }
  const command = COMMANDS[name]!;
  try {
    const answer = flags.includes('--schema') ? command.schema() : command.run(parsed(readText()));
    return { status: 0, stdout: written(answer), stderr: '' };
  } catch (error) {
    return refused(error);
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new UserFault('badInput', [
      { field: '', message: 'Standard input is not JSON. Give one JSON object.' },
    ]);
  }
}
