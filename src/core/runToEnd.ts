/** Runs work that is done in steps to its end at once. */
export function runToEnd<R>(work: Generator<unknown, R>): R {
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}
