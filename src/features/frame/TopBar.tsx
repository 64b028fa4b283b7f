'use client';

import { LogOut, Menu as MenuIcon, Search as SearchIcon, SunMoon } from 'lucide-react';
import dynamic from 'next/dynamic';
import { Link } from '@/ui/Link';
import { useParams, useRouter } from 'next/navigation';
import { useEffect, useState, type MouseEvent } from 'react';
import styled from 'styled-components';
import { ROLE_LABELS } from '@/core/roles';
import { useMay, usePerson } from '@/ui/person';
import { CONTENT_ID } from '@/ui/Page';
import { setTheme, THEME_LABELS, useTheme, type Theme } from '@/ui/theme/look';
import { Hidden, Key } from '@/ui/type';
import { activeKeys, useKeys, type Keys } from '@/ui/useKeys';
import { loadAnew } from '@/ui/loadAnew';
import { useSession } from '@/ui/useSession';
import { paletteItems, releaseItems } from './palette';
import { useReleaseName } from './releaseName';

const Bar = styled.header`
  display: flex;
  align-items: center;
  gap: 18px;
  height: 48px;
  padding: 0 18px;
  border-bottom: 2px solid var(--rule-strong);
  background: var(--enamel-raised);

  @media (max-width: 640px) {
    gap: 10px;
    padding: 0 10px;
  }
`;

const Mark = styled(Link)`
  display: flex;
  align-items: center;
  gap: 9px;
  font-stretch: 122%;
  font-weight: 700;
  text-decoration: none;

  svg {
    color: var(--copper);
  }

  @media (max-width: 640px) {
    span {
      display: none;
    }
  }
`;

const Switcher = styled.button.attrs({ type: 'button' })`
  overflow: hidden;
  white-space: nowrap;
  text-align: left;
  cursor: pointer;
  max-width: 320px;
  min-width: 80px;
  flex: 0 1 auto;
  height: 34px;
  padding: 0 8px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  font-weight: 560;
  text-overflow: ellipsis;
`;

const Right = styled.div`
  display: flex;
  align-items: center;
  gap: 14px;
  margin-left: auto;
  font-size: 14px;
  white-space: nowrap;

  .due {
    font-weight: 640;
  }

  @media (max-width: 900px) {
    gap: 8px;
  }

  @media (max-width: 480px) {
    gap: 2px;

    .theme {
      display: none;
    }
  }
`;

const Places = styled.nav`
  display: flex;
  gap: 14px;

  @media (max-width: 1000px) {
    display: none;
  }
`;

/** The same places where there is no room for their names. */
const Menu = styled.details`
  position: relative;

  summary {
    display: grid;
    place-items: center;
    width: 40px;
    height: 40px;
    list-style: none;
    cursor: pointer;
  }

  nav {
    position: absolute;
    right: 0;
    z-index: 5;
    display: grid;
    min-width: 200px;
    border: 1px solid var(--rule-strong);
    background: var(--enamel-raised);
  }

  nav a {
    padding: 12px 16px;
    border-bottom: 1px solid var(--rule);
    font-size: 16px;
  }

  @media (min-width: 1001px) {
    display: none;
  }
`;

/** The first thing the keyboard reaches, and seen only then. */
const Skip = styled.a`
  position: absolute;
  left: -9999px;

  &:focus {
    left: 10px;
    z-index: 6;
    padding: 8px 12px;
    background: var(--ink);
    color: var(--enamel-raised);
  }
`;

const PLACES = [
  { href: '/find', words: 'Find' },
  { href: '/field', words: 'Field' },
  { href: '/patterns', words: 'Patterns' },
  { href: '/practice', words: 'Practice' },
  { href: '/equipment', words: 'Equipment' },
  { href: '/messages', words: 'Messages' },
  { href: '/house', words: 'House' },
] as const;

const MENU = [
  { href: '/', words: 'Today' },
  { href: '/open', words: 'Open today' },
  { href: '/releases', words: 'Releases' },
  ...PLACES,
] as const;

/** A place was chosen: the menu is done. */
function closeMenu(event: MouseEvent<HTMLElement>): void {
  event.currentTarget.closest('details')?.removeAttribute('open');
}

const IconButton = styled.button.attrs({ type: 'button' })`
  display: grid;
  place-items: center;
  width: 36px;
  height: 36px;
  border: 0;
  background: none;
  cursor: pointer;
`;

const Search = styled.button.attrs({ type: 'button' })`
  display: flex;
  align-items: center;
  gap: 8px;
  height: 34px;
  padding: 0 10px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;

  @media (max-width: 900px) {
    span {
      display: none;
    }
  }
`;

const loadPalette = () => import('./CommandPalette');
const CommandPalette = dynamic(loadPalette);
const KeyList = dynamic(() => import('./KeyList'));

/** It is fetched as a hand comes near, so that it opens at the first press, and no page carries it unasked. */
const atHand = { onPointerEnter: loadPalette, onFocus: loadPalette };

