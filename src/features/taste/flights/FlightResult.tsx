'use client';

import { say } from '@/words/say';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { figure, signed } from '@/core/figure';
import type { ArmPull } from '@/core/panel/arm';
import { LIKENESS_LABELS } from '@/core/taste/staged';
import { Button, MainButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { TextInput } from '@/ui/fields';
import { Moment } from '@/ui/moment';
import { useMay } from '@/ui/person';
import { Notice, SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useRevision } from '@/ui/useRevision';
import type { FlightView, Revealed } from '@/views/flight';

/** What a flight said, in words and by cup, and what was decided. */
export function FlightResult({ flight, revealed }: { flight: FlightView; revealed: Revealed }) {
  const { outcome, arms, factors, repeats } = revealed;
  const late = flight.tasters.reduce((sum, one) => sum + one.late, 0);
  return (
    <>
      <section aria-label="What it says">
        <SectionTitle>
          Revealed <Moment at={flight.revealedAt!} />
        </SectionTitle>
        {outcome && (
          <Notice
            role="status"
            $kind={outcome.result.decision === 'difference' ? 'good' : 'caution'}
            style={{ marginTop: 8 }}
          >
            {say(outcome.result.message)}
          </Notice>
        )}
        <TableScroll aria-label="By what was in the cup" style={{ marginTop: 8 }}>
          <Table>
            <TableHead
              columns={[
                'What it was',
                { words: 'Cups' },
                COUNT_HEADS[flight.test],
                'Liking',
                `Against ${arms[0]!.label}`,
                { words: 'Notes found' },
              ]}
            />
            <tbody>
              {arms.map(({ label, codes, liking, notes, likeness }, i) => (
                <tr key={label}>
                  <td>
                    {label}
                    {flight.chosenArm === i && <strong> · chosen</strong>}
                  </td>
                  <td className="words" style={{ whiteSpace: 'nowrap' }}>
                    {codes.join(', ')}
                  </td>
                  {COUNT_HEADS[flight.test] && <td>{countOf(flight, outcome?.counts, i)}</td>}
                  <td style={{ whiteSpace: 'nowrap' }}>
                    {liking.mean === null ? '' : figure(liking.mean, 1)}
                    {liking.tasters > 0 && <Small> by {liking.tasters}</Small>}
                  </td>
                  <td style={{ whiteSpace: 'nowrap' }}>{differenceWords(liking.difference)}</td>
                  <td className="words">
                    {notes.map(([note, n]) => (n > 1 ? `${note} ×${n}` : note)).join(', ')}
                    {likeness.map(
                      ([which, n]) => ` · like ${LIKENESS_LABELS[which]}${n > 1 ? ` ×${n}` : ''}`,
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </TableScroll>
        <Small as="p" style={{ marginTop: 6 }}>
          Likings are 0-10; ± holds 8 times in 10. Cups pulled here count from now on in the best
          recipe of this coffee.
          {late > 0 &&
            ` ${late} ${late === 1 ? 'sheet' : 'sheets'} came after the reveal: kept apart, counted in nothing.`}
        </Small>
        {factors && <Factors factors={factors} />}
        {repeats.length > 0 && (
          <Small as="p">
            Only you see this: how near each came to their own score for two cups of one recipe
            (everybody varies; 0.8 points is usual).{' '}
            {repeats.map(({ name, sd }) => `${name} ± ${figure(sd, 1)}`).join(', ')}. A rule of
            thumb holds until there are some ten pairs.
          </Small>
        )}
      </section>
      {flight.test === 'scored' ? (
        <p>
          <Link href={`/releases/${flight.releaseId}/taste`}>
            See the best recipe of this coffee with these cups
          </Link>
        </p>
      ) : (
        <Decision flight={flight} />
      )}
    </>
  );
}

/** What each setting did to time and liking, with its noise. */
function Factors({ factors }: { factors: NonNullable<Revealed['factors']> }) {
  return (
    <>
      <TableScroll aria-label="What each setting did" style={{ marginTop: 8 }}>
        <Table>
          <TableHead
            columns={['Setting', { words: 'Against' }, 'Time, s', 'Liking', { words: 'Seen' }]}
          />
          <tbody>
            {factors.flatMap(({ of, levels }) =>
              levels.slice(1).map(({ is, timeS, liking }) => (
                <tr key={`${of} ${is}`}>
                  <td>
                    {of} {is}
                  </td>
                  <td className="words">{levels[0]!.is}</td>
                  <td>{differenceWords(timeS)}</td>
                  <td>{differenceWords(liking)}</td>
                  <td className="words">{seenWords(timeS, liking)}</td>
                </tr>
              )),
            )}
          </tbody>
        </Table>
      </TableScroll>
      <Small as="p">
        Each over all settings of the other thing; a time alone is taken to scatter by 4.5 % (rule
        of thumb). What is not seen may still be there.
      </Small>
    </>
  );
}

type Told = Revealed['arms'][number]['liking']['difference'];

/** What lies outside its own noise. */
function seenWords(timeS: Told, liking: Told): string {
  const isSeen = (told: Told) => told !== null && Math.abs(told.mean) > told.half80;
  const seen = [isSeen(timeS) && 'time', isSeen(liking) && 'liking'].filter(Boolean);
  return seen.length === 0 ? 'neither' : seen.join(' and ');
}

const COUNT_HEADS = {
  paired: 'Preferred by',
  triangle: false,
  ranking: 'Sum of ranks',
  scored: false,
} as const;

const countOf = (
  { test }: FlightView,
  counts: readonly number[] | undefined,
  arm: number,
): string => (counts && test !== 'triangle' ? String(counts[arm]) : '');

function differenceWords(difference: Revealed['arms'][number]['liking']['difference']): string {
  if (!difference) return '';
  const { mean, half80 } = difference;
  return `${signed(mean, 1)} ± ${figure(half80, 1)}`;
}

const NONE = 'none';

/** What is made of it: written down, and on the bench in the same press where a recipe of ours won. */
function Decision({ flight }: { flight: FlightView }) {
  const isLead = useMay('lead');
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [chosen, setChosen] = useState(
    flight.chosenArm === null && flight.decision !== null ? NONE : String(flight.chosenArm ?? 0),
  );
  const [decision, setDecision] = useState(flight.decision ?? '');
  if (!isLead)
    return flight.decision === null ? null : (
      <p>
        Decided: {flight.chosenArm === null ? 'none of them' : flight.arms[flight.chosenArm]!.label}
        . {flight.decision}
      </p>
    );
  const arm = chosen === NONE ? undefined : flight.arms[Number(chosen)];
  const keep = () =>
    submit('decideFlight', {
      flightId: flight.id,
      chosenArm: chosen === NONE ? null : Number(chosen),
      decision,
    });
  return (
    <section aria-label="Decision" style={{ display: 'grid', gap: 10 }}>
      <SectionTitle>Decide</SectionTitle>
      <Choice
        label="We go on with"
        value={chosen}
        onChange={setChosen}
        options={[
          ...flight.arms.map(({ label }, i) => ({ value: String(i), label })),
          { value: NONE, label: 'none of them' },
        ]}
      />
      <TextInput
        label="Why (optional)"
        value={decision}
        onChange={setDecision}
        fault={faultOf('decision')}
      />
      <div>
        <MainButton onPress={() => void keep()} isPending={isBusy}>
          Keep the decision
        </MainButton>{' '}
        {flight.decision !== null && arm?.pull && <TakeArm flight={flight} arm={arm.pull} />}
      </div>
      <Faults faults={faults} shown={['decision']} />
    </section>
  );
}

/** The cup that won, as the recipe on the bench. */
function TakeArm({ flight, arm }: { flight: FlightView; arm: ArmPull }) {
  const { draft } = flight.recipes[arm.draftId]!;
  const { take, faults, isBusy } = useRevision(
    {
      draft,
      advice: { setting: { dial: arm.dial, doseG: arm.doseG } },
      benchDraftId: flight.benchDraftId,
    },
    flight.releaseId,
    {
      doseG: arm.doseG,
      yieldG: arm.yieldG,
      temperatureC: arm.temperatureC,
      timeS: arm.timeS,
      why: `Decided blind: ${flight.question}`,
    },
  );
  return (
    <>
      <Button onPress={take} isPending={isBusy}>
        Use this recipe
      </Button>
      <Faults faults={faults} />
    </>
  );
}
