/**
 * Typed faults. A `UserFault` is something the person can mend: it names the field, the range
 * and the remedy, and nothing was stored. Anything else thrown is a broken invariant of ours.
 */
import type { Message } from './message';

export interface CodedFault {
  /** Path of the field, as in the input: `doseG`, `shots.2.yieldG`. Empty for the whole input. */
  readonly field: string;
  /** What was expected, what came, what to do; in the core a code, which `words/faults` says. */
  readonly message: Message | string;
}

/** A fault as its reader gets it: one sentence or two. */
export interface Fault extends CodedFault {
  readonly message: string;
}

export type FaultCode =
  | 'badInput'
  | 'notFound'
  | 'conflict'
  | 'signedOut'
  | 'unproved'
  | 'refused'
  | 'gone'
  | 'tooMany'
  | 'newerDatabase'
  | 'storage'
  | 'hashMismatch';

export class UserFault extends Error {
  readonly code: FaultCode;
  readonly faults: readonly CodedFault[];

  /** Its own text is for logs: `faultWords` says it to people. */
  constructor(code: FaultCode, faults: readonly CodedFault[]) {
    super(faults.map(({ message: said }) => (typeof said === 'string' ? said : said.id)).join(' '));
    this.name = 'UserFault';
    this.code = code;
    this.faults = faults;
  }
}

/** A fault of one field, the common case. */
export function userFault(
  code: FaultCode,
  field: string,
  message: CodedFault['message'],
): UserFault {
  return new UserFault(code, [{ field, message }]);
}

/** For what can only be false through our own mistake; never for user input. */
export function assert(condition: unknown, broken: string): asserts condition {
  if (!condition) throw new Error(`Broken invariant: ${broken}`);
}
