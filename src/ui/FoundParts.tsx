'use client';

import styled from 'styled-components';

const Found = styled.mark`
  padding: 0 1px;
  background: var(--under-wash);
  color: inherit;
  font-weight: 640;
  text-decoration: underline;
`;

/** Text with what was found in it marked. */
export function FoundParts({
  parts,
}: {
  parts: readonly { readonly text: string; readonly isFound: boolean }[];
}) {
  return parts.map(({ text, isFound }, i) =>
    isFound ? <Found key={i}>{text}</Found> : <span key={i}>{text}</span>,
  );
}
