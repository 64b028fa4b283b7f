'use client';

import { figure } from '@/core/figure';
import type { FormEvent } from 'react';
import styled from 'styled-components';
import type { Commands } from '@/core/command/inputs';
import { extraction } from '@/core/extraction/extraction';
import { tasteDirection } from '@/core/taste/direction';
import { tasteMove } from '@/core/advice/tasteMove';
import { MOMENT_LABELS, MOMENTS, SERVING_LABELS, SERVINGS } from '@/core/vocabulary';
import { EMPTY_CUP_FAULT, isEmptyCup } from '@/core/taste/emptyCup';
import type { StoredTasting } from '@/data/tastings';
import type { Bench, BenchShot, ReleaseView } from '@/views/release';
import { MainButton, QuietButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { QuantityInput, TextInput } from '@/ui/fields';
import { readNumber } from '@/core/readNumber';
import { useMay, useUnits } from '@/ui/person';
import type { Entry } from '@/ui/outbox';
import { Notice, Small } from '@/ui/type';
import { Waiting } from '@/ui/Waiting';
import { offerEditUndo } from '@/ui/undo';
import { useOutbox } from '@/ui/useOutbox';
import { useCommand } from '@/ui/useCommand';
import { useDraft } from '@/ui/useDraft';
import { useTextForm } from '@/ui/useTextForm';
import { inWords } from '@/words/faults';
import { PromisedChips, ScaleOf, SignChips, StrengthRow } from './CupParts';
import { cupSentOf, cupTextOf, EMPTY_CUP, SCALES, tasteOf, type CupText } from './cupText';

const Form = styled.form`
  display: grid;
  gap: 9px;
`;

const Scales = styled.div`
  display: grid;
  gap: 3px;
`;

const Pair = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px 26px;
  align-items: end;
`;

const Words = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 22px;
`;

const Last = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 12px;
  align-items: end;

  > * {
    flex: 1 1 150px;
  }

  > button {
    flex: 0 0 auto;
  }
`;

const Tds = styled.div`
  && {
    flex: 0 0 92px;
  }
`;

const MOMENT_OPTIONS = MOMENTS.map((value) => ({ value, label: MOMENT_LABELS[value] }));
const SERVING_OPTIONS = SERVINGS.map((value) => ({ value, label: SERVING_LABELS[value] }));
const SHOWN = ['tdsPct', 'remark', 'otherNotes'];

export function CupSheet({
  view,
  bench,
  shot,
  corrected,
  onDone,
}: {
  view: ReleaseView;
  bench: Bench;
  shot: BenchShot;
  /** A sheet that was kept, to put right; a new one when absent. */
  corrected?: StoredTasting | undefined;
  /** After the cup is kept or corrected, or when a correction is left. */
  onDone?: () => void;
}) {
  const command = useCommand();
  const { refuse } = command;
  // A new cup waits on this device while the server is away; a correction needs what is there.
  const queue = useOutbox(`cups ${bench.draft.dialInId}`);
  const faults = queue.faults.length > 0 ? queue.faults : command.faults;
  const isBusy = queue.isBusy || command.isBusy;
  const faultOf = (field: string) => queue.faultOf(field) ?? command.faultOf(field);
  const mayTaste = useMay('bench');
  const { promisedNotes } = view.release;
  const initial: CupText = corrected
    ? cupTextOf(corrected, promisedNotes, shot.tdsPct)
    : {
        ...EMPTY_CUP,
        serving: bench.draft.drink,
        tdsPct: shot.tdsPct === undefined ? '' : String(shot.tdsPct),
      };
  const { text, change, bind } = useTextForm(initial, faultOf);
  const draft = useDraft(`cup ${shot.id} ${corrected?.id ?? 'new'}`, {
    value: text,
    initial,
    onRestore: change,
  });
  const cancel = () => {
    draft.forget();
    onDone?.();
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const sent = cupSentOf(text);
    if (isEmptyCup(sent)) return refuse([{ field: '', message: inWords(EMPTY_CUP_FAULT) }]);
    if (!corrected) {
      const tastedAt = new Date().toISOString();
      const answer = await queue.send('recordTasting', { ...sent, shotId: shot.id, tastedAt });
      if (answer !== 'waiting' && !answer.ok) return;
      refuse([]);
      draft.forget();
      return onDone?.();
    }
    const { id: tastingId, rowVersion } = corrected;
    const answer = await command.submit('correctTasting', { ...sent, tastingId, rowVersion });
    if (!answer.ok) return;
    draft.forget();
    offerEditUndo('The cup sheet was corrected.', answer.result.editId);
    onDone?.();
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Cup sheet">
      <Waiting
        waiting={queue.waiting}
        trouble={queue.trouble}
        one="cup"
        words={(entry) => cupWords(entry, bench)}
      />
      <DraftNotice draft={draft} />
      <Pair>
        <Choice
          label="Tasted"
          value={text.moment}
          onChange={(moment) => change({ moment })}
          options={MOMENT_OPTIONS}
        />
        <Choice
          label="Served"
          value={text.serving}
          onChange={(serving) => change({ serving })}
          options={SERVING_OPTIONS}
        />
      </Pair>
      <Scales>
        {SCALES.map((scale) => (
          <ScaleOf key={scale.name} scale={scale} text={text} onChange={change} />
        ))}
        <StrengthRow text={text} onChange={change} />
      </Scales>
      <Words>
        <SignChips text={text} onChange={change} />
        <PromisedChips promised={promisedNotes} text={text} onChange={change} />
      </Words>
      <Last>
        <TextInput label="Other notes, separated by commas" {...bind('otherNotes', 'notesFound')} />
        <TextInput label="Remark" {...bind('remark')} />
        <Tds>
          <QuantityInput label="TDS" quantity="tdsPct" step={0.1} {...bind('tdsPct')} />
        </Tds>
        {mayTaste ? (
          <MainButton type="submit" isPending={isBusy}>
            {corrected ? 'Keep the correction' : 'Keep this cup sheet'}
          </MainButton>
        ) : (
          <Small>You look on: the lead and bench hands keep cup sheets.</Small>
        )}
        {corrected && <QuietButton onPress={cancel}>Cancel</QuietButton>}
      </Last>
      {text.serving !== 'straight' && <Small as="p">{MILK_WORDS[text.serving]}</Small>}
      <Verdict text={text} view={view} bench={bench} shot={shot} />
      <Faults faults={faults} shown={SHOWN} />
      <Pair>
        <Small>{extractionWords(text.tdsPct, shot)}</Small>
        <Small>
          Tab to a scale, type 0 to 10; Backspace clears. Let it cool some minutes before you judge;
          broad first.
        </Small>
      </Pair>
      <Small>
        Caffeine adds up over a tasting: count it and spit. The usual public guidance is about 400
        mg a day for healthy adults, less in pregnancy and for some people: ask a doctor. Milk, nut
        and soy are allergens; local food-labelling law decides.
      </Small>
    </Form>
  );
}

/** Milk is another judgement: it moves no straight recipe. */
const MILK_WORDS = {
  milk: 'In milk a recipe may need more punch: judge it apart. This sheet moves the recipe for milk drinks alone. Milk is an allergen.',
  plantMilk:
    'Plant milks push acidity up: a cup that is round straight may be sharp here. Judge it apart; this sheet moves the recipe for milk drinks alone. Nut and soy are allergens.',
} as const;

function Verdict({
  text,
  view,
  bench,
  shot,
}: {
  text: CupText;
  view: ReleaseView;
  bench: Bench;
  shot: BenchShot;
}) {
  const { say } = useUnits();
  if (Object.keys(text.scales).length === 0 && text.signs.length === 0 && text.strength === 0)
    return null;
  const direction = tasteDirection(
    tasteOf(text),
    view.batch.roast.level ?? 0,
    shot.mark.side === 'fast',
  );
  const move = tasteMove({
    direction,
    target: bench.target,
    roastLevel: bench.target.roastLevel,
    dial: shot.dial,
    grinder: bench.setup.grinder,
    machine: bench.setup.machine,
    levers: bench.judging.levers,
  });
  return (
    <Notice role="status" $kind={direction.verdict === 'right' ? 'good' : 'caution'}>
      <strong>{say(direction.message)}</strong> {move && say(move.message)} Rule of thumb: the signs
      are the trade’s, the thresholds ours.
    </Notice>
  );
}

/** A cup that waits to go up. */
function cupWords({ input }: Entry, bench: Bench): string {
  const { shotId, scales } = input as Commands['recordTasting']['asks'];
  const number = bench.shots.find(({ id }) => id === shotId)?.number;
  const { liking } = Object(scales) as { liking?: number };
  const of = number === undefined ? 'of an earlier shot' : `of shot ${number}`;
  return liking === undefined ? of : `${of}, liking ${liking}`;
}

function extractionWords(tdsPct: string, { doseG, yieldG, yieldMl }: BenchShot): string {
  const tds = readNumber(tdsPct);
  if (typeof tds !== 'number' || tds <= 0 || (tds / 100) * yieldG > doseG)
    return 'With a TDS reading: strength and extraction';
  return `${figure(tds, 1)} % strong, ${figure(extraction({ doseG, yieldG, tdsPct: tds }).extractionPct, 1)} % extracted${yieldMl === undefined ? '' : ', by volume, rough'}`;
}
