import { readTraceSheet } from './traceSheet';

const bytes = (text: string) => new TextEncoder().encode(text);

describe('a trace from a file', () => {
  it('reads points, with commas or semicolons, and lets other columns by', () => {
    expect(readTraceSheet(bytes('time_s,weight_g,note\n0,0,a\n0.1,0.25,b\n'))).toEqual([
      { timeS: 0, weightG: 0 },
      { timeS: 0.1, weightG: 0.25 },
    ]);
    expect(readTraceSheet(bytes('Time_s;Weight_g;Pressure_bar\n0,1;1,5;8,9\n'))).toEqual([
      { timeS: 0.1, weightG: 1.5, pressureBar: 8.9 },
    ]);
  });

  it.each([
    ['time,weight_g\n0,1', /no column time_s/],
    ['time_s,weight_g\n0,1\n0.1,', /Row 3: weight_g is empty/],
    ['time_s,weight_g\n0,much', /Row 2: weight_g is “much”, which is no number/],
    ['time_s,weight_g', /no rows under its header/],
  ])('names what cannot be read: %j', (text, words) => {
    expect(() => readTraceSheet(bytes(text))).toThrow(words);
  });
});
