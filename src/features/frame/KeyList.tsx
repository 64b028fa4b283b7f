'use client';

import styled from 'styled-components';
import DialogBody from '@/ui/DialogBody';
import { Key } from '@/ui/type';
import { keyShown } from '@/ui/singleKeys';
import type { Keys } from '@/ui/useKeys';

const List = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 16px;
  align-items: baseline;
`;

const EVERYWHERE: readonly (readonly [string, string])[] = [
  ['Ctrl K', 'go anywhere by name'],
  ['Tab', 'to the next control'],
  ['Esc', 'leaves a figure or a dialog'],
];

const NAMES: Readonly<Record<string, string>> = {
  ' ': 'Space',
  Escape: 'Esc',
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
};

/** Every key that works on the screen it was opened on. */
export default function KeyList({ keys, onClose }: { keys: Keys; onClose: () => void }) {
  const rows = [
    ...Object.entries(keys).map(([key, { words }]) => [
      NAMES[key] ?? (key.length === 1 ? keyShown(key) : key),
      words,
    ]),
    ...EVERYWHERE,
  ];
  return (
    <DialogBody title="Keys that work here" onClose={onClose}>
      <List>
        {rows.map(([key, words]) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>
              <Key>{key}</Key>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </List>
    </DialogBody>
  );
}
