import { cafeState, type CoffeeThere } from './cafeState';

const there = (changes: Partial<CoffeeThere> = {}): CoffeeThere => ({
  coffee: 'lamp',
  checks: ['inside', 'inside', 'fast'],
  next: { offS: -0.4, inWindow: 0.9 },
  ...changes,
});
const at = (inWindow: number, checks: CoffeeThere['checks'] = ['fast', 'fast', 'fast']) =>
  there({ checks, next: { offS: -4.1, inWindow } });

describe('the state of a café', () => {
  it('is unsent before a check, of any coffee', () => {
    expect(cafeState([])).toEqual({ kind: 'unsent' });
    expect(cafeState([there({ checks: [], next: null })])).toEqual({ kind: 'unsent' });
  });

  it('is off where it rather misses its window than hits it, from its third check on', () => {
    for (const inWindow of [0.0001, 0.05, 0.49])
      expect(cafeState([at(inWindow)])).toEqual({
        ...{ kind: 'off', coffee: 'lamp', offS: -4.1, inWindow },
      });
    expect(cafeState([at(0.51)])).toEqual({ kind: 'onTarget' });
  });

  it('is too new to judge before, with its checks counted by side', () => {
    expect(cafeState([at(0.05, ['fast', 'slow'])])).toEqual({
      ...{ kind: 'new', coffee: 'lamp', checks: 2, fast: 1, slow: 1 },
    });
    expect(cafeState([there({ checks: ['inside'] })])).toMatchObject({ kind: 'new', checks: 1 });
  });

  it('is that of its worst coffee, and one that can be judged speaks before one that cannot', () => {
    const quay = { ...at(0.2), coffee: 'quay' };
    expect(cafeState([there(), quay, { ...at(0.4), coffee: 'ridge' }])).toMatchObject({
      ...{ kind: 'off', coffee: 'quay' },
    });
    expect(cafeState([there(), there({ coffee: 'new', checks: ['inside'] })])).toEqual({
      kind: 'onTarget',
    });
    expect(cafeState([{ ...at(0.01, ['fast']), coffee: 'new' }, quay])).toMatchObject({
      coffee: 'quay',
    });
  });
});
