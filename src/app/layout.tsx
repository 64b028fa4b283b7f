import '@fontsource-variable/archivo/wdth.css';
import '@/ui/theme/theme.css';
import type { Metadata } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { ReadyMark } from '@/ui/ReadyMark';
import { StyleRegistry } from '@/ui/theme/StyleRegistry';

export const metadata: Metadata = {
  title: { default: 'Kettlebrand', template: '%s · Kettlebrand' },
  description: 'Espresso recipes for each coffee release, from the bag to the published card.',
  icons: { icon: '/icon.svg', apple: '/icons/apple.png' },
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const kept = await cookies();
  const theme = kept.get('theme')?.value;
  const isDense = kept.get('density')?.value === 'dense';
  const styleNonce = (await headers()).get('x-style-nonce') ?? undefined;
  return (
    <html
      lang="en-GB"
      data-theme={theme === 'light' || theme === 'dark' ? theme : undefined}
      data-density={isDense ? 'dense' : undefined}
    >
      <body>
        <StyleRegistry nonce={styleNonce}>
          {children}
          <ReadyMark />
        </StyleRegistry>
      </body>
    </html>
  );
}
