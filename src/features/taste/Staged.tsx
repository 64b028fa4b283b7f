'use client';

import dynamic from 'next/dynamic';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { figure } from '@/core/figure';
import { readNumber } from '@/core/readNumber';
import {
  builtUp,
  cutOf,
  LIKENESS_LABELS,
  LIKENESSES,
  likenessMessage,
  MOST_STAGES,
  STAGE_TASTE_LABELS,
  STAGE_TASTES,
  type Likeness,
  type StagedCup,
  type StageTaste,
} from '@/core/taste/staged';
import { cupEveryS } from '@/core/taste/stagedCups';
import type { StagedShot } from '@/data/staged';
import { Button, QuietButton } from '@/ui/Button';
import { InView } from '@/ui/charts/InView';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { QuantityInput, SelectInput } from '@/ui/fields';
import { useMay, useUnits } from '@/ui/person';
import { Notice, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useDraft } from '@/ui/useDraft';
import type { BenchShot } from '@/views/release';
import { STAGED_HEIGHT_PX } from './stagedHeight';

const StagedChart = dynamic(() => import('./StagedChart').then((all) => all.StagedChart), {
  ssr: false,
});

const Form = styled.form`
  display: grid;
  gap: 10px;
`;

const Row = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
  align-items: end;
`;

interface CupText {
  readonly massG: string;
  readonly tdsPct: string;
  readonly taste: string;
}

interface StagedText {
  readonly cups: readonly CupText[];
  readonly likeness: string;
}

const EMPTY: CupText = { massG: '', tdsPct: '', taste: '' };
const AT_FIRST = 3;

/** Figures that show their own faults. */
const SHOWN = Array.from({ length: MOST_STAGES }, (_, i) => [
  `cups.${i}.massG`,
  `cups.${i}.tdsPct`,
]).flat();

const TASTES = [
  { value: '', label: 'not said' },
  ...STAGE_TASTES.map((value) => ({ value, label: STAGE_TASTE_LABELS[value] })),
];
const LIKE = [
  { value: '', label: 'not said' },
  ...LIKENESSES.map((value) => ({ value, label: LIKENESS_LABELS[value] })),
];

/** A shot caught in several cups: what each tells, where to cut, and which way the recipe should go. */
export function Staged({
  shot,
  staged,
  roastLevel,
}: {
  shot: BenchShot;
  staged: StagedShot | undefined;
  roastLevel: number;
}) {
  const mayTaste = useMay('bench');
  const { submit, faults, faultOf, isBusy } = useCommand();
  const noted = textOf(staged);
  const [text, setText] = useState(noted);
  const draft = useDraft(`staged ${shot.id}`, {
    value: text,
    initial: noted,
    onRestore: setText,
  });
  const setCup = (at: number, part: Partial<CupText>) =>
    setText({
      ...text,
      cups: text.cups.map((cup, i) => (i === at ? { ...cup, ...part } : cup)),
    });
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const cups = text.cups.filter(({ massG }) => massG.trim() !== '');
    const answer = await submit('noteStages', {
      shotId: shot.id,
      cups: cups.map(({ massG, tdsPct, taste }) => ({
        massG: entered(massG),
        ...(tdsPct.trim() !== '' && { tdsPct: entered(tdsPct) }),
        ...(taste !== '' && { taste }),
      })),
      ...(text.likeness !== '' && { likeness: text.likeness }),
    });
    if (!answer.ok) return;
    draft.forget();
    offerUndo({
      words: staged ? 'Staged cups were noted anew.' : 'Staged cups were noted.',
      kind: 'noteStages',
      input: {
        shotId: shot.id,
        cups: staged?.cups ?? [],
        ...(staged?.likeness && { likeness: staged.likeness }),
      },
    });
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Staged cups">
      <DraftNotice draft={draft} />
      <Small as="p">
        Change the cup every {cupEveryS(roastLevel)} s from the first drip (sooner for dark, later
        for light), weigh each, and taste each alone. Group and stream scald: take cups by their
        handles.
      </Small>
      {text.cups.map((cup, i) => (
        <Row key={i}>
          <QuantityInput
            label={`Mass of cup ${i + 1}`}
            quantity="stagedCupG"
            step={1}
            value={cup.massG}
            onChange={(massG) => setCup(i, { massG })}
            fault={faultOf(`cups.${i}.massG`)}
          />
          <QuantityInput
            label={`TDS of cup ${i + 1}`}
            quantity="tdsPct"
            step={0.5}
            value={cup.tdsPct}
            onChange={(tdsPct) => setCup(i, { tdsPct })}
            fault={faultOf(`cups.${i}.tdsPct`)}
          />
          <SelectInput
            label={`Taste of cup ${i + 1}`}
            value={cup.taste}
            onChange={(taste) => setCup(i, { taste })}
            options={TASTES}
          />
        </Row>
      ))}
      {text.cups.length < MOST_STAGES && (
        <p>
          <QuietButton onPress={() => setText({ ...text, cups: [...text.cups, EMPTY] })}>
            One more cup
          </QuietButton>
        </p>
      )}
      <SelectInput
        label="The whole shot is most like"
        value={text.likeness}
        onChange={(likeness) => setText({ ...text, likeness })}
        options={LIKE}
      />
      <Said text={text} doseG={shot.doseG} />
      <p>
        <Button type="submit" isPending={isBusy} isDisabled={!mayTaste}>
          Keep the staged cups
        </Button>
      </p>
      <Faults faults={faults} shown={SHOWN} />
    </Form>
  );
}

function Said({ text, doseG }: { text: StagedText; doseG: number }) {
  const { mass, say } = useUnits();
  const cups = cupsOf(text);
  if (cups.length === 0) return null;
  const cut = cutOf(cups);
  const built = builtUp(cups, doseG);
  const likeness = LIKENESSES.find((one) => one === text.likeness);
  return (
    <>
      <TableScroll aria-label="The shot as it builds up">
        <Table>
          <TableHead columns={['Up to cup', 'Mass', 'Strength, % TDS', 'Extraction, %']} />
          <tbody>
            {built.map(({ massG, strengthPct, extractionPct }, i) => (
              <tr key={i}>
                <td>{i + 1}</td>
                <td>{mass(massG)}</td>
                <td>{strengthPct === null ? '' : figure(strengthPct, 1)}</td>
                <td>{extractionPct === null ? '' : figure(extractionPct, 1)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      {built.some(({ strengthPct }) => strengthPct !== null) && (
        <InView
          heightPx={STAGED_HEIGHT_PX}
          label="Strength and extraction as the shot builds up; the table above says the same"
        >
          {() => <StagedChart built={built} cutG={cut?.yieldG ?? null} />}
        </InView>
      )}
      {(cut || likeness) && (
        <Notice role="status" $kind="good">
          {[cut?.message, likeness && likenessMessage(likeness)]
            .flatMap((message) => (message ? say(message) : []))
            .join(' ')}{' '}
          Rule of thumb.
        </Notice>
      )}
    </>
  );
}

/** What is typed, as far as it can be read. */
function cupsOf({ cups }: StagedText): StagedCup[] {
  return cups.flatMap(({ massG, tdsPct, taste }): StagedCup[] => {
    const [mass, tds] = [readNumber(massG), readNumber(tdsPct)];
    if (typeof mass !== 'number' || mass <= 0) return [];
    return [
      {
        massG: mass,
        ...(typeof tds === 'number' && { tdsPct: tds }),
        ...(taste !== '' && { taste: taste as StageTaste }),
      },
    ];
  });
}

/** A number where it is one, else the text, which the server refuses with its words. */
const entered = (text: string) => {
  const value = readNumber(text);
  return typeof value === 'number' ? value : (text as never);
};

function textOf(staged: StagedShot | undefined): StagedText {
  const cups = (staged?.cups ?? []).map(({ massG, tdsPct, taste }) => ({
    massG: String(massG),
    tdsPct: tdsPct === undefined ? '' : String(tdsPct),
    taste: taste ?? '',
  }));
  const missing = Math.max(0, AT_FIRST - cups.length);
  return {
    cups: [...cups, ...Array.from({ length: missing }, () => EMPTY)],
    likeness: (staged?.likeness as Likeness | null) ?? '',
  };
}
