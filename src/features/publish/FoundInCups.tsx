'use client';

import { Button } from '@/ui/Button';
import { Small } from '@/ui/type';

/** What the cup sheets themselves found: a start for the words of the card, never more than somebody tasted. */
export function FoundInCups({
  found,
  onTake,
}: {
  found: readonly string[];
  onTake: (words: string) => void;
}) {
  if (found.length === 0) return null;
  const words = `${found.join(', ')}.`;
  const sentence = words.charAt(0).toUpperCase() + words.slice(1);
  return (
    <p>
      <Small>Found in cups of this recipe: {found.join(', ')}.</Small>{' '}
      <Button onPress={() => onTake(sentence)}>Use as “when right”</Button>
    </p>
  );
}
