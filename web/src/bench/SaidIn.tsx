import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';

/** What was said of a step on the way in, for whoever puts it back. */
export function SaidIn({ said }: { said: Schemas['SaidThen'][] }) {
  const words = said.filter((one) => one.words);
  if (words.length === 0) {
    return null;
  }
  return (
    <Box
      role="group"
      aria-label="Said on the way in"
      fontSize="lg"
      borderLeft="4px solid"
      borderColor="tape"
      pl="10px"
    >
      {words.map((one) => (
        <Box key={`${one.at} ${one.words}`}>
          {one.component === undefined ? '' : 'Found here: '}
          {one.words}
        </Box>
      ))}
    </Box>
  );
}
