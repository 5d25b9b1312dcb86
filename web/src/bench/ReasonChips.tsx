import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { DarkChip } from './DarkChip';

const MOST = 4;
/** Before the shop has given another. */
const AT_FIRST = ['its part is coming', 'stripped, holds without', 'came without it'];

/** Why something is left out, as it was said here before: nobody is made to type. */
export function ReasonChips({ picked, pick }: { picked: string; pick: (words: string) => void }) {
  const before = useQuery({
    queryKey: answers.reasons('LEFT_OUT'),
    queryFn: () => answer(api.GET('/api/bench-reasons', { params: { query: { of: 'LEFT_OUT' } } })),
  });
  const words = [...new Set([...(before.data ?? []), ...AT_FIRST])].slice(0, MOST);
  return (
    <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="As it was said before">
      {words.map((one) => (
        <DarkChip key={one} on={picked === one} pick={() => pick(one)}>
          {one}
        </DarkChip>
      ))}
    </Box>
  );
}
