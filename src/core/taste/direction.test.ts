import { grinder } from '../../../tests/support/coffee';
import { tasteDirection } from './direction';
import { tasteMove } from '../advice/tasteMove';

const balanced = { acidity: 5, sharpness: 2, sweetness: 7, bitterness: 3, dryness: 1, body: 6 };
const onBench = {
  target: { doseG: 18, yieldG: 36, temperatureC: 93 },
  roastLevel: 0,
  dial: 11,
  grinder,
};
const moveFor = (taste: Parameters<typeof tasteDirection>[0], changes = {}) =>
  tasteMove({ direction: tasteDirection(taste, 0), ...onBench, ...changes });

describe('taste direction', () => {
  it('leaves a balanced cup alone', () => {
    expect(tasteDirection(balanced, 0)).toMatchObject({ verdict: 'right', size: null });
    expect(moveFor(balanced)).toBeNull();
  });

  it('tells under from over and sizes them', () => {
    expect(tasteDirection({ ...balanced, sharpness: 9 }, 0)).toMatchObject({
      verdict: 'under',
      size: 'large',
    });
    expect(tasteDirection({ ...balanced, dryness: 6 }, 0)).toMatchObject({
      verdict: 'over',
      size: 'medium',
    });
    expect(tasteDirection({ ...balanced, bitterness: 5.2 }, 0).size).toBe('small');
  });

  it('calls a cup that is both sour and bitter uneven, and moves nothing', () => {
    const both = { ...balanced, sharpness: 7, bitterness: 8 };
    expect(tasteDirection(both, 0).verdict).toBe('uneven');
    expect(moveFor(both)).toBeNull();
  });

  it('judges by the coffee: bright is right for a light roast, bitter for a dark one', () => {
    expect(tasteDirection({ ...balanced, sharpness: 4.5 }, 0).verdict).toBe('under');
    expect(tasteDirection({ ...balanced, sharpness: 4.5 }, -2).verdict).toBe('right');
    expect(tasteDirection({ ...balanced, bitterness: 5.5 }, 0).verdict).toBe('over');
    expect(tasteDirection({ ...balanced, bitterness: 5.5 }, 2).verdict).toBe('right');
  });

  it('counts ticked words', () => {
    expect(tasteDirection({ ...balanced, signs: ['grassy', 'salty'] }, 0).verdict).toBe('under');
    expect(tasteDirection({ ...balanced, signs: ['burnt'] }, 0).verdict).toBe('over');
  });
});

describe('taste as a move', () => {
  it('goes ratio, then grind, then temperature by size', () => {
    expect(moveFor({ sharpness: 9 })).toMatchObject({ variable: 'yieldG', from: 36, to: 41.5 });
    expect(moveFor({ sharpness: 6 })).toMatchObject({ variable: 'dial', from: 11, to: 10 });
    expect(moveFor({ bitterness: 8 })).toMatchObject({ variable: 'dial', from: 11, to: 13 });
    expect(moveFor({ bitterness: 5.2 })).toMatchObject({ variable: 'temperatureC', to: 92 });
  });

  it('answers a small fault with the ratio where the temperature is fixed', () => {
    const machine = { settableTemperature: false };
    expect(moveFor({ bitterness: 5.2 }, { machine })).toMatchObject({ variable: 'yieldG', to: 34 });
  });

  it('answers weak and strong with the ratio', () => {
    expect(moveFor({ ...balanced, strength: -1 })!.to).toBeLessThan(36);
    expect(moveFor({ ...balanced, strength: 2 })!.to).toBeGreaterThan(36);
  });
});
