'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Autocomplete } from 'react-aria-components/Autocomplete';
import { Input } from 'react-aria-components/Input';
import { ListBox, ListBoxItem } from 'react-aria-components/ListBox';
import { SearchField } from 'react-aria-components/SearchField';
import styled from 'styled-components';
import DialogBody from '@/ui/DialogBody';
import { labelText, Small } from '@/ui/type';
import type { Hit, QuickFind } from '@/views/find';
import { FoundParts } from '@/ui/FoundParts';
import { itemsWith, releaseItems, type PaletteItem } from './palette';

const Field = styled(Input)`
  width: 100%;
  min-height: var(--target);
  padding: 6px 12px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  color: var(--ink);
  font-size: 18px;
`;

/** The sheet scrolls, the field stays in sight. */
const Sought = styled(SearchField)`
  position: sticky;
  top: 0;
  z-index: 1;
  padding: 2px 0 4px;
  background: var(--enamel);
`;

const List = styled(ListBox<ShownItem>)`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  outline: none;
`;

const Item = styled(ListBoxItem)`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 16px;
  padding: 8px 10px;
  border-bottom: 1px solid var(--rule);
  cursor: pointer;
  outline: none;

  strong {
    overflow-wrap: anywhere;
    font-weight: 560;
  }

  .place {
    ${labelText}
    max-width: 180px;
    text-align: right;
    overflow-wrap: anywhere;
  }

  &[data-focused],
  &[data-hovered] {
    background: var(--ink);
    color: var(--enamel-raised);

    .place,
    mark {
      background: none;
      color: inherit;
    }
  }
`;

export interface CommandPaletteProps {
  readonly title: string;
  readonly label: string;
  /** What is at hand before anything is typed. */
  readonly items: readonly PaletteItem[];
  /** Looks in everything that was written down, too. */
  readonly findsAll?: boolean;
  readonly onClose: () => void;
}

/** Any place or release by a few letters; with them come whatever else holds the words. */
export default function CommandPalette({
  title,
  label,
  items,
  findsAll = false,
  onClose,
}: CommandPaletteProps) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const { found, isLooking } = useFound(typed);
  const at = itemsWith(items, typed);
  const known = new Set(at.map(({ id }) => id));
  const names = releaseItems(found.names).filter(({ id }) => !known.has(id));
  // A coffee that is offered by its name need not be found again.
  const named = new Set([...at, ...names].map(({ id }) => id));
  const hits = found.hits.filter(
    ({ kind, releaseId }) => kind !== 'release' || !named.has(`release-${releaseId}`),
  );
  const shown = [
    ...at,
    ...names,
    ...(findsAll && typed.trim() !== '' ? [...hits.map(hitItem), allOf(typed)] : []),
  ];
  return (
    <DialogBody title={title} onClose={onClose} width={600}>
      <Autocomplete inputValue={typed} onInputChange={setTyped}>
        <Sought aria-label={label} autoFocus>
          <Field placeholder={label} />
        </Sought>
        <List
          aria-label="Places"
          items={shown}
          selectionMode="none"
          onAction={(key) => {
            const item = shown.find(({ id }) => id === key);
            if (item) router.push(item.href);
            onClose();
          }}
          renderEmptyState={() => (
            <Small>{isLooking ? 'Looking.' : 'Nothing here is called that.'}</Small>
          )}
        >
          {(item) => (
            <Item textValue={`${item.words} ${item.place}`}>
              <strong>{item.parts ? <FoundParts parts={item.parts} /> : item.words}</strong>
              <span className="place">{item.place}</span>
            </Item>
          )}
        </List>
      </Autocomplete>
    </DialogBody>
  );
}

const NOTHING: QuickFind = { names: [], hits: [] };
/** A typist's pause: nobody is asked for every letter. */
const ASK_AFTER_MS = 120;

/** What the house knows of the words; the answer to older words is not shown. */
function useFound(typed: string): { found: QuickFind; isLooking: boolean } {
  const [answer, setAnswer] = useState<{ to: string; found: QuickFind }>({
    to: '',
    found: NOTHING,
  });
  const words = typed.trim();
  useEffect(() => {
    if (words === '') return;
    const control = new AbortController();
    const timer = setTimeout(() => {
      const address = `/api/find?q=${encodeURIComponent(words)}`;
      fetch(address, { signal: control.signal })
        .then((response) => response.json() as Promise<{ result?: QuickFind }>)
        .then(({ result = NOTHING }) => setAnswer({ to: words, found: result }))
        // Without the server the names at hand still lead on.
        .catch(() => {});
    }, ASK_AFTER_MS);
    return () => {
      clearTimeout(timer);
      control.abort();
    };
  }, [words]);
  if (words === '') return { found: NOTHING, isLooking: false };
  return { found: answer.to === words ? answer.found : NOTHING, isLooking: answer.to !== words };
}

type ShownItem = PaletteItem & { readonly parts?: Hit['parts'] };

function hitItem({ id, href, releaseName, place, parts }: Hit): ShownItem {
  const words = parts.map(({ text }) => text).join('');
  return {
    id: `hit-${id}`,
    words,
    parts,
    place: [releaseName, place].filter(Boolean).join(', '),
    href,
  };
}

function allOf(typed: string): ShownItem {
  const words = typed.trim();
  return {
    id: 'find-all',
    words: `Find everything with “${words}”`,
    place: 'Find',
    href: `/find?q=${encodeURIComponent(words)}`,
  };
}
