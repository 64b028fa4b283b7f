'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import type { Commands } from '@/core/command/inputs';
import { COOL_S } from '@/core/panel/atTheTable';
import { EMPTY_CUP_FAULT, isEmptyCup } from '@/core/taste/emptyCup';
import { LIKENESS_LABELS, LIKENESSES } from '@/core/taste/staged';
import { MOMENT_LABELS, MOMENTS, SERVING_LABELS } from '@/core/vocabulary';
import { MainButton } from '@/ui/Button';
import { Chip, ChipRow, Choice } from '@/ui/choices';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { SelectInput, TextInput } from '@/ui/fields';
import { More } from '@/ui/More';
import type { Entry } from '@/ui/outbox';
import { Notice, Small } from '@/ui/type';
import { useDraft } from '@/ui/useDraft';
import { useOutbox } from '@/ui/useOutbox';
import { Waiting } from '@/ui/Waiting';
import type { TasterState } from '@/views/flight';
import { inWords } from '@/words/faults';
import { PromisedChips, ScaleOf, SignChips, StrengthRow } from '../CupParts';
import { cupSentOf, EMPTY_CUP, SCALES, type CupText } from '../cupText';
import { useSincePoured } from './Cooling';

const Form = styled.form`
  display: grid;
  gap: 10px;
`;

/** What most cups are told by: the rest is folded. */
const FIRST = ['liking', 'sweetness', 'sharpness', 'bitterness'] as const;
const FIRST_SCALES = FIRST.map((name) => SCALES.find((scale) => scale.name === name)!);
const OTHER_SCALES = SCALES.filter(({ name }) => !FIRST.some((first) => first === name));
const MOMENT_OPTIONS = MOMENTS.map((value) => ({ value, label: MOMENT_LABELS[value] }));
const LIKE = [
  { value: '', label: 'not said' },
  ...LIKENESSES.map((value) => ({ value, label: LIKENESS_LABELS[value] })),
];

/** A cup is hot until it has cooled half of the way, and cool after twice. */
const momentAt = (sinceS: number | null): CupText['moment'] =>
  sinceS === null || sinceS >= COOL_S / 2
    ? sinceS !== null && sinceS > 3 * COOL_S
      ? 'cool'
      : 'warm'
    : 'hot';

interface SheetText extends CupText {
  readonly likeness: string;
  /** The moment as somebody set it; else it follows the clock. */
  readonly isMomentSet: boolean;
}

const EMPTY: SheetText = { ...EMPTY_CUP, likeness: '', isMomentSet: false };

/** One cup of a flight: a few scales, the notes, and its moment by the clock. Kept here until it is up. */
export function BlindCup({
  cup,
  state,
  of,
  onKept,
}: {
  cup: TasterState['cups'][number];
  state: TasterState;
  of: { readonly tasterId: string; readonly device: string };
  onKept: () => void;
}) {
  const queue = useOutbox(`flight ${of.tasterId}`);
  const since = useSincePoured(cup.pouredAt);
  const [text, setText] = useState<SheetText>(EMPTY);
  const [late, setLate] = useState(false);
  const change = (part: Partial<SheetText>) => setText((before) => ({ ...before, ...part }));
  const draft = useDraft(`blind ${cup.code}`, {
    value: text,
    initial: EMPTY,
    onRestore: setText,
  });
  const moment = text.isMomentSet ? text.moment : momentAt(since);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const { tdsPct: _, serving: _serving, ...sent } = cupSentOf({ ...text, moment });
    if (isEmptyCup(sent))
      return queue.setFaults([{ field: '', message: inWords(EMPTY_CUP_FAULT) }]);
    const answer = await queue.send('tasteBlind', {
      ...of,
      ...sent,
      code: cup.code,
      ...(text.likeness !== '' && { likeness: text.likeness }),
      tastedAt: new Date().toISOString(),
    });
    if (answer !== 'waiting' && !answer.ok) return;
    setLate(answer !== 'waiting' && 'isLate' in answer.result && answer.result.isLate === true);
    draft.forget();
    setText(EMPTY);
    onKept();
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label={`Cup ${cup.code}`}>
      <Waiting
        waiting={queue.waiting}
        trouble={queue.trouble}
        one="cup"
        words={(entry) => cupWords(entry)}
      />
      {late && (
        <Notice>
          This flight was revealed before your sheet came: it is kept apart and counts in nothing
          blind.
        </Notice>
      )}
      <DraftNotice draft={draft} />
      {cup.serving !== 'straight' && (
        <Small>Served {SERVING_LABELS[cup.serving].toLowerCase()}.</Small>
      )}
      <Choice
        label="The cup is"
        value={moment}
        onChange={(value) => change({ moment: value, isMomentSet: true })}
        options={MOMENT_OPTIONS}
      />
      {FIRST_SCALES.map((scale) => (
        <ScaleOf key={scale.name} scale={scale} text={text} onChange={change} />
      ))}
      <Notes text={text} state={state} onChange={change} />
      {state.asksLikeness && (
        <SelectInput
          label="Of the staged cups it is most like"
          value={text.likeness}
          onChange={(likeness) => change({ likeness })}
          options={LIKE}
        />
      )}
      <More label="More scales, signs and a remark" hasFault={false}>
        <Form as="div">
          {OTHER_SCALES.map((scale) => (
            <ScaleOf key={scale.name} scale={scale} text={text} onChange={change} />
          ))}
          <StrengthRow text={text} onChange={change} />
          <SignChips text={text} onChange={change} />
          <TextInput
            label="Remark"
            value={text.remark}
            onChange={(remark) => change({ remark })}
            fault={queue.faultOf('remark')}
          />
        </Form>
      </More>
      <MainButton type="submit" isPending={queue.isBusy}>
        Keep cup {cup.code}
      </MainButton>
      <Faults faults={queue.faults} shown={['remark']} />
      {cup.moments.length > 0 && (
        <Small>
          Kept: {cup.moments.join(', ')}. A sheet for the same moment takes the place of the one
          before.
        </Small>
      )}
    </Form>
  );
}

const MOST_OFFERED = 6;

/** Promised notes to tick, and others of the house's words as they are typed. */
function Notes({
  text,
  state: { promised, vocabulary },
  onChange,
}: {
  text: SheetText;
  state: TasterState;
  onChange: (part: Partial<SheetText>) => void;
}) {
  const begun = text.otherNotes.split(',').at(-1)!.trim().toLowerCase();
  const before = text.otherNotes.slice(0, text.otherNotes.lastIndexOf(',') + 1);
  const offered =
    begun === ''
      ? []
      : vocabulary
          .filter((note) => note.toLowerCase().startsWith(begun) && note.toLowerCase() !== begun)
          .slice(0, MOST_OFFERED);
  return (
    <>
      <PromisedChips promised={promised} text={text} onChange={onChange} />
      <TextInput
        label="Other notes, separated by commas"
        value={text.otherNotes}
        onChange={(otherNotes) => onChange({ otherNotes })}
        autoComplete="off"
      />
      {offered.length > 0 && (
        <ChipRow role="group" aria-label="Words of this house">
          {offered.map((note) => (
            <Chip
              key={note}
              isSelected={false}
              onChange={() => onChange({ otherNotes: `${before}${before ? ' ' : ''}${note}, ` })}
            >
              {note}
            </Chip>
          ))}
        </ChipRow>
      )}
    </>
  );
}

/** A cup that waits to go up. */
function cupWords({ kind, input }: Entry): string {
  if (kind === 'answerFlight') return 'your answer';
  const { code, moment } = input as Commands['tasteBlind']['asks'];
  return `cup ${code}, ${moment}`;
}
