'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import styled from 'styled-components';
import { STATE_SIGNS, STATE_WORDS } from '@/core/cafes/checkState';
import { chanceMessage } from '@/core/chance';
import { say } from '@/words/say';
import { CHECK_TASTE_LABELS } from '@/core/entity/cafeCheck';
import { shortDayWords } from '@/core/dayWords';
import { figure, signed } from '@/core/figure';
import { roundDial } from '@/core/grinder/dial';
import { dialWords } from '@/core/grinder/notation';
import { Button, QuietButton } from '@/ui/Button';
import { CHART_HEIGHT_PX, InView } from '@/ui/charts/InView';
import { Faults } from '@/ui/Faults';
import { Moment } from '@/ui/moment';
import { More } from '@/ui/More';
import { Columns, Page } from '@/ui/Page';
import { useMay } from '@/ui/person';
import { SectionTitle, Small, StageTitle, Table, TableHead, TableScroll } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import type { CafeCoffee, CafeView, CheckLine } from '@/views/cafe';
import type { StoredPartner } from '@/data/partners';
import { AnswerForm } from './AnswerForm';
import { PartnerForm } from './PartnerForm';
import { QuickEntry } from './QuickEntry';
import { Signals } from './Signals';

const FitChart = dynamic(() => import('./FitChart').then((all) => all.FitChart), { ssr: false });

const Told = styled.p`
  max-width: 70ch;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
`;

const Address = styled.code`
  overflow-wrap: anywhere;
  font-size: 13px;
`;

export interface CafePageProps {
  readonly view: CafeView;
  readonly signal?: string | undefined;
  readonly coffees: readonly { readonly id: string; readonly name: string }[];
  /** Of this house, before the link. */
  readonly houseAddress: string;
}

/** One café: what is off there and why, its checks against their fit, the answer, and what it works with. */
export function CafePage({ view, signal, coffees, houseAddress }: CafePageProps) {
  const { partner, signals, standings, learnt, messages, draft } = view;
  const isLead = useMay('lead');
  const isBench = useMay('bench');
  const [isEditing, setEditing] = useState(false);
  return (
    <Page>
      <header>
        <Small>
          <Link href="/field">Field</Link>
        </Small>
        <StageTitle as="h1">{partner.name}</StageTitle>
        <Small>
          {[partner.town, partner.people, partner.machine, partner.grinder]
            .filter(Boolean)
            .join(' · ')}
        </Small>
      </header>
      <Columns>
        <div>
          <section>
            <SectionTitle as="h2">Off now</SectionTitle>
            <Signals
              signals={signals}
              standings={standings}
              cafeNames={{ [partner.id]: partner.name }}
            />
            {view.unsure.length > 0 && (
              <Small as="p">
                Not sure yet that anything changed since:{' '}
                {view.unsure
                  .map(({ what, probability }) => `${what} ${say(chanceMessage(probability))}`)
                  .join(', ')}
                .
              </Small>
            )}
          </section>
          {view.coffees.map((coffee) => (
            <Coffee key={coffee.releaseId} coffee={coffee} partner={partner} />
          ))}
        </div>
        <div>
          {isLead && (
            <section>
              <SectionTitle as="h2">Answer</SectionTitle>
              {draft === null ? (
                <p>It serves no coffee with a public card: an answer hangs on one.</p>
              ) : (
                <AnswerForm
                  key={`${signal} ${draft.releaseId}`}
                  partnerId={partner.id}
                  draft={draft}
                  signal={signal}
                />
              )}
            </section>
          )}
          <section>
            <SectionTitle as="h2">Written to it</SectionTitle>
            {messages.length === 0 && <p>Nothing yet.</p>}
            {messages.map(({ id, subject, body, madeAt, filedAt, release }) => (
              <div key={id}>
                <p>
                  <strong>{subject}</strong>{' '}
                  <Small>
                    {release}, <Moment at={madeAt} />
                    {filedAt === null ? ', in the outbox' : ', told'}
                  </Small>
                </p>
                <Told>{body}</Told>
              </div>
            ))}
          </section>
          <Learnt learnt={learnt} />
          <LinkBox partner={partner} houseAddress={houseAddress} />
        </div>
      </Columns>
      {isBench && (
        <section>
          <More label="Write down a sheet that came on paper" hasFault={false}>
            <QuickEntry partnerId={partner.id} sheet={view.sheet} />
          </More>
        </section>
      )}
      <Checks checks={view.checks} partner={partner} />
      {isLead &&
        (isEditing ? (
          <PartnerForm partner={partner} coffees={coffees} onDone={() => setEditing(false)} />
        ) : (
          <p>
            <Button onPress={() => setEditing(true)}>Change the café</Button>
          </p>
        ))}
    </Page>
  );
}

