'use client';

import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import styled from 'styled-components';
import type { Part } from '@/core/entity/equipment';
import type { StoredParts } from '@/data/equipment';
import type { StoredPeriod } from '@/data/calibrationPeriods';
import type { StoredSetup } from '@/data/setups';
import { Button, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Columns, Page } from '@/ui/Page';
import { useMay, usePerson } from '@/ui/person';
import { SectionTitle, Small, StageTitle } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import type { GrinderLesson } from '@/views/grinderMemory';
import { CalibrationPeriods } from './CalibrationPeriods';
import { FirstBench } from './FirstBench';
import { Lesson } from './Lesson';
import { PartEditor } from './PartEditor';
import { SetupEditor, type PartLists } from './SetupEditor';
import { basketWords, grinderWords, machineWords } from './words';

const Rows = styled.ul`
  display: grid;
`;

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(120px, 180px) minmax(0, 1fr) auto;
  gap: 4px 16px;
  align-items: baseline;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);

  strong {
    overflow-wrap: anywhere;
  }

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** Everything on the bench, and how it stands together. */
export function EquipmentPage({
  setups,
  parts,
  taught,
  periods,
  hasRelease,
}: {
  setups: readonly StoredSetup[];
  parts: PartLists;
  /** What past dial-ins taught, by grinder. */
  taught: Readonly<Record<string, GrinderLesson>>;
  periods: readonly StoredPeriod[];
  hasRelease: boolean;
}) {
  const { units } = usePerson();
  return (
    <Page>
      <StageTitle as="h1">Equipment</StageTitle>
      <p>
        Describe each machine, grinder and basket once; a setup is the three that stand together.
        Proposal and advice keep to what a setup can do, and say what it cannot. What machines do
        during a shot: <Link href="/programmes">Programmes</Link>.
      </p>
      <Columns>
        <div>
          <Setups setups={setups} parts={parts} hasRelease={hasRelease} />
          <Parts
            part="machine"
            title="Machines"
            stored={parts.machine}
            wordsOf={(machine) => machineWords(machine, units)}
          />
          <Parts
            part="basket"
            title="Baskets"
            stored={parts.basket}
            wordsOf={(basket) => basketWords(basket)}
          />
        </div>
        <Parts
          part="grinder"
          title="Grinders"
          stored={parts.grinder}
          wordsOf={grinderWords}
          more={(grinder) => (
            <>
              {taught[grinder.id] && <Lesson grinder={grinder} lesson={taught[grinder.id]!} />}
              <CalibrationPeriods
                grinder={grinder}
                periods={periods.filter(({ grinderId }) => grinderId === grinder.id)}
              />
            </>
          )}
        />
      </Columns>
      <Small>
        Electrical, water and pressure work: the maker’s manual and a licensed technician.
      </Small>
    </Page>
  );
}

function Setups({
  setups,
  parts,
  hasRelease,
}: {
  setups: readonly StoredSetup[];
  parts: PartLists;
  hasRelease: boolean;
}) {
  const router = useRouter();
  const isLead = useMay('lead');
  const isFirst = setups.length === 0 && isLead;
  const [open, setOpen] = useState<string | null>(isFirst ? 'first' : null);
  const remove = useRemoval('setup');
  const next = hasRelease ? '/' : '/releases/new';
  const close = () => {
    setOpen(null);
    if (setups.length === 0) router.push(next);
  };
  const editor = (stored: StoredSetup | null) => (
    <SetupEditor
      stored={stored}
      parts={parts}
      onDone={close}
      mayLeave={setups.length > 0}
      key={stored?.id}
    />
  );
  return (
    <section>
      <SectionTitle as="h2">Setups</SectionTitle>
      <Rows>
        {setups.map((setup) => (
          <Row key={setup.id}>
            <strong>{setup.name}</strong>
            <span>
              {setup.machine.name}; {setup.grinder.name}; {setup.basket.name}
            </span>
            <ChangeButtons
              name={setup.name}
              onChange={() => setOpen(setup.id)}
              onRemove={() => void remove.act(setup)}
            />
          </Row>
        ))}
      </Rows>
      <Faults faults={remove.faults} />
      {setups.filter(({ id }) => id === open).map(editor)}
      {open === 'first' && <FirstBench next={next} onDescribe={() => setOpen('new')} />}
      {open === 'new'
        ? editor(null)
        : isLead &&
          open !== 'first' && (
            <p style={{ marginTop: 10 }}>
              <Button onPress={() => setOpen('new')}>Add a setup</Button>
            </p>
          )}
    </section>
  );
}

function Parts<P extends Part>({
  part,
  title,
  stored,
  wordsOf,
  more,
}: {
  part: P;
  title: string;
  stored: readonly StoredParts[P][];
  wordsOf: (part: StoredParts[P]) => string;
  /** What else can be said of one, below its words. */
  more?: (part: StoredParts[P]) => ReactNode;
}) {
  const isLead = useMay('lead');
  const [open, setOpen] = useState<string | null>(null);
  const remove = useRemoval(part);
  if (stored.length === 0) return null;
  const edited = stored.find(({ id }) => id === open);
  return (
    <section>
      <SectionTitle as="h2">{title}</SectionTitle>
      <Rows>
        {stored.map((item: StoredParts[P] & { readonly name: string }) => (
          <Row key={item.id}>
            <strong>{item.name}</strong>
            <span>{wordsOf(item)}</span>
            <ChangeButtons
              name={item.name}
              onChange={() => setOpen(item.id)}
              onRemove={() => void remove.act(item)}
            />
            {more?.(item)}
          </Row>
        ))}
      </Rows>
      <Faults faults={remove.faults} />
      {edited && (
        <PartEditor key={edited.id} part={part} stored={edited} onDone={() => setOpen(null)} />
      )}
      {open === 'new' && (
        <PartEditor key="new" part={part} stored={null} onDone={() => setOpen(null)} />
      )}
      {isLead && open === null && (
        <p style={{ marginTop: 10 }}>
          <Button onPress={() => setOpen('new')}>Add a {part}</Button>
        </p>
      )}
    </section>
  );
}

function ChangeButtons({
  name,
  onChange,
  onRemove,
}: {
  name: string;
  onChange: () => void;
  onRemove: () => void;
}) {
  if (!useMay('lead')) return null;
  return (
    <span>
      <QuietButton onPress={onChange} aria-label={`Change ${name}`}>
        change
      </QuietButton>
      <QuietButton onPress={onRemove} aria-label={`Delete ${name}`}>
        delete
      </QuietButton>
    </span>
  );
}

function useRemoval(what: 'setup' | Part) {
  const { submit, faults } = useCommand();
  const act = async ({ id, name }: { id: string; name: string }) => {
    const answer = await submit('remove', { what, id });
    if (answer.ok)
      offerUndo({ words: `${name} was deleted.`, kind: 'restore', input: { what, id } });
  };
  return { act, faults };
}
