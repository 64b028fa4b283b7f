import { findHouse } from '@/data/house';
import { readRelease } from '@/views/release';
import { openHouse, RECIPE, send, shotInput, TODAY } from '../../../tests/support/house';
import { prefill, shotSent } from './shotEntry';
import { verdictOf } from './verdict';

function benchAfter(...shots: Record<string, unknown>[]) {
  const house = openHouse();
  for (const changes of shots) send(house.db, 'logShot', shotInput(house.draftId, changes));
  const bench = () =>
    readRelease(house.db, findHouse(house.db)!, house.releaseId, { today: TODAY })!.bench!;
  return { ...house, bench };
}

describe('the entry of the next shot', () => {
  it('is prefilled from the recipe, with only the time left open', () => {
    expect(prefill(benchAfter().bench())).toMatchObject({
      dial: '12',
      doseG: '18',
      yieldG: '36',
      timeS: '',
      purged: false,
    });
  });

  it('stands where the advice says', () => {
    const { bench } = benchAfter({ timeS: 22 });
    const { move } = bench().advice;
    expect(move!.variable).toBe('dial');
    expect(prefill(bench()).dial).toBe(String(move!.to));
  });

  it('carries the dose it aims at when the dose was trimmed on purpose', () => {
    const { db, draftId, bench } = benchAfter({ doseG: 18.6, aimDoseG: 18.6 });
    expect(bench().shots[0]!.mark.inDose).toBe(true);
    const next = shotSent({ ...prefill(bench()), timeS: '28' }, bench());
    expect(next.aimDoseG).toBe(18.6);
    send(db, 'logShot', { ...shotInput(draftId), ...next, dial: 12 });
    expect(bench().shots[1]!.aimDoseG).toBe(18.6);
  });

  it('begins at the dial of a revision made by taste', () => {
    const { db, releaseId, setupId, bench } = benchAfter({});
    const revised = { ...RECIPE, releaseId, setupId, batchId: `${releaseId}-1`, startDial: 11 };
    send(db, 'acceptRecipe', revised);
    expect(prefill(bench()).dial).toBe('11');
  });
});

describe('the ledger’s words', () => {
  it.each([
    [{}, 'landed'],
    [{ timeS: 23.9 }, '◂ 2.1 s fast'],
    [{ timeS: 33 }, '3.0 s slow ▸'],
    [{ yieldG: 41 }, 'ran long'],
    [{ yieldG: 0.5, timeS: 30, seen: ['choke'] }, 'choked'],
    [{ seen: ['spurt'] }, 'spurts'],
  ])('%j is "%s"', (changes, words) => {
    const bench = benchAfter(changes).bench();
    expect(verdictOf(bench.shots[0]!, bench)).toBe(words);
  });
});
