'use client';

import { useImperativeHandle, useRef, type FormEvent, type Ref } from 'react';
import styled from 'styled-components';
import { OwnKey } from '@/ui/OwnKey';
import { volumeOfMass } from '@/core/extraction/volume';
import { dialMoveWords, dialWords } from '@/core/grinder/notation';
import { SEEN, SEEN_AS_NOTES, SEEN_LABELS, type Seen } from '@/core/vocabulary';
import type { PullView } from '@/views/pull';
import type { Bench } from '@/views/release';
import type { Refractometer } from '@/devices/instruments';
import { MainButton } from '@/ui/Button';
import { Chip, ChipRow } from '@/ui/choices';
import { QuantityInput } from '@/ui/fields';
import { OverruleReason } from '@/ui/OverruleReason';
import { useUnits } from '@/ui/person';
import { Key, labelText, Notice, Small } from '@/ui/type';
import { bindTo } from '@/ui/useTextForm';
import { BeforeShot } from './BeforeShot';
import { MoreOfShot } from './MoreOfShot';
import {
  byVolume,
  isOverruled,
  needsPurge,
  purgeOfTick,
  yieldOf,
  type ShotText,
} from './shotEntry';

const Form = styled.form`
  display: grid;
  gap: 10px;

  @media (max-width: 640px) {
    order: -1;

    > :first-child {
      order: 1;
    }
  }
`;

const Figures = styled.div`
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr)) auto;
  gap: 10px;
  align-items: start;

  button {
    margin-top: 23px;
  }

  @media (max-width: 640px) {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
`;

const Keys = styled.p`
  ${labelText}

  @media (max-width: 640px) {
    display: none;
  }
`;

export interface ShotFormHandle {
  readonly focusYield: () => void;
  readonly focusDial: () => void;
}

export interface ShotFormProps {
  readonly bench: Bench;
  readonly text: ShotText;
  readonly onChange: (change: Partial<ShotText>) => void;
  readonly onLog: () => void;
  readonly faultOf: (field: string) => string | undefined;
  readonly isBusy: boolean;
  readonly handle: Ref<ShotFormHandle>;
  /** What a visible millilitre weighs here. */
  readonly cremaGPerMl: number;
  /** Weight at which the pump is to stop. */
  readonly stopAtG: number;
  readonly bag: PullView['bag'];
  /** Null where strength is measured by hand. */
  readonly refractometer: Refractometer | null;
}

export function ShotForm({
  bench,
  text,
  onChange,
  onLog,
  faultOf,
  isBusy,
  handle,
  cremaGPerMl,
  stopAtG,
  bag,
  refractometer,
}: ShotFormProps) {
  const { grinder } = bench.setup;
  const dialRef = useRef<HTMLInputElement>(null);
  const yieldRef = useRef<HTMLInputElement>(null);
  useImperativeHandle(handle, () => ({
    focusDial: () => dialRef.current?.focus(),
    focusYield: () => yieldRef.current?.focus(),
  }));
  const { mass } = useUnits();
  const purgeWords = grinder.retentionG > 0 ? mass(purgeOfTick(text, bench)) : '';
  const lastDial = bench.shots.at(-1)?.dial;
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    onLog();
  };
  const bind = bindTo(text, onChange, faultOf);
  const isByVolume = text.yieldMl !== '';
  const readByVolume = (isRead: boolean) => {
    const { yieldG } = bench.draft.recipe;
    onChange(
      isRead
        ? byVolume(volumeOfMass(yieldG, cremaGPerMl), cremaGPerMl)
        : { yieldMl: '', yieldG: String(yieldG) },
    );
  };
  const toggleSeen = (word: Seen) =>
    onChange({
      seen: text.seen.includes(word)
        ? text.seen.filter((other) => other !== word)
        : [...text.seen, word],
    });
  const chipOf = (word: Seen) => (
    <Chip key={word} isSelected={text.seen.includes(word)} onChange={() => toggleSeen(word)}>
      {SEEN_LABELS[word]}
    </Chip>
  );
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Shot">
      <BeforeShot bench={bench} text={text} stopAtG={stopAtG} bag={bag} />
      <Figures>
        <QuantityInput
          label="Dial"
          quantity="dial"
          step={grinder.stepSize}
          inputRef={dialRef}
          large
          {...bind('dial')}
        />
        <QuantityInput label="Dose" quantity="doseG" step={0.1} large {...bind('doseG')} />
        {isByVolume ? (
          <QuantityInput
            label="Yield"
            quantity="shotYieldMl"
            step={1}
            inputRef={yieldRef}
            large
            {...bind('yieldMl')}
            onChange={(ml) => onChange(byVolume(ml, cremaGPerMl))}
            hint={`about ${text.yieldG || '?'} g, rough`}
          />
        ) : (
          <QuantityInput
            label="Yield"
            quantity="shotYieldG"
            step={0.1}
            inputRef={yieldRef}
            large
            {...bind('yieldG')}
            onChange={(typed) => onChange(yieldOf(typed, cremaGPerMl))}
          />
        )}
        <QuantityInput label="Time" quantity="timeS" step={0.1} large {...bind('timeS')} />
        <QuantityInput
          label="First drip"
          quantity="firstDripS"
          step={0.1}
          large
          {...bind('firstDripS')}
        />
        <MainButton type="submit" isPending={isBusy}>
          Log it
        </MainButton>
      </Figures>
      <Keys>
        <Key>Enter</Key> logs <OwnKey of="n" /> to the figures <Key>↑</Key> <Key>↓</Key> nudge{' '}
        <Key>Esc</Key> leaves a figure <OwnKey of="p" /> purged <OwnKey of="u" /> deletes the last
        shot
      </Keys>
      <ChipRow role="group" aria-label="What was done and seen">
        <Chip isSelected={text.purged} onChange={(purged) => onChange({ purged })}>
          Purged {purgeWords}
        </Chip>
        <Chip isSelected={isByVolume} onChange={readByVolume}>
          Yield by volume
        </Chip>
        {SEEN.filter((word) => !SEEN_AS_NOTES.includes(word)).map(chipOf)}
      </ChipRow>
      <ChipRow role="group" aria-label="Notes, not judged">
        <Small as="span">Notes</Small>
        {SEEN_AS_NOTES.map(chipOf)}
      </ChipRow>
      {needsPurge(text, bench) && !text.purged && (
        <Small role="status">
          The dial moves {dialMoveWords(grinder, Number(lastDial), Number(text.dial))}: purge{' '}
          {purgeWords}, then press <OwnKey of="p" />.
        </Small>
      )}
      {isOverruled(text, bench) && (
        <OverruleReason
          label={`Your change: dial ${dialWords(grinder, Number(text.dial))}, ${dialWords(grinder, bench.advice.setting.dial)} is advised; reason (optional)`}
          reasons={[
            'I know this grinder',
            'Taste says so',
            'To learn the grinder',
            'Day or weather',
          ]}
          value={text.overruled}
          onChange={(overruled) => onChange({ overruled })}
          fault={faultOf('overruled')}
        />
      )}
      {text.seen.includes('choke') && (
        <Notice>
          Choked: pressure stays behind the puck. Wait for it to vent before you loosen the
          portafilter; group, portafilter and steam scald.
        </Notice>
      )}
      <MoreOfShot
        bench={bench}
        text={text}
        onChange={onChange}
        faultOf={faultOf}
        refractometer={refractometer}
      />
    </Form>
  );
}
