import { revisedWindow } from './revise';
import type { Expectation } from './types';

const target = { timeS: [26, 30] as [number, number] };
const expectation: Expectation = { timeS: 31, interval80: [28, 34], clock: 'pump', landing: 0.3 };

describe('the window of a changed recipe', () => {
  it('grows with the beverage at the same grind', () => {
    const move = { variable: 'yieldG', from: 36, to: 40.5 } as const;
    expect(revisedWindow(target, move, expectation)).toEqual([29, 34]);
  });

  it('is centred on what a grind move made by taste will give', () => {
    const move = { variable: 'dial', from: 11, to: 10 } as const;
    const [low, high] = revisedWindow(target, move, expectation);
    expect((low + high) / 2).toBeCloseTo(31, 0);
  });

  it('stays for a change of temperature', () => {
    const move = { variable: 'temperatureC', from: 93, to: 94 } as const;
    expect(revisedWindow(target, move, expectation)).toEqual([26, 30]);
  });
});
