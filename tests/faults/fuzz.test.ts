/**
 * Whatever is sent to any command is taken or refused with words: never an internal error, and a
 * refusal stores nothing. Valid inputs are bent in one place, so that the schemas are passed deeply.
 */
import fc from 'fast-check';
import { UserFault } from '@/core/errors';
import { findHouse } from '@/data/house';
import { readRelease } from '@/views/release';
import { faultWords } from '@/words/faults';
import { bent, pathsOf, sizes, strange, validInputs } from '../support/hostile';
import { newId, openHouse, send, shotInput, TODAY } from '../support/house';

const house = openHouse();
const { shotId } = send(house.db, 'logShot', shotInput(house.draftId));
const { db, releaseId } = house;

test.each(validInputs(house, String(shotId)))(
  '%s is taken or refused with words, whatever it is sent',
  (kind, input) => {
    fc.assert(
      fc.property(fc.constantFrom(...pathsOf(input)), strange, (path, by) => {
        const before = sizes(db);
        try {
          // Each try by the lead, whatever the one before it did to the house.
          send(db, kind, bent(input, path, by), newId());
          // What was taken can be shown: the advisor copes with every bench that can be described.
          const { advice } = readRelease(db, findHouse(db)!, releaseId, { today: TODAY })!.bench!;
          expect(Number.isFinite(advice.expect.timeS)).toBe(true);
        } catch (error) {
          // An internal error here would be a 500 there.
          expect(error).toBeInstanceOf(UserFault);
          expect(faultWords(error as UserFault).length).toBeGreaterThan(10);
          expect(sizes(db)).toBe(before);
        }
      }),
      { numRuns: 300 },
    );
  },
);
