'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/ui/Link';
import styled from 'styled-components';
import { chanceMessage } from '@/core/chance';
import { dayWords } from '@/core/dayWords';
import { CHECK_TASTE_LABELS, type CheckTaste } from '@/core/entity/cafeCheck';
import { batchOfKey } from '@/core/cafes/signalKey';
import { STATE_SIGNS, STATE_WORDS } from '@/core/cafes/checkState';
import { figure, signed } from '@/core/figure';
import { CHART_HEIGHT_PX, InView } from '@/ui/charts/InView';
import { Moment } from '@/ui/moment';
import { SectionTitle, Small, StageTitle, Table, TableHead, TableScroll } from '@/ui/type';
import { say } from '@/words/say';
import type { ReleaseCafesView } from '@/views/releaseCafes';
import { shapeOf } from './batchShapes';
import { recheckAddress } from './recheckAddress';
import { Signals } from './Signals';

const BatchChart = dynamic(() => import('./BatchChart').then((all) => all.BatchChart), {
  ssr: false,
});

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
`;

const Becomes = styled.ul`
  display: grid;
  gap: 4px;
`;

/** Does this recipe hold in other people's hands? */
export function CafesStage({ releaseId, field }: { releaseId: string; field: ReleaseCafesView }) {
  const { cafes, signals, standings, tastes } = field;
  if (cafes.length === 0)
    return (
      <Stack>
        <StageTitle>Does it hold out there?</StageTitle>
        <p>
          No café has it on its sheet. Publish the card, then choose it for{' '}
          <Link href="/field">a café</Link>; its checks stand here.
        </p>
      </Stack>
    );
  return (
    <Stack>
      <StageTitle>Does it hold out there?</StageTitle>
      <section>
        <SectionTitle>Off now</SectionTitle>
        <Signals
          signals={signals}
          standings={standings}
          cafeNames={Object.fromEntries(cafes.map(({ partnerId, cafe }) => [partnerId, cafe]))}
        />
      </section>
      <Cafes cafes={cafes} />
      <Batches batches={field.batches} drawn={field.drawn} />
      {tastes.length > 0 && (
        <p>
          Tasted at cafés:{' '}
          {tastes
            .map(([taste, count]) => `${CHECK_TASTE_LABELS[taste as CheckTaste]} ${count}`)
            .join(' · ')}
        </p>
      )}
      <section>
        <SectionTitle>What can become of it</SectionTitle>
        <Becomes>
          <li>
            <Link href={publishHref(releaseId, field)}>A new version of the card</Link>, with what
            the field found as its reason
            {Object.keys(field.tried).length > 0 && ' and the cafés as a fit that was tried'}
          </li>
          <li>
            <Link href={recheckHref(releaseId, field)}>A check of a bag held back</Link>, where the
            batch is in doubt
          </li>
          <li>
            A note on the batch: say what a signal was, and it stands at{' '}
            <Link href={`/releases/${releaseId}/rest`}>Rest</Link> too
          </li>
          <li>
            <Link href={practiceHref(field)}>A dial-in to practise</Link> with whoever runs it
          </li>
        </Becomes>
      </section>
    </Stack>
  );
}

/** A batch that runs otherwise is like an ageing week, a café that moved like a damp day. */
function practiceHref({ signals }: ReleaseCafesView): string {
  return `/practice?day=${signals.some(({ kind }) => kind === 'batch') ? 'ageing' : 'damp'}`;
}

/** A batch that is in doubt, or else what the field found first. */
function recheckHref(releaseId: string, { signals, why }: ReleaseCafesView): string {
  const inDoubt = signals.find(({ kind }) => kind === 'batch');
  return recheckAddress({
    releaseId,
    check: inDoubt?.title ?? why ?? '',
    roast: inDoubt && batchOfKey(inDoubt.key, releaseId),
  });
}

function publishHref(releaseId: string, { why, tried }: ReleaseCafesView): string {
  const query = new URLSearchParams({ ...(why && { why }), ...tried }).toString();
  return `/releases/${releaseId}/publish${query === '' ? '' : `?${query}`}`;
}

function Cafes({ cafes }: Pick<ReleaseCafesView, 'cafes'>) {
  return (
    <section>
      <SectionTitle>At each café</SectionTitle>
      <TableScroll aria-label="At each café">
        <Table>
          <TableHead
            columns={[
              { words: 'Café' },
              { words: 'Last check' },
              { words: 'Bag of' },
              'Off now, s',
              'In the window',
              'Inside',
            ]}
          />
          <tbody>
            {cafes.map((line) => (
              <tr key={line.partnerId}>
                <td className="words">
                  <Link href={`/field/cafes/${line.partnerId}`}>{line.cafe}</Link>
                </td>
                <td className="words">
                  {line.lastAt === null ? (
                    'none yet'
                  ) : (
                    <>
                      {STATE_SIGNS[line.lastState!]} {STATE_WORDS[line.lastState!]},{' '}
                      <Moment at={line.lastAt} />
                    </>
                  )}
                </td>
                <td className="words">{line.roastDate && dayWords(line.roastDate)}</td>
                <td>{line.offS !== null && `${signed(line.offS)} ± ${figure(line.half80S, 1)}`}</td>
                <td>{line.offS !== null && say(chanceMessage(line.inWindow))}</td>
                <td>
                  {line.inside} of {line.made}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Small>
        Off now: seconds from the middle of the window at the café’s usual weights, likely so far
        either way 8 times in 10. In the window: chance that its mean shot lies there if nothing is
        moved; single shots scatter more.
      </Small>
    </section>
  );
}

function Batches({ batches, drawn }: Pick<ReleaseCafesView, 'batches' | 'drawn'>) {
  if (batches.length === 0) return null;
  return (
    <section>
      <SectionTitle>Batch against batch</SectionTitle>
      <TableScroll aria-label="Batch against batch">
        <Table>
          <TableHead
            columns={[
              { words: 'Roasted' },
              { words: 'Against' },
              'At the same age, s',
              'Off by more than 4 %',
            ]}
          />
          <tbody>
            {batches.map(({ roastDate, before, offS, half80S, probability }) => (
              <tr key={roastDate}>
                <td className="words">{dayWords(roastDate)}</td>
                <td className="words">{dayWords(before)}</td>
                <td>
                  {signed(offS)} ± {figure(half80S, 1)}
                </td>
                <td>{say(chanceMessage(probability))}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Small>
        With age, weather and every café’s own ways taken out; from four weeks of checks.
      </Small>
      {drawn.length > 1 && (
        <>
          <InView label="Checks by batch, with their fit, over time" heightPx={CHART_HEIGHT_PX}>
            {() => <BatchChart batches={drawn} />}
          </InView>
          <Small>
            Seconds against the bag of {dayWords(drawn[0]!.roastDate)}:{' '}
            {drawn
              .map(({ roastDate }, nth) => `${shapeOf(nth).words} ${dayWords(roastDate)}`)
              .join(', ')}
            ; hollow where a check is an odd one out, a line where each batch is fitted.
          </Small>
        </>
      )}
    </section>
  );
}
