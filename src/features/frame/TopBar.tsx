'use client';

import { SunMoon } from 'lucide-react';
import Link from 'next/link';
import { useParams, useRouter } from 'next/navigation';
import { Button } from 'react-aria-components/Button';
import styled from 'styled-components';
import { Hidden } from '@/ui/type';
import { useKeys } from '@/ui/useKeys';

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

const Switcher = styled.select`
  max-width: 320px;
  min-width: 0;
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

  .house {
    font-stretch: var(--narrow);
    color: var(--ink-soft);
  }

  @media (max-width: 760px) {
    .house {
      display: none;
    }
  }
`;

const IconButton = styled(Button)`
  display: grid;
  place-items: center;
  width: 36px;
  height: 36px;
  border: 0;
  background: none;
  cursor: pointer;
`;

export interface TopBarProps {
  readonly houseName: string;
  readonly leadName: string;
  readonly releases: readonly { id: string; name: string }[];
}

export function TopBar({ houseName, leadName, releases }: TopBarProps) {
  const router = useRouter();
  const { id } = useParams<{ id?: string }>();
  useKeys({ h: () => router.push('/'), r: () => router.push('/releases/new') });
  return (
    <Bar>
      <Mark href="/" aria-label="Kettlebrand, all releases">
        <MarkDrawing />
        <span>Kettlebrand</span>
      </Mark>
      {releases.length > 0 && (
        <>
          <Hidden as="label" htmlFor="release-switcher">
            Release
          </Hidden>
          <Switcher
            id="release-switcher"
            value={id ?? ''}
            onChange={(event) => router.push(`/releases/${event.target.value}`)}
          >
            {id === undefined && <option value="">Choose a release</option>}
            {releases.map((release) => (
              <option key={release.id} value={release.id}>
                {release.name}
              </option>
            ))}
          </Switcher>
        </>
      )}
      <Right>
        <span className="house">
          {houseName}, {leadName}
        </span>
        <Link href="/bench">Bench</Link>
        <ThemeButton />
      </Right>
    </Bar>
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

const YEAR_S = 365 * 24 * 3600;

function ThemeButton() {
  const toggle = () => {
    const root = document.documentElement;
    const isDark =
      root.dataset.theme === undefined
        ? matchMedia('(prefers-color-scheme: dark)').matches
        : root.dataset.theme === 'dark';
    root.dataset.theme = isDark ? 'light' : 'dark';
    document.cookie = `theme=${root.dataset.theme}; path=/; max-age=${YEAR_S}; samesite=lax`;
  };
  return (
    <IconButton onPress={toggle} aria-label="Light or dark">
      <SunMoon size={18} aria-hidden="true" />
    </IconButton>
  );
}