/** "1 step finer, dial 11 → 10: 9 in 10 that its mean shot lies in the window, 3 in 10 as it is." */
function moveWords(
  { move: { inWindow, asItIs }, change, from, to }: NonNullable<CafeCoffee['next']>,
  partner: StoredPartner,
): string {
  const chance = (of: number) => say(chanceMessage(of));
  if (change === null)
    return `Leave the dial: ${chance(asItIs)} that its mean shot lies in the window.`;
  const dial = (value: number) => dialWords(partner, roundDial(value));
  const where = from === null || to === null ? '' : `, dial ${dial(from)} → ${dial(to)}`;
  return `${change}${where}: ${chance(inWindow)} that its mean shot lies in the window, ${chance(asItIs)} as it is.`;
}

function Coffee({ coffee, partner }: { coffee: CafeCoffee; partner: StoredPartner }) {
  const { name, next, points } = coffee;
  return (
    <section>
      <SectionTitle as="h2">{name}</SectionTitle>
      {next === null ? (
        <p>No check yet.</p>
      ) : (
        <>
          <p>
            The next shot lies {signed(next.offS)} s from the middle (likely ±{' '}
            {figure(next.half80S, 1)} s, 8 in 10). {moveWords(next, partner)}
          </p>
          <InView label={`${name}: checks and fit over time`} heightPx={CHART_HEIGHT_PX}>
            {() => <FitChart points={points} />}
          </InView>
          <Small>
            Dots: seconds off at the recipe’s weights, hollow where it is an odd one out. Line: what
            the model makes of grinder, dial, batch, age and weather.
          </Small>
        </>
      )}
    </section>
  );
}

function Learnt({ learnt: { secondsPerStep, half80, weeks, hint } }: Pick<CafeView, 'learnt'>) {
  return (
    <section>
      <SectionTitle as="h2">What its checks teach</SectionTitle>
      <p>
        One step of its dial: {figure(secondsPerStep, 1)} s (± {figure(half80, 1)}, 8 in 10).
      </p>
      {weeks.length > 0 && (
        <p>
          Inside by week:{' '}
          {weeks
            .map(({ day, inside, made }) => `${shortDayWords(day)} ${inside} of ${made}`)
            .join(' · ')}
        </p>
      )}
      {hint && <Small>Between us: {hint}</Small>}
    </section>
  );
}

