import type { ReactNode } from 'react';
import { Chip, KeyCap } from '../parts/Buttons';

/** A word to be picked, on the dark of the bench. */
export function DarkChip({
  on,
  pick,
  keyName,
  children,
}: {
  on: boolean;
  pick: () => void;
  keyName?: string;
  children: ReactNode;
}) {
  return (
    <Chip
      on={on}
      minH="56px"
      px="14px"
      fontSize="md"
      bg={on ? 'brassLight' : 'transparent'}
      color={on ? 'onBrass' : 'bone'}
      borderColor={on ? 'brassLight' : 'matLine'}
      onClick={pick}
    >
      {keyName && <KeyCap name={keyName} />} {children}
    </Chip>
  );
}
