import fc from 'fast-check';
import { openHouse, send, shotInput, WORDS } from '../../../tests/support/house';
import { canonicalJson, canonicalSha256 } from './canonical';
import { writeDocument } from './document';
import { readDocument } from './readers';

function publishedText(): string {
  const { db, releaseId, draftId } = openHouse();
  send(db, 'logShot', shotInput(draftId));
  send(db, 'logShot', shotInput(draftId));
  send(db, 'publish', { releaseId, draftId, ...WORDS });
  return (db.prepare('SELECT document FROM recipe_version').get() as { document: string }).document;
}

describe('canonical JSON', () => {
  it('does not depend on the order of keys, and leaves undefined out', () => {
    expect(canonicalJson({ b: 1, a: [true, null, { d: 'x', c: undefined }] })).toBe(
      '{"a":[true,null,{"d":"x"}],"b":1}',
    );
  });

  it('hashes alike after a round trip through any JSON writer', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const again: unknown = JSON.parse(JSON.stringify(value, null, 3));
        expect(canonicalSha256(again)).toBe(canonicalSha256(value));
      }),
    );
  });
});

describe('recipe document', () => {
  it('reads back what was written, to the byte', () => {
    const text = publishedText();
    const document = readDocument(text);
    expect(writeDocument(document)).toBe(text);
    expect(document.body.recipe).toMatchObject({ doseG: 18, yieldG: 36, timeS: [26, 30] });
    expect(document.body.confirmedShots).toBe(2);
  });

  it('refuses a changed figure by its hash', () => {
    const changed = publishedText().replace('"yieldG": 36', '"yieldG": 36.5');
    expect(() => readDocument(changed)).toThrow(/does not match its hash.*Ask for it again/);
  });

  it.each([
    ['not JSON', 'crema', /not JSON/],
    ['another format', '{"format":"other"}', /not a kettlebrand-recipe file/],
    [
      'a newer format',
      '{"format":"kettlebrand-recipe","formatVersion":3}',
      /Only versions 1 and 2/,
    ],
    ['a huge file', 'x'.repeat(200_001), /under 200 kB/],
  ])('refuses %s', (_name, text, words) => {
    expect(() => readDocument(text)).toThrow(words);
  });

  it('is recognised by the house that published it', () => {
    const { db, releaseId, draftId } = openHouse();
    send(db, 'publish', { releaseId, draftId, ...WORDS });
    const { document } = db.prepare('SELECT document FROM recipe_version').get() as {
      document: string;
    };
    expect(send(db, 'importDocument', { document })).toEqual({ releaseId, identicalVersion: 1 });
  });

  it('becomes a release with its recipe on the bench in another house', () => {
    const text = publishedText();
    const { db } = openHouse();
    const { releaseId } = send(db, 'importDocument', { document: text });
    const draft = db
      .prepare(
        `SELECT r.dose_g, r.yield_g, r.time_low_s, r.why FROM recipe_draft r
         JOIN dial_in d ON d.id = r.dial_in_id WHERE d.release_id = ?`,
      )
      .get(releaseId);
    expect(draft).toEqual({
      dose_g: 18,
      yield_g: 36,
      time_low_s: 26,
      why: 'Taken from version 1 of Lanternfell Coffee',
    });
  });
});
