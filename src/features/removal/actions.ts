/** Taking things away and putting them back. */
import { z } from 'zod';
import { userFault } from '@/core/errors';
import { oneOf } from '@/core/schema/fields';
import { defineCommand, personOf, type Context } from '@/data/command';
import { countLeads, findPerson } from '@/data/people';
import { REMOVABLE, releaseOf, setRemoved, whatHolds, type Removable } from '@/data/removal';

const input = z.strictObject({ what: oneOf('What', REMOVABLE), id: z.string().max(70) });

export const takeAway = defineCommand({
  kind: 'takeAway',
  duty: 'lead',
  input,
  run: ({ what, id }, context) => {
    const held = whatHolds(context.db, what, id);
    if (held) throw userFault('refused', 'id', held);
    if (what === 'person') keepALead(id, context);
    return move(what, id, true, context);
  },
});

export const putBack = defineCommand({
  kind: 'putBack',
  duty: 'lead',
  input,
  run: ({ what, id }, context) => move(what, id, false, context),
});

function move(what: Removable, id: string, removed: boolean, { db }: Context) {
  const releaseId = releaseOf(db, what, id);
  if (!setRemoved(db, what, id, removed))
    throw userFault(
      'notFound',
      'id',
      `There is no such ${what} to ${removed ? 'take away' : 'put back'}. Reload the page.`,
    );
  return {
    releaseId,
    words: `${removed ? 'took away' : 'put back'} a ${what}`,
    result: {},
  };
}

function keepALead(id: string, context: Context): void {
  if (id === personOf(context).id)
    throw userFault('refused', 'id', 'You cannot take yourself away. Ask another lead to do it.');
  if (findPerson(context.db, id)?.role === 'lead' && countLeads(context.db) < 2)
    throw userFault('refused', 'id', 'This is the only lead. Make someone else lead first.');
}
