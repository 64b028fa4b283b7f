import { Network } from './network';
import { fieldWatcher, follow } from './watch';
import { measuresOf } from './field';
const change = JSON.parse(process.env.P ?? '{}');
const network = new Network({
  seed: 1,
  cafes: 20,
  days: 365,
  checksADay: 3,
  dialMissing: 0,
  noiseSd: 0.06,
  daysBetweenFaults: 45,
  ...change,
});
const o = follow(network, fieldWatcher(network, !process.env.ALONE));
for (const m of measuresOf('', o)) console.log(m.metric.padEnd(44), m.value.toFixed(3), m.unit);
