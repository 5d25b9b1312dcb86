import type { ReactNode } from 'react';
import { Chip } from '../parts/Buttons';

/** A word to be picked, on the dark of the bench. */
export function DarkChip({ on, pick, children }: { on: boolean; pick: () => void; children: ReactNode }) {
  return (
    <Chip
      on={on}
      minH="44px"
      fontSize="md"
      bg={on ? 'brassLight' : 'transparent'}
      color={on ? 'onBrass' : 'bone'}
      borderColor={on ? 'brassLight' : 'matLine'}
      onClick={pick}
    >
      {children}
    </Chip>
  );
}
