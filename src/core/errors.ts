/**
 * Typed faults. A `UserFault` is something the person can mend: it names the field, the range
 * and the remedy, and nothing was stored. Anything else thrown is a broken invariant of ours.
 */
export interface Fault {
  /** Path of the field, as in the input: `doseG`, `shots.2.yieldG`. Empty for the whole input. */
  readonly field: string;
  /** What was expected, what came, what to do. One sentence or two, for the user. */
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
  readonly faults: readonly Fault[];

  constructor(code: FaultCode, faults: readonly Fault[]) {
    super(faults.map((fault) => fault.message).join(' '));
    this.name = 'UserFault';
    this.code = code;
    this.faults = faults;
  }
}

/** A fault of one field, the common case. */
export function userFault(code: FaultCode, field: string, message: string): UserFault {
  return new UserFault(code, [{ field, message }]);
}

/** For what can only be false through our own mistake; never for user input. */
export function assert(condition: unknown, broken: string): asserts condition {
  if (!condition) throw new Error(`Broken invariant: ${broken}`);
}
