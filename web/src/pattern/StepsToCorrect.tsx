import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useMay } from '../api/session';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

/** Steps of a revision's notes that its own jobs say are wrong: each becomes a proposal by one press. */
export function StepsToCorrect({ fault }: { fault: Schemas['FaultPattern'] }) {
  const revision = fault.revisionId;
  const may = useMay('PROPOSE');
  const client = useQueryClient();
  const path = { params: { path: { revision } } };
  const steps = useQuery({
    queryKey: answers.patterns('steps', revision),
    queryFn: () => answer(api.GET('/api/revisions/{revision}/worth-correcting', path)),
  });
  const propose = useMutation({
    mutationFn: (step: string) =>
      answer(api.POST('/api/revisions/{revision}/worth-correcting', { ...path, body: { step } })),
    onSuccess: () => client.invalidateQueries(),
  });
  if (!steps.data || steps.data.length === 0) {
    return null;
  }
  return (
    <Box mb="14px" role="group" aria-label="What its notes should say">
      <chakra.h2>{`The notes of ${fault.model} ${fault.revision}, by its own jobs`.trim()}</chakra.h2>
      <Trouble error={propose.error} />
      {steps.data.map((one) => (
        <Box
          key={one.step}
          display="flex"
          gap="10px"
          alignItems="center"
          justifyContent="space-between"
          borderTop="1px solid"
          borderColor="line"
          py="3px"
          fontSize="sm"
        >
          <Box>
            <b>{one.title}</b>: {one.why}
          </Box>
          {one.waits ? (
            <Link
              to={`/models/${fault.modelId}/${revision}`}
              style={{ textDecoration: 'underline', whiteSpace: 'nowrap' }}
            >
              proposed
            </Link>
          ) : (
            may && (
              <Act minH="36px" disabled={propose.isPending} onClick={() => propose.mutate(one.step)}>
                Propose it
              </Act>
            )
          )}
        </Box>
      ))}
    </Box>
  );
}
