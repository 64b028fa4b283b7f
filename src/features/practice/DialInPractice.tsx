'use client';

import { say } from '@/words/say';
import { useState } from 'react';
import styled from 'styled-components';
import {
  LEVEL_FACTS,
  PRACTICE_DAYS,
  PRACTICE_LEVELS,
  type PracticeLevel,
  levelMessage,
} from '@/core/practice/levels';
import { Choice } from '@/ui/choices';
import { Small } from '@/ui/type';
import { Round } from './Round';

const Settings = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 14px 28px;
`;

type Help = 'with' | 'alone';

/** Dialling in a hidden, made-up coffee: what it costs is no coffee at all. */
export function DialInPractice({ first }: { first?: PracticeLevel | undefined }) {
  const [level, setLevel] = useState<PracticeLevel>(first ?? 'medium');
  const [coffee, setCoffee] = useState(1);
  const [help, setHelp] = useState<Help>('with');
  return (
    <>
      <p>
        A coffee that exists only in the shot simulator, on a grinder you do not know. Bring a
        setting on target before the bag is empty. Nothing of it is kept, and nothing of it touches
        the house.
      </p>
      <Settings>
        <Choice
          label="Level"
          value={level}
          onChange={(next) => {
            setLevel(next);
            setCoffee(1);
          }}
          options={PRACTICE_LEVELS.map((value) => ({ value, label: LEVEL_FACTS[value].label }))}
        />
        <Choice
          label="Or a day that goes wrong"
          value={level}
          onChange={(next) => {
            setLevel(next);
            setCoffee(1);
          }}
          options={PRACTICE_DAYS.map((value) => ({ value, label: LEVEL_FACTS[value].label }))}
        />
        <Choice
          label="The advice"
          value={help}
          onChange={setHelp}
          options={[
            { value: 'with', label: 'Shown' },
            { value: 'alone', label: 'Hidden till the end' },
          ]}
        />
      </Settings>
      <Small>
        {say(levelMessage(level))} Coffee {coffee}.
      </Small>
      <Round
        key={`${level} ${coffee}`}
        level={level}
        seed={coffee}
        isAdvised={help === 'with'}
        onNext={() => setCoffee(coffee + 1)}
      />
    </>
  );
}
