import { pulledAfter } from './revise';

const target = { yieldG: 36, temperatureC: 93, timeS: [26, 30] as [number, number] };
const EXPECTED_S = 31;

describe('what the next shot is pulled to', () => {
  it('has a window that grows with the beverage at the same grind', () => {
    const move = { variable: 'yieldG', from: 36, to: 40.5 } as const;
    expect(pulledAfter(target, move, EXPECTED_S)).toEqual({
      yieldG: 40.5,
      temperatureC: 93,
      timeS: [29, 34],
    });
  });

  it('has a window centred on what a grind move made by taste will give', () => {
    const move = { variable: 'dial', from: 11, to: 10 } as const;
    const { timeS, yieldG } = pulledAfter(target, move, EXPECTED_S);
    expect((timeS[0] + timeS[1]) / 2).toBeCloseTo(31, 0);
    expect(yieldG).toBe(36);
  });

  it('keeps its window for a change of temperature', () => {
    const move = { variable: 'temperatureC', from: 93, to: 94 } as const;
    expect(pulledAfter(target, move, EXPECTED_S)).toEqual({ ...target, temperatureC: 94 });
  });
});
