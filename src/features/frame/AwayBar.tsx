'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useState, useSyncExternalStore } from 'react';
import styled from 'styled-components';
import { Button, QuietButton } from '@/ui/Button';
import { saveOffline } from '@/ui/saveOffline';
import { lookForServer, onBack, onReach, readReach } from '@/ui/reach';
import { useMoment } from '@/ui/moment';
import { useRefresh } from '@/ui/useRefresh';

const Bar = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  padding: 8px 18px;
  border-bottom: 1px solid var(--rule-strong);
  background: var(--enamel-sunk);
`;

/** A page that has settled is kept. */
const KEEP_AFTER_MS = 2_000;

/**
 * What holds without the server: when what is shown was known, and that entries wait here. Also keeps the
 * pages that were opened, and offers a new version of the program.
 */
export function AwayBar({
  madeAt,
  isSilent = false,
}: {
  madeAt: string;
  /** The page says by itself that the server is away. */
  isSilent?: boolean;
}) {
  const [, refresh] = useRefresh();
  const path = usePathname();
  const isReached = useSyncExternalStore(onReach, readReach, () => true);
  const isNew = useNewVersion();
  const moment = useMoment();
  useEffect(() => void lookForServer(), []);
  // Back: what was kept gives way to what is so now.
  useEffect(() => onBack(refresh), [refresh]);
  useEffect(() => {
    if (!isReached) return;
    const timer = setTimeout(() => void saveOffline(path), KEEP_AFTER_MS);
    return () => clearTimeout(timer);
    // What was logged since is to be in what is kept.
  }, [isReached, path, madeAt]);
  if (!isReached && isSilent) return null;
  if (!isReached)
    return (
      <Bar role="status" className="screen-only">
        <strong>The server is not reached.</strong> This is what was known at {moment(madeAt)}.
        Shots and cups you log wait on this device and go up by themselves.
      </Bar>
    );
  if (!isNew) return null;
  return (
    <Bar role="status" className="screen-only">
      A new version of Kettlebrand is ready. <Button onPress={isNew.take}>Use it now</Button>
      <QuietButton onPress={isNew.leave}>Later</QuietButton>
    </Bar>
  );
}

interface NewVersion {
  readonly take: () => void;
  readonly leave: () => void;
}

/** Installs the service worker where there may be one; a new one that waits is offered, never forced. */
function useNewVersion(): NewVersion | null {
  const [offered, setOffered] = useState<ServiceWorkerRegistration | null>(null);
  useEffect(() => {
    const { serviceWorker } = navigator;
    if (!serviceWorker || process.env.NODE_ENV !== 'production') return;
    let registration: ServiceWorkerRegistration | undefined;
    const look = () => {
      if (registration?.waiting && serviceWorker.controller) setOffered(registration);
    };
    const onFound = () => registration?.installing?.addEventListener('statechange', look);
    const onView = () => {
      if (document.visibilityState === 'visible') registration?.update().catch(() => undefined);
    };
    serviceWorker.register('/sw.js').then(
      (found) => {
        // A browser told to install nothing answers with nothing.
        registration = found as ServiceWorkerRegistration | undefined;
        look();
        registration?.addEventListener('updatefound', onFound);
      },
      () => undefined,
    );
    document.addEventListener('visibilitychange', onView);
    return () => {
      registration?.removeEventListener('updatefound', onFound);
      document.removeEventListener('visibilitychange', onView);
    };
  }, []);
  if (!offered) return null;
  return {
    take: () => {
      navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), {
        once: true,
      });
      // The newest: it may have taken the place of the one that was offered.
      offered.waiting?.postMessage({ type: 'SKIP_WAITING' });
    },
    leave: () => setOffered(null),
  };
}
