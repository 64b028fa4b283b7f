/** Says what the core has to say: reasons, moves, warnings. Faults have a speaker of their own: light pages need no more. */
import advice from './messages/en/advice.json' with { type: 'json' };
import cafes from './messages/en/cafes.json' with { type: 'json' };
import due from './messages/en/due.json' with { type: 'json' };
import panel from './messages/en/panel.json' with { type: 'json' };
import practice from './messages/en/practice.json' with { type: 'json' };
import programme from './messages/en/programme.json' with { type: 'json' };
import state from './messages/en/state.json' with { type: 'json' };
import start from './messages/en/start.json' with { type: 'json' };
import tasting from './messages/en/tasting.json' with { type: 'json' };
import { speaker } from './speaker';

export const say = speaker({
  advice,
  cafes,
  due,
  panel,
  practice,
  programme,
  start,
  state,
  tasting,
});
