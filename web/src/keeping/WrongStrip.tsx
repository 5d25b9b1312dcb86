import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { useConnection } from '../api/connection';
import { answers } from '../api/queries';

/** What is wrong with what lies under the shop, until it is over: a full disk, a damaged file, an old backup, a wrong clock. */
export function WrongStrip() {
  const connection = useConnection();
  const state = useQuery({
    queryKey: answers.keeping('wrong'),
    queryFn: () => answer(api.GET('/api/keeping/wrong')),
    refetchInterval: 20_000,
  });
  const wrong = state.data?.wrong ?? [];
  const said =
    connection === 'busy'
      ? ['The shop’s database is busy with another program’s writing: what you did is sent again by itself.']
      : wrong;
  if (said.length === 0) {
    return null;
  }
  return (
    <Box
      role="alert"
      aria-label="Something is wrong with the shop’s data"
      bg="hazard"
      color="onMat"
      px="22px"
      py="6px"
    >
      {said.map((sentence) => (
        <Box key={sentence}>{sentence}</Box>
      ))}
    </Box>
  );
}