function LinkBox({ partner, houseAddress }: { partner: StoredPartner; houseAddress: string }) {
  const { submit, faults, isBusy } = useCommand();
  const router = useRouter();
  const isLead = useMay('lead');
  if (!isLead) return null;
  const { id, secret, name, roundAskedAt } = partner;
  const address = secret === null ? null : `${houseAddress}/check/${secret}`;
  const renew = (isNew: boolean) => void submit('renewPartnerLink', { partnerId: id, isNew });
  const retire = async () => {
    const answer = await submit('retirePartner', { partnerId: id });
    if (answer.ok) router.push('/field');
  };
  return (
    <section>
      <SectionTitle as="h2">Its link</SectionTitle>
      {address === null ? (
        <p>Revoked: nothing opens its sheet now.</p>
      ) : (
        <>
          <p>
            <Address>{address}</Address>
          </p>
          <Small>
            Whoever has it writes checks for {name} and sees its sheet, nothing else. Send it to
            them alone.
          </Small>
        </>
      )}
      <p>
        {address && (
          <Button onPress={() => void navigator.clipboard.writeText(address)}>Copy</Button>
        )}{' '}
        <Button isPending={isBusy} onPress={() => renew(true)}>
          Make a new link
        </Button>{' '}
        {address && <QuietButton onPress={() => renew(false)}>Revoke it</QuietButton>}
      </p>
      <p>
        {roundAskedAt === null ? (
          <Button
            isPending={isBusy}
            onPress={() => void submit('askRound', { partnerId: id, isAsked: true })}
          >
            Ask a whole extra round
          </Button>
        ) : (
          <>
            A round is asked for since <Moment at={roundAskedAt} />.{' '}
            <QuietButton onPress={() => void submit('askRound', { partnerId: id, isAsked: false })}>
              Ask no longer
            </QuietButton>
          </>
        )}{' '}
        <QuietButton onPress={() => void retire()}>They no longer serve our coffee</QuietButton>
      </p>
      <Faults faults={faults} />
    </section>
  );
}

const SHOWN_AT_ONCE = 12;

function Checks({ checks, partner }: { checks: readonly CheckLine[]; partner: StoredPartner }) {
  if (checks.length === 0) return null;
  return (
    <section>
      <SectionTitle as="h2">Checks, the newest first</SectionTitle>
      <CheckTable checks={checks.slice(0, SHOWN_AT_ONCE)} partner={partner} />
      {checks.length > SHOWN_AT_ONCE && (
        <More label={`${checks.length - SHOWN_AT_ONCE} older ones`} hasFault={false}>
          <CheckTable checks={checks.slice(SHOWN_AT_ONCE)} partner={partner} />
        </More>
      )}
    </section>
  );
}

function CheckTable({ checks, partner }: { checks: readonly CheckLine[]; partner: StoredPartner }) {
  const { submit } = useCommand();
  const isBench = useMay('bench');
  const remove = async (checkId: string) => {
    const answer = await submit('removeCafeCheck', { checkId, isAway: true });
    if (answer.ok)
      offerUndo({
        words: 'A check was taken away.',
        kind: 'removeCafeCheck',
        input: { checkId, isAway: false },
      });
  };
  return (
    <TableScroll aria-label="Checks">
      <Table>
        <TableHead
          columns={[
            { words: 'When' },
            { words: 'Coffee' },
            { words: 'It was' },
            'Dose, g',
            'Yield, g',
            'Time, s',
            'Window, s',
            'Dial',
            { words: 'Taste' },
            { words: 'Remark' },
            { words: 'Do' },
          ]}
        />
        <tbody>
          {checks.map((check) => (
            <tr key={check.id}>
              <td className="words">
                <Moment at={check.visitedAt} />
              </td>
              <td className="words">{check.coffee}</td>
              <td className="words">
                {STATE_SIGNS[check.state]} {STATE_WORDS[check.state]}
                {check.isBeforeCard && `, before version ${check.versionNumber} was public`}
              </td>
              <td>{figure(check.doseG, 1)}</td>
              <td>{figure(check.yieldG, 1)}</td>
              <td>{figure(check.timeS, 1)}</td>
              <td>
                {figure(check.target.timeS[0], 0)}-{figure(check.target.timeS[1], 0)}
              </td>
              <td>{check.dial === undefined ? '' : dialWords(partner, check.dial)}</td>
              <td className="words">
                {check.taste === undefined ? '' : CHECK_TASTE_LABELS[check.taste]}
              </td>
              <td className="words">{check.remark}</td>
              <td className="words">
                {isBench && (
                  <QuietButton
                    aria-label={`Take away the check of ${check.coffee}, ${figure(check.timeS, 1)} s`}
                    onPress={() => void remove(check.id)}
                  >
                    Take away
                  </QuietButton>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </TableScroll>
  );
}
