'use client';

import { say } from '@/words/say';
import { figure } from '@/core/figure';
import { stopMessage } from '@/core/taste/palate';
import { useMay, usePerson } from '@/ui/person';
import { Notice, Small } from '@/ui/type';
import type { TasterToday } from '@/views/palate';

/** What today's tasting adds up to: one's own, and for the lead everybody's. Suggests, never blocks. */
export function Palates({ tasters }: { tasters: readonly TasterToday[] }) {
  const { id } = usePerson();
  const isLead = useMay('lead');
  const own = tasters.find(({ personId }) => personId === id);
  const others = isLead ? tasters.filter(({ personId }) => personId !== id) : [];
  const stop = own && stopMessage(own);
  if (!own && others.length === 0) return null;
  const said = [
    ...(own ? [`you ${amountWords(own)}`] : []),
    ...others.map((taster) => `${taster.name} ${amountWords(taster)}`),
  ];
  return (
    <div>
      <Small as="p">
        Tasted today: {said.join('; ')}. If swallowed, a shot shared among its tasters; an estimate.
      </Small>
      {stop && <Notice>{say(stop)}</Notice>}
    </div>
  );
}

const amountWords = ({ cups, caffeineMg }: TasterToday) =>
  `${cups} ${cups === 1 ? 'cup' : 'cups'}, about ${figure(caffeineMg, 0)} mg of caffeine`;
