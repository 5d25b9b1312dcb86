import { Box, chakra } from '@chakra-ui/react';
import { CameBack } from '../job/CameBack';
import type { Bench } from './press';
import { Unfinished } from './Unfinished';

/** The unit is out: nothing can be done to it, and what it lacks is known. */
export function OnLoan({ bench }: { bench: Bench }) {
  return (
    <>
      <chakra.h1 fontSize="3xl">On loan</chakra.h1>
      <Box fontSize="xl">{bench.stand.status.words}</Box>
      <Unfinished bench={bench} />
      <Box mt="auto" display="grid">
        <CameBack job={bench.unit.jobId} look="benchMain" />
      </Box>
    </>
  );
}
