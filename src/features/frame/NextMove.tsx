'use client';

import { chanceMessage } from '@/core/chance';
import { settableG } from '@/core/extraction/settable';
import { figure } from '@/core/figure';
import { isOnTargetStatus } from '@/core/advice/types';
import styled from 'styled-components';
import type { Move } from '@/core/advice/types';
import { headOf, moveInSentence } from '@/words/adviceWords';
import { CLOCK_LABELS } from '@/core/vocabulary';
import type { Bench } from '@/views/release';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { useMay, useUnits } from '@/ui/person';
import { labelText, Notice, readingText } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useRevision } from '@/ui/useRevision';

const Frame = styled.section`
  padding: 12px 0 0 14px;
  border-left: 4px solid var(--copper);
  display: grid;
  gap: 8px;
`;

const Title = styled.h2`
  ${labelText}
`;

const Headline = styled.p`
  ${readingText}
  font-size: 21px;
  line-height: 1.18;
`;

const Expect = styled.p`
  font-size: 14.5px;

  strong {
    ${readingText}
  }
`;

const Reasons = styled.ul`
  display: grid;
  gap: 6px;
  font-size: 14.5px;
`;

const Others = styled.div`
  @media (max-width: 640px) {
    display: none;
  }

  font-size: 14px;
  color: var(--ink-soft);

  li {
    padding: 3px 0;
  }
`;

/** The one thing to do now and why. */
export function NextMove({ bench, releaseId }: { bench: Bench; releaseId: string }) {
  const { status, move, expect, purgeG, costG, reasons, alternatives, warnings } = bench.advice;
  const { window, offersTrim } = bench.advice;
  const { mass, say, units } = useUnits();
  const isLead = useMay('lead');
  // An earlier batch is looked at: what would change its recipe waits until it is on the bench.
  const mayTake = isLead && bench.isOnBench;
  const last = bench.shots.at(-1);
  const headline =
    last?.draftId === bench.draft.id
      ? headOf(bench.advice, units)
      : `Pull the first shot${last ? ' of the new recipe' : ''}${move ? `: ${moveInSentence(move, units)}` : ''}`;
  const [low, high] = expect.interval80;
  return (
    <Frame aria-label="Next move" aria-live="polite">
      <Title>Next move</Title>
      <Headline>{headline}</Headline>
      {purgeG > 0 && (
        <p>
          <strong>Purge {mass(purgeG)} first</strong>: as much as this move needs, or the shot is
          not evidence.
        </p>
      )}
      {purgeG === 0 && move?.variable === 'dial' && bench.setup.grinder.retentionG > 0 && (
        <p>No purge: what stays in the grinder hardly matters for so small a move.</p>
      )}
      {warnings.map(({ code, message }) => (
        <Notice key={code}>{say(message)}</Notice>
      ))}
      <Reasons>
        {reasons.map((reason) => (
          <li key={reason.code}>{say(reason.message)}</li>
        ))}
      </Reasons>
      {status === 'taste' &&
        move &&
        (mayTake ? (
          <TakeMove bench={bench} move={move} releaseId={releaseId} />
        ) : (
          bench.isOnBench && <p>The lead puts it on the bench.</p>
        ))}
      {mayTake &&
        status === 'dose' &&
        move &&
        reasons.some(({ code }) => code === 'basketFull') && (
          <TakeDose bench={bench} doseG={move.to} releaseId={releaseId} />
        )}
      {mayTake && window && <KeepCup bench={bench} window={window} releaseId={releaseId} />}
      {mayTake && offersTrim && <AllowTrim releaseId={releaseId} />}
      {!isOnTargetStatus(status) && (
        <Expect>
          Expect <strong>{figure(expect.timeS, 0)} s</strong> {CLOCK_LABELS[expect.clock]}, likely{' '}
          {figure(low, 0)}-{figure(high, 0)} (8 in 10). In the window:{' '}
          {say(chanceMessage(expect.landing))}. Costs {mass(costG, 1)}.
        </Expect>
      )}
      {alternatives.length > 0 && (
        <Others>
          <p>Other ways:</p>
          <ul>
            {alternatives.map(({ message, expect: other, costG: otherG }) => (
              <li key={say(message)}>
                {say(message).replace(/\.$/, '')}: {figure(other.timeS, 0)} s (
                {figure(other.interval80[0], 0)}-{figure(other.interval80[1], 0)}), in the window:{' '}
                {say(chanceMessage(other.landing))}, costs {mass(otherG, 1)}
              </li>
            ))}
          </ul>
        </Others>
      )}
      <Others>
        Advice from your shots and house rules; the palate decides. Set another dial and it is kept
        as your overruling.
      </Others>
    </Frame>
  );
}

/** A move of the recipe becomes its next revision; the shots so far stay with theirs. */
function TakeMove({ bench, move, releaseId }: { bench: Bench; move: Move; releaseId: string }) {
  const { yieldG, temperatureC, timeS } = bench.advice.pulled;
  const { say } = useUnits();
  // The dose is the recipe's: a trim for this grinder's steps is no part of it.
  const { take, faults, isBusy } = useRevision(bench, releaseId, {
    yieldG,
    ...(temperatureC !== undefined && { temperatureC }),
    timeS,
    why: `Taste: ${say(move.message)}`,
  });
  return (
    <>
      <Button onPress={take} isPending={isBusy}>
        Use this recipe
      </Button>
      <Faults faults={faults} />
    </>
  );
}

/** A basket that is too full is the recipe's fault, whatever the grinder: its next revision, at the same ratio. */
function TakeDose({ bench, doseG, releaseId }: { bench: Bench; doseG: number; releaseId: string }) {
  const { ratio, timeS } = bench.draft.recipe;
  const { take, faults, isBusy } = useRevision(bench, releaseId, {
    doseG,
    yieldG: settableG(doseG * ratio),
    timeS,
    why: 'The basket was too full',
  });
  return (
    <div>
      <Button onPress={take} isPending={isBusy}>
        Use this recipe
      </Button>
      <Faults faults={faults} />
    </div>
  );
}

/** A cup that is liked outside the recipe is right: the recipe follows it, in one press. */
function KeepCup({
  bench,
  window: [low, high],
  releaseId,
}: {
  bench: Bench;
  window: readonly [number, number];
  releaseId: string;
}) {
  const { keptYieldG } = bench.advice;
  const { mass } = useUnits();
  const { take, faults, isBusy } = useRevision(bench, releaseId, {
    timeS: [low, high],
    ...(keptYieldG !== null && { yieldG: keptYieldG }),
    why: 'A liked cup outside the recipe',
  });
  return (
    <div>
      <Button onPress={take} isPending={isBusy}>
        {keptYieldG === null
          ? `Move the window to ${low}-${high} s`
          : `Keep ${mass(keptYieldG)} in ${low}-${high} s`}
      </Button>
      <Faults faults={faults} />
    </div>
  );
}

/** One step jumps over the window: this release may trim its dose from here on. */
function AllowTrim({ releaseId }: { releaseId: string }) {
  const { submit, faults, isBusy } = useCommand();
  return (
    <div>
      <Button onPress={() => void submit('trimDose', { releaseId })} isPending={isBusy}>
        Trim the dose of this coffee
      </Button>
      <Faults faults={faults} />
    </div>
  );
}