export interface TopBarProps {
  readonly houseName: string;
  /** Releases at hand, the latest first. */
  readonly recent: readonly { id: string; name: string }[];
  /** How many things are due now or soon. */
  readonly due: number;
}

export function TopBar({ houseName, recent, due }: TopBarProps) {
  const router = useRouter();
  const person = usePerson();
  const isLead = useMay('lead');
  const { id } = useParams<{ id?: string }>();
  const name = useReleaseName();
  const current = id === undefined || name === null ? undefined : { id, name };
  const [open, setOpen] = useState<'palette' | 'releases' | 'keys' | null>(null);
  const [listed, setListed] = useState<Keys>({});
  const close = () => setOpen(null);
  useKeys({
    h: { words: 'Today', act: () => router.push('/') },
    f: { words: 'Find', act: () => router.push('/find') },
    ...(isLead && {
      r: { words: 'a new release', act: () => router.push('/releases/new') },
    }),
    '?': {
      words: 'this list',
      act: () => {
        setListed(activeKeys());
        setOpen('keys');
      },
    },
  });
  usePaletteKey(() => setOpen('palette'));
  return (
    <Bar className="screen-only">
      <Skip href={`#${CONTENT_ID}`}>Skip to the content</Skip>
      <Mark href="/" aria-label="Kettlebrand, today">
        <MarkDrawing />
        <span>Kettlebrand</span>
      </Mark>
      {recent.length > 0 && (
        <Switcher
          {...atHand}
          onClick={() => setOpen('releases')}
          aria-haspopup="dialog"
          title={current?.name}
        >
          <Hidden>Release: </Hidden>
          {current?.name ?? 'Choose a release'} ▾
        </Switcher>
      )}
      <Search {...atHand} onClick={() => setOpen('palette')} aria-label="Search and commands">
        <SearchIcon size={16} aria-hidden="true" />
        <span>
          Go to <Key>Ctrl K</Key> Keys <Key>?</Key>
        </span>
      </Search>
      <Right>
        {due > 0 && (
          <Link className="due" href="/">
            {due} due
          </Link>
        )}
        <Places aria-label="Places">
          {PLACES.map(({ href, words }) => (
            <Link key={href} href={href}>
              {words}
            </Link>
          ))}
          <Link href="/people" title={`${ROLE_LABELS[person.role]} at ${houseName}`}>
            {person.name}
          </Link>
        </Places>
        <Menu>
          <summary aria-label="Menu">
            <MenuIcon size={18} aria-hidden="true" />
          </summary>
          <nav aria-label="Menu" onClick={closeMenu}>
            {[...MENU, { href: '/people', words: person.name }].map(({ href, words }) => (
              <Link key={href} href={href}>
                {words}
              </Link>
            ))}
          </nav>
        </Menu>
        <ThemeButton />
        <SignOutButton />
      </Right>
      {open === 'palette' && (
        <CommandPalette
          title="Where to?"
          label="Release, stage, place, or anything that was written down"
          items={paletteItems({ recent, current, role: person.role })}
          findsAll
          onClose={close}
        />
      )}
      {open === 'releases' && (
        <CommandPalette
          title="Which release?"
          label="Name of a release"
          items={releaseItems(recent)}
          onClose={close}
        />
      )}
      {open === 'keys' && <KeyList keys={listed} onClose={close} />}
    </Bar>
  );
}

/** Ctrl K or ⌘ K, also while a field has the focus. */
function usePaletteKey(open: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Control' || event.key === 'Meta') void loadPalette();
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      open();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [open]);
}

function SignOutButton() {
  const { send } = useSession();
  const signOut = async () => {
    const answer = await send('DELETE', {});
    if (answer.ok) loadAnew('/sign-in');
  };
  return (
    <IconButton onClick={() => void signOut()} aria-label="Sign out">
      <LogOut size={18} aria-hidden="true" />
    </IconButton>
  );
}

/** The mark: a line through a gate. */
function MarkDrawing() {
  return (
    <svg width="24" height="24" viewBox="0 0 24 24" fill="none" aria-hidden="true">
      <path d="M7 22V6h11v16" stroke="var(--ink)" strokeWidth="2.4" />
      <path d="M1 21C7 19 10 12 23 2" stroke="currentColor" strokeWidth="2.8" />
    </svg>
  );
}

/** As the system, the other way, this way for good, and round again. */
function ThemeButton() {
  const theme = useTheme();
  const [wasPressed, setPressed] = useState(false);
  const next = () => {
    // The first press always changes what is seen.
    const isDark = matchMedia('(prefers-color-scheme: dark)').matches;
    const order: readonly Theme[] = isDark
      ? ['system', 'light', 'dark']
      : ['system', 'dark', 'light'];
    setTheme(order[(order.indexOf(theme) + 1) % order.length]!);
    setPressed(true);
  };
  const words = wasPressed ? `Light or dark: ${THEME_LABELS[theme]}` : 'Light or dark';
  return (
    <IconButton className="theme" onClick={next} aria-label={words} title={words}>
      <SunMoon size={18} aria-hidden="true" />
    </IconButton>
  );
}
