'use client';

import { useState } from 'react';
import { Choice } from '@/ui/choices';
import { Small } from '@/ui/type';
import type { Told } from './Answers';
import { BenchCups } from './BenchCups';
import { PaperCups } from './PaperCups';

type Where = 'paper' | 'bench';

/** Three cups of one shot, out of their order: which came first, and what does that say? */
export function CupsDrill() {
  const [where, setWhere] = useState<Where>('paper');
  const [round, setRound] = useState(1);
  const [told, setTold] = useState<readonly Told[]>([]);
  const onTold = (one: Told) => setTold((before) => [...before, one]);
  const onNext = () => setRound(round + 1);
  const right = told.filter(({ isOrderRight }) => isOrderRight).length;
  return (
    <>
      <p>
        The first part of a shot is sour and thick, the middle sweet, the end thin and drying. Tell
        them apart blind, and you know which way a whole shot is off.
      </p>
      <Choice
        label="The cups"
        value={where}
        onChange={(next) => {
          setWhere(next);
          setTold([]);
        }}
        options={[
          { value: 'paper', label: 'Simulated, as cup sheets' },
          { value: 'bench', label: 'Your own, at the bench' },
        ]}
      />
      {where === 'paper' ? (
        <PaperCups key={round} seed={round} onTold={onTold} onNext={onNext} />
      ) : (
        <BenchCups key={round} onTold={onTold} onNext={onNext} />
      )}
      {told.length > 0 && (
        <Small role="status">
          {right} of {told.length} orders right. By luck alone it would be one in six.
        </Small>
      )}
    </>
  );
}
