import { findHouse } from '@/data/house';
import { TODAY } from '../../../tests/support/house';
import { houseWith } from '../../../tests/support/view';
import { foundInField } from './foundInField';
import { publishStageOf } from './stageOf';

function stage() {
  const { db, view } = houseWith({}, {});
  return publishStageOf(db, findHouse(db)!, view(), { today: TODAY });
}

it('puts what the field found into the words and the fits it was tried at', () => {
  const before = stage();
  const { words, composed } = foundInField(before, {
    why: 'From the cafés: it runs fast.',
    cafeFixed: 'at Sous-Bois: 30 of 40 checks inside.',
  });
  expect(words.whatChanged).toBe('From the cafés: it runs fast.');
  expect(composed.fits[0]).toEqual({
    audience: 'cafeFixed',
    tried: 'at Sous-Bois: 30 of 40 checks inside.',
  });
  // A café that sets its heat was not tried by it.
  expect(composed.fits.filter(({ tried }) => tried !== '')).toHaveLength(1);
  expect(composed.fits).toHaveLength(before.composed.fits.length);
});

it('writes over no reason that is there, and takes an odd address for none', () => {
  const before = stage();
  const typed = { ...before, words: { ...before.words, whatChanged: 'Mine.' } };
  expect(foundInField(typed, { why: 'Theirs.' }).words.whatChanged).toBe('Mine.');
  const odd = foundInField(before, { why: ['a', 'b'], cafe: ['c'] });
  expect(odd.words.whatChanged).toBe('');
  expect(odd.composed).toEqual(before.composed);
  const long = foundInField(before, { cafe: 'x'.repeat(5000) });
  expect(long.composed.fits[0]!.tried).toHaveLength(400);
});
