/** The fault an act is refused with; fails when it is taken. */
import { UserFault } from '@/core/errors';

export function faultOf(act: () => unknown): UserFault {
  try {
    act();
  } catch (error) {
    if (error instanceof UserFault) return error;
    throw error;
  }
  throw new Error('It was taken, and should have been refused.');
}
