'use client';

import { useServerInsertedHTML } from 'next/navigation';
import { useRef, useState, type ReactNode } from 'react';
import { ServerStyleSheet, StyleSheetManager } from 'styled-components';

/**
 * Collects the styles of a server render and sends them with its HTML; before them their nonce, where the
 * libraries that add styles look for it. It goes this way because a page that is not there is sent without
 * the layout's own HTML.
 */
export function StyleRegistry({
  nonce,
  children,
}: {
  nonce: string | undefined;
  children: ReactNode;
}) {
  const [sheet] = useState(() => new ServerStyleSheet(nonce === undefined ? {} : { nonce }));
  const isNonceSent = useRef(false);
  useServerInsertedHTML(() => {
    const styles = sheet.getStyleElement();
    sheet.instance.clearTag();
    const isFirst = !isNonceSent.current;
    isNonceSent.current = true;
    return (
      <>
        {isFirst && <meta property="csp-nonce" content={nonce} />}
        {styles}
      </>
    );
  });
  if (typeof window !== 'undefined') return <>{children}</>;
  return <StyleSheetManager sheet={sheet.instance}>{children}</StyleSheetManager>;
}
