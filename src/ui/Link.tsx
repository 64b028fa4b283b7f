import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link within the house. Nothing is fetched before it is pressed: every page is made anew when it is asked for, so
 * what was fetched ahead would be thrown away, and a page with twenty links would ask twenty times after every command.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
