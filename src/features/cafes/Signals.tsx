'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import styled from 'styled-components';
import { batchOfKey } from '@/core/cafes/signalKey';
import { Button, QuietButton } from '@/ui/Button';
import { CHART_HEIGHT_PX, InView } from '@/ui/charts/InView';
import { Faults } from '@/ui/Faults';
import { SelectInput, TextInput } from '@/ui/fields';
import { useMay } from '@/ui/person';
import { Notice, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import type { CafeStanding, SignalView } from '@/views/cafes';
import { recheckAddress } from './recheckAddress';

const FitChart = dynamic(() => import('./FitChart').then((all) => all.FitChart), { ssr: false });

const List = styled.ul`
  display: grid;
  gap: 12px;
  margin-top: 8px;

  > li {
    display: grid;
    gap: 5px;
    padding: 8px 0 8px 12px;
    border-left: 4px solid var(--copper);
  }

  > li[data-settled='true'] {
    border-color: var(--rule-strong);
  }
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
`;

export const CAUSES = [
  { value: 'scale', label: 'its scale' },
  { value: 'machine', label: 'its machine' },
  { value: 'grinder', label: 'its grinder' },
  { value: 'burrs', label: 'new burrs' },
  { value: 'habit', label: 'a habit' },
  { value: 'batch', label: 'the batch' },
  { value: 'weather', label: 'the weather' },
  { value: 'none', label: 'nothing: a false alarm' },
] as const;

const CAUSE_LABELS: Readonly<Record<string, string>> = Object.fromEntries([
  ...CAUSES.map(({ value, label }) => [value, label]),
  ['answered', 'answered'],
]);

/** What the model says is off, the surest first; what was settled stays below. */
export function Signals({
  signals,
  standings,
  cafeNames,
}: {
  signals: readonly SignalView[];
  standings: readonly CafeStanding[];
  cafeNames: Readonly<Record<string, string>>;
}) {
  const open = signals.filter(({ settled }) => settled === null);
  const settled = signals.filter((signal) => signal.settled !== null);
  return (
    <>
      {open.length === 0 && standings.every(({ kind }) => kind !== 'off') && (
        <Notice $kind="good">Nobody is off. New checks are judged as they come in.</Notice>
      )}
      {standings.map(({ partnerId, kind, words }) => (
        <Notice key={partnerId} $kind={kind === 'off' ? 'fault' : 'caution'}>
          <Link href={`/field/cafes/${partnerId}`}>{words}</Link>.
          {kind === 'off' && ' No change was found that explains it.'}
        </Notice>
      ))}
      <List>
        {[...open, ...settled].map((signal) => (
          <li key={signal.key} data-settled={signal.settled !== null}>
            <Signal signal={signal} cafeNames={cafeNames} />
          </li>
        ))}
      </List>
    </>
  );
}

function Signal({
  signal,
  cafeNames,
}: {
  signal: SignalView;
  cafeNames: Readonly<Record<string, string>>;
}) {
  const { key, title, reason, partnerIds, releaseId, settled, kind, days } = signal;
  const isBench = useMay('bench');
  const [isSettling, setSettling] = useState(false);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <p>
        <strong>{title}</strong>
      </p>
      <p>{reason}</p>
      {settled && (
        <Small>
          {settled.cause === 'answered' ? 'Answered' : `Found: ${CAUSE_LABELS[settled.cause]}`}
          {settled.note && `, ${settled.note}`}
        </Small>
      )}
      <Row>
        {partnerIds
          .filter((id) => id in cafeNames)
          .map((id) => (
            <Link key={id} href={`/field/cafes/${id}?signal=${encodeURIComponent(key)}`}>
              {kind === 'batch' ? `Tell ${cafeNames[id]}` : 'See its checks and answer'}
            </Link>
          ))}
        {days.length > 0 && (
          <QuietButton aria-expanded={isOpen} onPress={() => setOpen(!isOpen)}>
            See its days
          </QuietButton>
        )}
        {kind === 'batch' && releaseId && (
          <Link href={`/releases/${releaseId}/field`}>See the batch</Link>
        )}
        {isBench && kind === 'batch' && releaseId && (
          <Link
            href={recheckAddress({ releaseId, check: title, roast: batchOfKey(key, releaseId) })}
          >
            Ask for a check of it
          </Link>
        )}
        {isBench && !isSettling && (
          <QuietButton onPress={() => setSettling(true)}>Say what it was</QuietButton>
        )}
      </Row>
      {isOpen && <WeatherDays days={days} />}
      {isSettling && <Settle signalKey={key} onDone={() => setSettling(false)} />}
    </>
  );
}

function WeatherDays({ days }: Pick<SignalView, 'days'>) {
  return (
    <>
      <InView label="Weather of the town, day by day" heightPx={CHART_HEIGHT_PX}>
        {() => <FitChart points={days} />}
      </InView>
      <Small>
        Dots: what the checks of each day leave once grinders, dials, batches and age are taken out.
        Line: what the model takes for the weather.
      </Small>
    </>
  );
}

function Settle({ signalKey, onDone }: { signalKey: string; onDone: () => void }) {
  const { submit, faults, isBusy } = useCommand();
  const [cause, setCause] = useState<string>('scale');
  const [note, setNote] = useState('');
  const save = async () => {
    const answer = await submit('settleSignal', { signal: signalKey, cause, note });
    if (answer.ok) onDone();
  };
  return (
    <>
      <Row>
        <SelectInput label="It was" value={cause} onChange={setCause} options={CAUSES} />
        <TextInput label="Note" value={note} onChange={setNote} />
        <Button isPending={isBusy} onPress={() => void save()}>
          Note it
        </Button>
        <QuietButton onPress={onDone}>Cancel</QuietButton>
      </Row>
      <Faults faults={faults} />
    </>
  );
}
