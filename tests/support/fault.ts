/** The fault an act is refused with, in words; fails when it is taken. */
import { UserFault } from '@/core/errors';
import { wordedFaults } from '@/words/faults';

export function faultOf(act: () => unknown) {
  try {
    act();
  } catch (error) {
    if (!(error instanceof UserFault)) throw error;
    const faults = wordedFaults(error.faults);
    return Object.assign(new UserFault(error.code, faults), { faults });
  }
  throw new Error('It was taken, and should have been refused.');
}
