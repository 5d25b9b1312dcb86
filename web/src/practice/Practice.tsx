import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';

/** The practice shop: a made-up shop beside this one, where nothing counts. */
export function Practice() {
  const client = useQueryClient();
  const practice = useQuery({
    queryKey: answers.practice(),
    queryFn: () => answer(api.GET('/api/practice')),
    refetchInterval: (query) => (query.state.data?.state === 'MAKING' ? 1000 : false),
  });
  const act = useMutation({
    mutationFn: (open: boolean) => answer(open ? api.POST('/api/practice') : api.DELETE('/api/practice')),
    onSuccess: (now) => client.setQueryData(answers.practice(), now),
  });
  return (
    <Loaded query={practice}>
      {({ state, port, trouble }) =>
        state === 'HERE' ? null : (
          <Box role="group" aria-label="Practice shop" my="14px">
            <chakra.h2 fontSize="md" fontWeight={700}>
              Practice shop
            </chakra.h2>
            <Box color="muted" fontSize="sm" mb="6px">
              A made-up shop beside this one, full of jobs, where nothing counts: to try things out, and to be
              thrown away.
            </Box>
            {(state === 'NONE' || state === 'FAILED') && (
              <Act disabled={act.isPending} onClick={() => act.mutate(true)}>
                Open a practice shop
              </Act>
            )}
            {state === 'MAKING' && <Box role="status">It is being made: about half a minute.</Box>}
            {state === 'OPEN' && (
              <Box display="flex" gap="10px" alignItems="center" flexWrap="wrap">
                <chakra.a
                  href={`${window.location.protocol}//${window.location.hostname}:${port}/`}
                  target="_blank"
                  rel="noopener"
                  color="chalk"
                  textDecoration="underline"
                  fontWeight={700}
                >
                  Go to the practice shop
                </chakra.a>
                <Act disabled={act.isPending} onClick={() => act.mutate(false)}>
                  Throw it away
                </Act>
              </Box>
            )}
            {trouble && (
              <Box role="alert" color="hazard">
                It did not start: {trouble}
              </Box>
            )}
            <Trouble error={act.error} />
          </Box>
        )
      }
    </Loaded>
  );
}
