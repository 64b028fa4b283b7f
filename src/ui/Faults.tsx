'use client';

import { useEffect, useId, useRef, useState } from 'react';
import styled from 'styled-components';
import type { Fault } from '@/core/errors';
import { focusFirst, wrongFieldsOf, type WrongField } from './wrongFields';
import { Notice } from './type';

const List = styled.ul`
  display: grid;
  gap: 2px;
  padding-left: 18px;
  list-style: square;
`;

/**
 * What a form was refused for: faults that belong to no field in view, and, where several fields are wrong, a
 * list of links to them. It is announced, and the first wrong field has the focus.
 */
export function Faults({
  faults,
  shown = [],
}: {
  faults: readonly Fault[];
  shown?: readonly string[];
}) {
  const box = useRef<HTMLDivElement>(null);
  const id = useId();
  const [wrong, setWrong] = useState<readonly WrongField[]>([]);
  useEffect(() => {
    const form = box.current?.closest('form') ?? box.current?.parentElement;
    const found = form && faults.length > 0 ? wrongFieldsOf(form, id) : [];
    // What the fields show of their faults is in the page once they are drawn.
    setWrong(found);
    if (found[0]) focusFirst(found[0]);
  }, [faults, id]);
  const rest = faults.filter(
    ({ field }) => !shown.some((name) => field === name || field.endsWith(`.${name}`)),
  );
  return (
    <div role="alert" ref={box}>
      {wrong.length > 1 && (
        <Notice as="div" $kind="fault">
          {wrong.length} fields need you:
          <List>
            {wrong.map((one) => (
              <li key={one.id}>
                <a
                  href={`#${one.id}`}
                  onClick={(event) => {
                    event.preventDefault();
                    focusFirst(one);
                  }}
                >
                  {one.label}
                </a>
              </li>
            ))}
          </List>
        </Notice>
      )}
      {rest.map(({ field, message }) => (
        <Notice key={`${field}${message}`} $kind="fault">
          {message}
        </Notice>
      ))}
    </div>
  );
}
