'use client';

import { say } from '@/words/say';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { beanCautions } from '@/core/beanCautions';
import { dialWords } from '@/core/grinder/notation';
import type { ArmPull } from '@/core/panel/arm';
import { settleMin, TASTERS_PER_SHOT } from '@/core/panel/atTheTable';
import { readNumber } from '@/core/readNumber';
import { BEAN_STATE_LABELS, CLOCK_LABELS, SERVING_LABELS } from '@/core/vocabulary';
import { MainButton, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { QuantityInput } from '@/ui/fields';
import { NotationProvider } from '@/ui/notation';
import { useMay, useUnits } from '@/ui/person';
import { Notice, SectionTitle, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import type { StoredSetup } from '@/data/setups';
import type { BenchCup, FlightView } from '@/views/flight';
import { Cooling } from './Cooling';

const List = styled.ol`
  display: grid;
  gap: 0;
  margin: 0;
  padding: 0;
  list-style: none;
`;

const Line = styled.li`
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: 2px 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);

  .code {
    font-stretch: var(--wide);
    font-size: 22px;
    font-weight: 620;
  }

  form {
    grid-column: 2;
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: end;
  }

  form > div {
    flex: 1 1 84px;
    max-width: 120px;
  }
`;

/** Figures a shot is logged with. */
const FIELDS = [
  { name: 'dial', label: 'Dial', step: 1 },
  { name: 'doseG', label: 'Dose', step: 0.1 },
  { name: 'yieldG', label: 'Yield', step: 0.1 },
  { name: 'timeS', label: 'Time', step: 0.1 },
] as const;

/** What the person at the machine works through: one cup after the other, the next one open. */
export function BenchWork({ flight }: { flight: FlightView }) {
  const mayPull = useMay('bench');
  const cups = inPullingOrder(flight.cups);
  const firstOpen = cups.find(({ pouredAt }) => pouredAt === null)?.code ?? null;
  const [chosen, setChosen] = useState<string | null>(null);
  const open = chosen ?? firstOpen;
  const shots = Math.ceil(flight.places / TASTERS_PER_SHOT);
  return (
    <section aria-label="At the machine">
      <SectionTitle>At the machine: {cups.length} cups</SectionTitle>
      <Small as="p" style={{ marginTop: 6 }}>
        Write each number on its cup, and let nobody who tastes see this page.
        {shots > 1 &&
          ` For ${flight.places} tasters pull each ${shots} times, stir them together, and log the last.`}{' '}
        Group, portafilter and steam scald; a choked shot vents before the portafilter is loosened.
      </Small>
      {beanCautions(cups.flatMap(({ what }) => what.pull?.beans ?? [])).map((message) => (
        <Notice key={message.id} style={{ marginTop: 6 }}>
          {say(message)}
        </Notice>
      ))}
      <List>
        {cups.map((cup, i) => (
          <Line key={cup.code}>
            <span className="code">{cup.code}</span>
            <span>
              <strong>{cup.what.label}</strong>{' '}
              {cup.what.pull ? (
                <PullWords
                  pull={cup.what.pull}
                  setup={flight.recipes[cup.what.pull.draftId]?.setup}
                  before={cup.pouredAt === null ? cups[i - 1]?.what.pull : undefined}
                />
              ) : (
                <Small>a cup from elsewhere</Small>
              )}
              {cup.what.serving !== 'straight' && (
                <Small> · served {SERVING_LABELS[cup.what.serving].toLowerCase()}</Small>
              )}
              {cup.pouredAt && (
                <>
                  {' '}
                  · <Cooling pouredAt={cup.pouredAt} />{' '}
                  {mayPull && (
                    <QuietButton
                      aria-label={`Pour cup ${cup.code} anew`}
                      onPress={() => setChosen(cup.code)}
                    >
                      anew
                    </QuietButton>
                  )}
                </>
              )}
            </span>
            {mayPull && cup.code === open && (
              <Pour
                key={cup.code}
                flight={flight}
                cup={cup}
                before={cups[i - 1]?.what.pull}
                shouldFocus={i > 0}
                onPoured={() => setChosen(null)}
              />
            )}
          </Line>
        ))}
      </List>
    </section>
  );
}

/** Cooler cups first: a machine heats faster than it cools, and waits once for each temperature. */
function inPullingOrder(cups: readonly BenchCup[]): BenchCup[] {
  const heat = ({ what }: BenchCup) => what.pull?.temperatureC ?? 0;
  return [...cups].sort((a, b) => heat(a) - heat(b));
}

function PullWords({
  pull: { doseG, yieldG, temperatureC, timeS, clock, dial, beans, purged },
  setup,
  before,
}: {
  pull: ArmPull;
  setup: StoredSetup | undefined;
  /** The cup that is pulled before it; none once it stands on the table. */
  before: ArmPull | undefined;
}) {
  const { mass, massFigure, temperature } = useUnits();
  const waitMin = before ? settleMin(before.temperatureC, temperatureC) : 0;
  const purgeG =
    purged && setup && before && before.dial !== dial ? 2 * setup.grinder.retentionG : 0;
  return (
    <Small>
      {massFigure(doseG)} → {mass(yieldG)} in {timeS.join('-')} s at {temperature(temperatureC)},
      dial {dialWords(setup?.grinder ?? {}, dial)}, timed {CLOCK_LABELS[clock]}
      {beans !== 'room' && `, ${BEAN_STATE_LABELS[beans].toLowerCase()} beans`}
      {!purged && ' · do not purge'}
      {purgeG > 0 && ` · purge ${mass(purgeG)} first`}
      {waitMin > 0 && ` · set ${temperature(temperatureC)} and wait about ${waitMin} min`}
    </Small>
  );
}

function Pour({
  flight,
  cup,
  before,
  shouldFocus,
  onPoured,
}: {
  flight: FlightView;
  cup: BenchCup;
  /** The cup that is pulled before it. */
  before: ArmPull | undefined;
  shouldFocus: boolean;
  onPoured: () => void;
}) {
  // The screen is brought up to date once the cup stands on the table.
  const logging = useCommand({ leavesPage: true });
  const pouring = useCommand();
  const { pull } = cup.what;
  const setup = pull && flight.recipes[pull.draftId]?.setup;
  const [text, setText] = useState(() => ({
    dial: String(pull?.dial ?? ''),
    doseG: String(pull?.doseG ?? ''),
    yieldG: String(pull?.yieldG ?? ''),
    timeS: '',
  }));
  // A shot that went up while the cup did not is not logged twice.
  const [shotId, setShotId] = useState<string>();
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    let pulled = shotId;
    if (pull && pulled === undefined) {
      const answer = await logging.submit('logShot', {
        draftId: pull.draftId,
        dial: readNumber(text.dial),
        doseG: readNumber(text.doseG),
        yieldG: readNumber(text.yieldG),
        timeS: readNumber(text.timeS),
        clock: pull.clock,
        temperatureC: pull.temperatureC,
        beans: pull.beans,
        // Where the dial stays nothing is purged, and none is noted.
        purged: pull.purged && before?.dial !== pull.dial,
        pulledAt: new Date().toISOString(),
      });
      if (!answer.ok) return;
      pulled = answer.result.shotId;
      setShotId(pulled);
    }
    const answer = await pouring.submit('pourCup', {
      flightId: flight.id,
      code: cup.code,
      ...(pulled !== undefined && { shotId: pulled }),
    });
    if (answer.ok) onPoured();
  };
  return (
    <NotationProvider of={setup?.grinder ?? {}}>
      <form onSubmit={onSubmit} noValidate aria-label={`Pour cup ${cup.code}`}>
        {pull &&
          FIELDS.map(({ name, label, step }) => (
            <QuantityInput
              key={name}
              label={label}
              quantity={name === 'yieldG' ? 'shotYieldG' : name}
              step={step}
              value={text[name]}
              onChange={(value) => setText({ ...text, [name]: value })}
              fault={logging.faultOf(name)}
              {...(name === 'timeS' && shouldFocus && { inputRef: focus })}
            />
          ))}
        <MainButton type="submit" isPending={logging.isBusy || pouring.isBusy}>
          On the table
        </MainButton>
        <Faults
          faults={[...logging.faults, ...pouring.faults]}
          shown={FIELDS.map(({ name }) => name)}
        />
      </form>
    </NotationProvider>
  );
}

/** The next cup's time is what is typed next. */
const focus = (input: HTMLInputElement | null) => input?.focus();
