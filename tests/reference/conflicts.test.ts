/** Any number of people saving one thing in any order: nobody's save is lost unseen. */
import fc from 'fast-check';
import { UserFault } from '@/core/errors';
import { listParts } from '@/data/equipment';
import { findRelease } from '@/data/releases';
import { BASKET, newId, openHouse, RELEASE, send } from '../support/house';

/** One thing that can be read with its version and saved over it. */
interface Row {
  readonly read: () => { readonly rowVersion: number; readonly name: string };
  readonly save: (rowVersion: number, name: string) => void;
}

function release(): Row {
  const { db, releaseId } = openHouse();
  return {
    read: () => findRelease(db, releaseId)!,
    save: (rowVersion, name) =>
      void send(db, 'editRelease', { releaseId, rowVersion, release: { ...RELEASE, name } }),
  };
}

function basket(): Row {
  const { db } = openHouse();
  const read = () => listParts(db, 'basket')[0]!;
  return {
    read,
    save: (rowVersion, name) =>
      void send(db, 'savePart', {
        part: 'basket',
        id: read().id,
        rowVersion,
        fields: { ...BASKET, name },
      }),
  };
}

const step = fc.record({
  who: fc.integer({ min: 0, max: 2 }),
  act: fc.constantFrom('read', 'save'),
});

test.each([
  ['a release', release],
  ['a basket', basket],
])('%s: a save lands only on the version its writer has read', (_name, open) => {
  fc.assert(
    fc.property(fc.array(step, { maxLength: 24 }), (steps) => {
      const row = open();
      const seen = new Map<number, number>();
      let last = row.read().name;
      let saves = 0;
      for (const { who, act } of steps) {
        if (act === 'read') {
          seen.set(who, row.read().rowVersion);
          continue;
        }
        const version = seen.get(who) ?? 0;
        const isCurrent = version === row.read().rowVersion;
        const name = `by ${who}, ${newId().slice(0, 6)}`;
        try {
          row.save(version, name);
          expect(isCurrent).toBe(true);
          last = name;
          saves += 1;
        } catch (error) {
          expect(error).toBeInstanceOf(UserFault);
          expect((error as UserFault).code).toBe('conflict');
          expect(isCurrent).toBe(false);
        }
      }
      expect(row.read()).toMatchObject({ name: last, rowVersion: 1 + saves });
    }),
    { numRuns: 60 },
  );
});
