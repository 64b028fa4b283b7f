'use client';

import { useState } from 'react';
import { VOLUME_LABELS } from '@/core/units';
import { Choice } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { FieldGrid, TextInput } from '@/ui/fields';
import { usePerson } from '@/ui/person';
import { LETTERS, moveKey, setKeysOn, useKeyOf, useKeysOn, type Letter } from '@/ui/singleKeys';
import {
  DENSITY_LABELS,
  setDensity,
  setTheme,
  THEME_LABELS,
  useDensity,
  useTheme,
} from '@/ui/theme/look';
import { SectionTitle, Small } from '@/ui/type';
import { Unfold } from '@/ui/Unfold';
import { useCommand } from '@/ui/useCommand';

const optionsOf = <T extends string>(labels: Readonly<Record<T, string>>) =>
  Object.entries<string>(labels).map(([value, label]) => ({ value: value as T, label }));

const TEMPERATURES = { C: '°C', F: '°F' } as const;
const KEYS = { on: 'act', off: 'do nothing' } as const;

/** A person's own: units go with them, keys and looks stay with this browser. */
export function Own() {
  const { units, name } = usePerson();
  const keysOn = useKeysOn();
  const theme = useTheme();
  const density = useDensity();
  const { submit, faults } = useCommand();
  const save = (part: Partial<typeof units>) => void submit('saveUnits', { ...units, ...part });
  return (
    <section>
      <SectionTitle as="h2">How figures read for {name}</SectionTitle>
      <FieldGrid $columns={2} style={{ maxWidth: 480, marginTop: 10 }}>
        <Choice
          label="Volumes in"
          value={units.volume}
          onChange={(volume) => save({ volume })}
          options={optionsOf(VOLUME_LABELS)}
        />
        <Choice
          label="Temperatures in"
          value={units.temperature}
          onChange={(temperature) => save({ temperature })}
          options={optionsOf(TEMPERATURES)}
        />
      </FieldGrid>
      <Faults faults={faults} />
      <Small>
        Only how they are shown and typed. Masses are always in grams; cards say °C and °F. Days are
        typed in the order of this browser’s language, and its weeks begin as it says; hours are the
        house’s, with yours beside them where they differ.
      </Small>
      <SectionTitle as="h2" style={{ marginTop: 20 }}>
        In this browser
      </SectionTitle>
      <FieldGrid $columns={2} style={{ maxWidth: 480, marginTop: 10 }}>
        <Choice
          label="Light or dark"
          value={theme}
          onChange={setTheme}
          options={optionsOf(THEME_LABELS)}
        />
        <Choice
          label="Lists and forms"
          value={density}
          onChange={setDensity}
          options={optionsOf(DENSITY_LABELS)}
        />
        <Choice
          label="Single keys"
          value={keysOn ? 'on' : 'off'}
          onChange={(word) => setKeysOn(word === 'on')}
          options={optionsOf(KEYS)}
        />
      </FieldGrid>
      <Small>
        Single keys, as N or 3: turn them off where you speak to the browser or have it read aloud.
      </Small>
      <Unfold label="Which letter does what">
        {() => (
          <FieldGrid $columns={2} style={{ maxWidth: 480 }}>
            {(Object.keys(LETTERS) as Letter[]).map((letter) => (
              <LetterField key={letter} letter={letter} />
            ))}
          </FieldGrid>
        )}
      </Unfold>
    </section>
  );
}

/** One act and the letter it is on; typing another letter moves it. */
function LetterField({ letter }: { letter: Letter }) {
  const key = useKeyOf(letter);
  const [refused, setRefused] = useState<{ typed: string; why: string } | null>(null);
  const move = (typed: string) => {
    const to = typed.slice(-1);
    if (to === '') return;
    const why = moveKey(letter, to.toLowerCase());
    setRefused(why === null ? null : { typed: to, why });
  };
  return (
    <TextInput
      label={LETTERS[letter].replace(/^./, (first) => first.toUpperCase())}
      value={refused?.typed ?? key}
      onChange={move}
      fault={refused?.why}
      autoComplete="off"
    />
  );
}
