import type { ReactNode } from 'react';
import { Chip } from '../parts/Buttons';

/** A word to be picked, on the dark of the bench. */
export function DarkChip({ on, pick, children }: { on: boolean; pick: () => void; children: ReactNode }) {
  return (
    <Chip
      on={on}
      minH="44px"
      fontSize="16px"
      bg={on ? 'brassLight' : 'transparent'}
      color={on ? '#221a05' : 'bone'}
      borderColor={on ? 'brassLight' : 'matLine'}
      onClick={pick}
    >
      {children}
    </Chip>
  );
}
