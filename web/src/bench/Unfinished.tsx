import { Box, chakra } from '@chakra-ui/react';
import { moment } from '../api/words';
import type { Bench } from './press';

/** What was closed for now, or went out on loan, and is still to be put right. */
export function Unfinished({ bench }: { bench: Bench }) {
  const { unfinished, loan } = bench.stand;
  if (unfinished.length === 0) {
    return null;
  }
  return (
    <Box
      borderLeft="5px solid"
      borderColor="brassLight"
      pl="12px"
      fontSize="lg"
      role="group"
      aria-label="To be put right first"
    >
      <chakra.b display="block">
        {loan?.back ? `Back from its loan, ${moment(loan.back)}. Put right first:` : 'Put right first:'}
      </chakra.b>
      {unfinished.map((line) => (
        <Box key={line}>{line}</Box>
      ))}
    </Box>
  );
}
