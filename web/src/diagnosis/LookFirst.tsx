import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';

/** After a fall or liquid: the shop's list, before anything is swapped. */
export function LookFirst({
  looks,
  act,
}: {
  looks: Schemas['LookFirst'][];
  act?: (look: Schemas['LookFirst']) => ReactNode;
}) {
  if (looks.length === 0) {
    return null;
  }
  return (
    <Box borderLeft="5px solid" borderColor="amber" bg="brassPaper" px="12px" py="6px" mb="10px">
      <chakra.h2>It fell or got wet: look at all of this before anything is swapped</chakra.h2>
      {looks.map((look, n) => (
        <Box
          key={look.componentId}
          display="flex"
          justifyContent="space-between"
          gap="8px"
          alignItems="center"
        >
          <span>
            {n + 1}. <b>{look.component}</b>
            {look.words && `: ${look.words}`}
          </span>
          {act?.(look)}
        </Box>
      ))}
    </Box>
  );
}
