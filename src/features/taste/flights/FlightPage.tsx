'use client';

import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { FLIGHT_TEST_LABELS } from '@/core/panel/flightTests';
import { Button, MainButton, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Moment } from '@/ui/moment';
import { More } from '@/ui/More';
import { listenToHouse } from '@/ui/newsLine';
import { useMay } from '@/ui/person';
import { SectionTitle, Small, StageTitle, Table, TableHead, TableScroll } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { readNumber } from '@/core/readNumber';
import { useCommand } from '@/ui/useCommand';
import { useRefresh } from '@/ui/useRefresh';
import type { QrSquares } from '@/formats/qrCode';
import type { FlightView, TasterProgress } from '@/views/flight';
import { BenchWork } from './BenchWork';
import { FlightResult } from './FlightResult';
import { OpeningFields, USUAL_HOURS } from './OpeningFields';

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
`;

const Open = styled.section`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;

  /* A camera wants dark on light, in the dark theme too. */
  svg {
    width: 108px;
    height: 108px;
    background: #fff;
    fill: #000;
    shape-rendering: crispEdges;
  }

  > div {
    flex: 1 1 240px;
    min-width: 0;
  }

  strong {
    font-stretch: var(--wide);
    font-size: 24px;
    letter-spacing: 0.06em;
  }
`;

const Side = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;

  > div {
    flex: 0 1 110px;
  }
`;

/** A flight at the bench: what to pull, who tastes, and what came out. */
export function FlightPage({
  flight,
  address,
  qr,
}: {
  flight: FlightView;
  /** Where a phone opens its cup sheets, and the same as a picture. */
  address: string;
  qr: QrSquares;
}) {
  const { test, question, revealed, releaseId } = flight;
  const [, refresh] = useRefresh();
  useEffect(() => listenToHouse(refresh), [refresh]);
  return (
    <Stack>
      <div>
        <StageTitle>{question}</StageTitle>
        <Small>
          {FLIGHT_TEST_LABELS[test]}; planned by {flight.madeBy}, <Moment at={flight.madeAt} />.{' '}
          <Link href={`/releases/${releaseId}/taste`}>Back to Taste</Link>
        </Small>
      </div>
      {revealed ? (
        <FlightResult flight={flight} revealed={revealed} />
      ) : (
        <>
          <Open aria-label="Cup sheets">
            <svg
              viewBox={`-1 -1 ${qr.size + 2} ${qr.size + 2}`}
              role="img"
              aria-label={`Code that opens ${address}`}
            >
              <path d={qr.path} />
            </svg>
            <div>
              <Small as="p">Tasters open this on their phones, no account needed:</Small>
              <strong>
                {flight.code.slice(0, 4)} {flight.code.slice(4)}
              </strong>
              <Small as="p">
                {address} · open until <Moment at={flight.expiresAt} />
              </Small>
              {isHere(address) && (
                <Small as="p">
                  Only this machine opens that address: for phones, whoever runs the server opens it
                  to the network and sets its address (HOST, KETTLEBRAND_ADDRESS).
                </Small>
              )}
            </div>
          </Open>
          {flight.power !== null && <Small as="p">{flight.power}</Small>}
          <BenchWork flight={flight} />
          <Tasters flight={flight} />
        </>
      )}
    </Stack>
  );
}

/** An address that means every machine itself. */
const isHere = (address: string) => /^http:\/\/localhost[:/]/.test(address);

function Tasters({ flight }: { flight: FlightView }) {
  const { tasters, places, id, test } = flight;
  const mayWork = useMay('bench');
  const isLead = useMay('lead');
  const router = useRouter();
  const { submit, faults, isBusy } = useCommand();
  const remove = async () => {
    const answer = await submit('remove', { what: 'flight', id });
    if (!answer.ok) return;
    offerUndo({ kind: 'restore', input: { what: 'flight', id }, words: 'The flight was deleted.' });
    router.push(`/releases/${flight.releaseId}/taste`);
  };
  const isDone = (one: TasterProgress) =>
    one.scored === one.cups.length && (one.hasAnswered || test === 'scored');
  const done = tasters.filter(isDone).length;
  // One main action: first the cups, then the reveal.
  const Reveal = flight.cups.some(({ pouredAt }) => pouredAt === null) ? Button : MainButton;
  return (
    <section aria-label="Tasters">
      <SectionTitle>
        Tasters, {tasters.length} of {places}
      </SectionTitle>
      {tasters.length === 0 ? (
        <p style={{ marginTop: 8 }}>Nobody has taken a place yet. Show them the code.</p>
      ) : (
        <TableScroll aria-label="Tasters of this flight">
          <Table>
            <TableHead
              columns={[
                'Taster',
                { words: 'Order of cups' },
                'Cups scored',
                test === 'scored' ? false : { words: 'Answered' },
                mayWork && { hidden: 'Phone' },
              ]}
            />
            <tbody>
              {tasters.map((one) => (
                <tr key={one.id}>
                  <td>
                    {one.name}
                    {one.isOfHouse ? '' : ', guest'}
                  </td>
                  <td className="words">{one.cups.join(' → ')}</td>
                  <td>
                    {one.scored} of {one.cups.length}
                  </td>
                  {test !== 'scored' && (
                    <td className="words">{one.hasAnswered ? 'yes' : 'not yet'}</td>
                  )}
                  {mayWork && (
                    <td>
                      {one.isFree ? (
                        <Small>may join again by name</Small>
                      ) : (
                        <QuietButton
                          aria-label={`Free the place of ${one.name}`}
                          onPress={() => void submit('freePlace', { tasterId: one.id })}
                        >
                          Free the place
                        </QuietButton>
                      )}
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </Table>
        </TableScroll>
      )}
      {mayWork && (
        <>
          <p style={{ marginTop: 10 }}>
            <Reveal
              isPending={isBusy}
              onPress={() => void submit('revealFlight', { flightId: id })}
            >
              Reveal
            </Reveal>{' '}
            <Small>
              {done === tasters.length && done > 0
                ? 'Everybody is done.'
                : `${done} of ${tasters.length} are done; what comes after the reveal is kept apart.`}
            </Small>
          </p>
          <More label="More tasters, more time, or delete it" hasFault={faults.length > 0}>
            <Opening flight={flight} />
            {isLead && <QuietButton onPress={() => void remove()}>Delete this flight</QuietButton>}
          </More>
        </>
      )}
      <Faults faults={faults} shown={[]} />
    </section>
  );
}

function Opening({ flight: { id, places: now } }: { flight: FlightView }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [opening, setOpening] = useState({ places: String(now), hours: USUAL_HOURS });
  return (
    <>
      <Side>
        <OpeningFields
          opening={opening}
          onChange={(part) => setOpening({ ...opening, ...part })}
          faultOf={faultOf}
        />
        <Button
          isPending={isBusy}
          onPress={() =>
            void submit('changeFlight', {
              flightId: id,
              places: readNumber(opening.places),
              hours: readNumber(opening.hours),
            })
          }
        >
          Change it
        </Button>
      </Side>
      <Faults faults={faults} shown={['places', 'hours']} />
    </>
  );
}
