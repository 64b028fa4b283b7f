'use client';

import Link from 'next/link';
import { useState } from 'react';
import styled from 'styled-components';
import type { Ease } from '@/core/ease/ease';
import type { ReleaseView } from '@/data/releaseView';
import { Button, mainLook, QuietButton } from '@/ui/Button';
import { PushChart } from '@/ui/PushChart';
import { signed } from '@/ui/signed';
import { Notice, SectionTitle, StageTitle } from '@/ui/type';
import { ReleaseForm } from './ReleaseForm';
import type { ReleaseText } from './releaseText';

const Stack = styled.div`
  display: grid;
  gap: 20px;
  max-width: 760px;
`;

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: end;
  gap: 12px;
`;

const NextLink = styled(Link)`
  ${mainLook}
`;

const Missing = styled.ul`
  display: grid;
  gap: 4px;
  margin-top: 8px;
`;

const EASE_SPAN = [-2.4, 2.4] as const;
const TICKS = [
  { value: -2, label: '−2 stubborn' },
  { value: -1, label: '−1' },
  { value: 0, label: '0' },
  { value: 1, label: '+1' },
  { value: 2, label: '+2 gives easily' },
];

/** Wider than this, the interval holds both stubborn and easy coffees. */
const TOO_WIDE = 2;

const twoDigits = (value: number) => signed(value, 2);

export function ReadStage({ view, ease }: { view: ReleaseView; ease: Ease }) {
  const [isEditing, setEditing] = useState(false);
  const { release } = view;
  if (isEditing)
    return (
      <Stack>
        <StageTitle>Correct the facts</StageTitle>
        <ReleaseForm
          initial={textOf(view)}
          submitLabel="Save the facts"
          command={{
            kind: 'editRelease',
            with: { releaseId: release.id, rowVersion: release.rowVersion },
          }}
          onDone={() => setEditing(false)}
        >
          <QuietButton onPress={() => setEditing(false)}>Leave them as they were</QuietButton>
        </ReleaseForm>
      </Stack>
    );
  return (
    <Stack>
      <Head>
        <StageTitle>{easeWords(ease)}</StageTitle>
        <Button onPress={() => setEditing(true)}>Correct the facts</Button>
      </Head>
      <PushChart
        rows={ease.pushes.map(({ label, amount }) => ({ label, amount }))}
        from={0}
        total={ease.ease}
        totalLabel="Ease of extraction"
        interval80={ease.interval80}
        span={EASE_SPAN}
        format={twoDigits}
        formatChange={twoDigits}
        ticks={TICKS}
      />
      <p>
        Ease {twoDigits(ease.ease)}, four times in five between {twoDigits(ease.interval80[0])} and{' '}
        {twoDigits(ease.interval80[1])}. 0 is a medium washed ordinary coffee; one unit is about one
        roast step. All of this is a house heuristic: the band is honest only as far as the trade’s
        rules are.
      </p>
      {view.component.varietyClass && view.component.varietyClass !== 'ordinary' && (
        <Notice>
          Practitioners disagree about variety: equally dense coffees can behave as opposites. So it
          counts for little here, and its band is wide.
        </Notice>
      )}
      <section>
        <SectionTitle>Facts still missing, by what they would narrow</SectionTitle>
        {ease.missing.length === 0 ? (
          <p>None that this scale knows of.</p>
        ) : (
          <Missing>
            {ease.missing.map(({ label, narrowsBy }) => (
              <li key={label}>
                {label}: ± {narrowsBy.toFixed(2)} narrower
              </li>
            ))}
          </Missing>
        )}
      </section>
      {view.bench === null && (
        <p>
          <NextLink href={`/releases/${release.id}/start`}>Propose a first recipe</NextLink>
        </p>
      )}
    </Stack>
  );
}

/** What the scale means at the bench. House heuristic. */
function easeWords({ ease, interval80: [low, high] }: Ease): string {
  if (high - low > TOO_WIDE) return 'Too little is known to say how it will extract';
  if (ease < -1.25) return 'This one will resist: grind fine, give it water and heat';
  if (ease < -0.4) return 'A little stubborn: finer and longer than medium';
  if (ease <= 0.4) return 'Extracts like a medium washed coffee';
  if (ease <= 1.25) return 'Gives easily: a little coarser, cooler, shorter';
  return 'Gives very easily: short and cool, or it turns harsh';
}

function textOf({ release, component, batch }: ReleaseView): ReleaseText {
  const shown = (value: number | undefined) => (value === undefined ? '' : String(value));
  return {
    name: release.name,
    country: component.country,
    region: component.region,
    producer: component.producer,
    variety: component.variety,
    varietyClass: component.varietyClass ?? '',
    process: component.process ?? '',
    altitudeM: shown(component.altitudeM),
    densityGPerL: shown(component.densityGPerL),
    roastLevel: shown(batch.roastLevel),
    roastDate: batch.roastDate,
    promisedNotes: release.promisedNotes.join(', '),
  };
}
