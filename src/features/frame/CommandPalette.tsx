'use client';

import { useRouter } from 'next/navigation';
import { Autocomplete, useFilter } from 'react-aria-components/Autocomplete';
import { Input } from 'react-aria-components/Input';
import { ListBox, ListBoxItem } from 'react-aria-components/ListBox';
import { SearchField } from 'react-aria-components/SearchField';
import styled from 'styled-components';
import DialogBody from '@/ui/DialogBody';
import { labelText, Small } from '@/ui/type';
import type { PaletteItem } from './palette';

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

const List = styled(ListBox<PaletteItem>)`
  display: grid;
  outline: none;
`;

const Item = styled(ListBoxItem)`
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 8px 10px;
  border-bottom: 1px solid var(--rule);
  cursor: pointer;
  outline: none;

  strong {
    overflow-wrap: anywhere;
    font-weight: 560;
  }

  span {
    ${labelText}
    white-space: nowrap;
  }

  &[data-focused],
  &[data-hovered] {
    background: var(--ink);
    color: var(--enamel-raised);

    span {
      color: inherit;
    }
  }
`;

/** Any place or release by a few letters. */
export default function CommandPalette({
  items,
  onClose,
}: {
  items: readonly PaletteItem[];
  onClose: () => void;
}) {
  const router = useRouter();
  const { contains } = useFilter({ sensitivity: 'base' });
  const everyWord = (text: string, sought: string) =>
    sought
      .split(/\s+/)
      .filter((word) => word !== '')
      .every((word) => contains(text, word));
  return (
    <DialogBody title="Where to?" onClose={onClose} width={560}>
      <Autocomplete filter={everyWord}>
        <Sought aria-label="Release, stage or place" autoFocus>
          <Field placeholder="A release, a stage, a place" />
        </Sought>
        <List
          aria-label="Places"
          items={items}
          selectionMode="none"
          onAction={(key) => {
            const item = items.find(({ id }) => id === key);
            if (item) router.push(item.href);
            onClose();
          }}
          renderEmptyState={() => <Small>Nothing here is called that.</Small>}
        >
          {(item) => (
            <Item textValue={`${item.words} ${item.place}`}>
              <strong>{item.words}</strong>
              <span>{item.place}</span>
            </Item>
          )}
        </List>
      </Autocomplete>
    </DialogBody>
  );
}
