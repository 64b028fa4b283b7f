'use client';

import { useRouter } from 'next/navigation';
import { useRef } from 'react';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Hidden } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';

/** Reads a recipe document back: one of this house's own is recognised by its hash. */
export function ImportDocument() {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const { submit, faults, isBusy } = useCommand();
  const take = async (file: File | undefined) => {
    if (!file) return;
    const answer = await submit('importDocument', { document: await file.text() });
    if (input.current) input.current.value = '';
    if (!answer.ok) return;
    const { releaseId, identicalVersion } = answer.result;
    router.push(
      identicalVersion === undefined
        ? `/releases/${String(releaseId)}/pull`
        : `/releases/${String(releaseId)}/publish?identical=${String(identicalVersion)}`,
    );
  };
  return (
    <div>
      <Button onPress={() => input.current?.click()} isPending={isBusy}>
        Read a recipe document
      </Button>
      <Hidden as="label">
        Recipe document
        <input
          ref={input}
          type="file"
          accept="application/json,.json"
          tabIndex={-1}
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </Hidden>
      <Faults faults={faults} />
    </div>
  );
}
