import { say } from '@/words/say';
import { caffeineMg, caffeinePct, stopMessage } from './palate';

it('a double of arabica has about 130 mg, shared by who tasted it; robusta more, decaf next to none', () => {
  const arabica = caffeinePct([{ sharePct: 100, varietyClass: 'ordinary' }]);
  expect(caffeineMg(18, arabica, 1)).toBeCloseTo(129.6, 6);
  expect(caffeineMg(18, arabica, 3)).toBeCloseTo(43.2, 6);
  const blend = caffeinePct([
    { sharePct: 70, varietyClass: 'ordinary' },
    { sharePct: 30, varietyClass: 'robusta' },
  ]);
  expect(blend).toBeCloseTo(1.5, 10);
  expect(caffeineMg(18, caffeinePct([{ sharePct: 100, process: 'decaf' }]), 1)).toBeLessThan(6);
  expect(caffeinePct([])).toBe(arabica);
});

it('suggests a stop by caffeine before it does by cups, and none before', () => {
  expect(stopMessage({ cups: 2, caffeineMg: 200 })).toBeNull();
  expect(say(stopMessage({ cups: 3, caffeineMg: 310 })!)).toMatch(/spit, or stop.*ask a doctor/);
  expect(say(stopMessage({ cups: 12, caffeineMg: 20 })!)).toMatch(/palate/);
});
