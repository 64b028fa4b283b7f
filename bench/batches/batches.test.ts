/** The figures of docs/model.md in small: enough to see that carrying over is worth it, and what it risks. */
import { benchAgeing } from './ageing';
import { benchNewBatches } from './newBatches';

it('a recipe carried over takes half the shots of dialling in anew, and is wrong less often than one never checked', () => {
  const measures = benchNewBatches(1, [0.05]);
  const of = (name: string, metric: string) =>
    measures.find((row) => row.case === `τ 0.05, ${name}` && row.metric === metric)!.value;
  expect(of('carried over, .80', 'shots')).toBeLessThan(of('always dialled in anew', 'shots') / 2);
  expect(of('carried over, .85', 'wrong')).toBeLessThan(of('never checked', 'wrong') / 2);
  expect(of('carried over, .85', 'shots')).toBeGreaterThan(of('carried over, .80', 'shots'));
});

it('the curve learnt by the house foretells three weeks better than a line', () => {
  const measures = benchAgeing(6);
  const error = (name: string) =>
    measures.find((row) => row.case === `21 days, ${name}` && row.metric === 'error')!.value;
  expect(error('the curve learnt by the house')).toBeLessThan(error('a line learnt by the house'));
  const held = measures.find(
    ({ case: name, metric }) => name.startsWith('21') && metric !== 'error',
  );
  expect(held!.value).toBeGreaterThan(75);
});
