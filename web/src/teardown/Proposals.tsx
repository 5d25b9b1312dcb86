import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { WhyForm } from '../form/WhyForm';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

/** What benches have seen otherwise; who may decide takes it into the notes or says why not. */
export function Proposals({ revision }: { revision: number }) {
  const waiting = useQuery({
    queryKey: answers.proposals(revision),
    queryFn: () => answer(api.GET('/api/revisions/{revision}/proposals', { params: { path: { revision } } })),
  });
  return (
    <>
      {waiting.data?.map((proposal) => (
        <Proposal key={proposal.id} proposal={proposal} />
      ))}
    </>
  );
}

function Proposal({ proposal }: { proposal: Schemas['ProposalView'] }) {
  const client = useQueryClient();
  const [declining, setDeclining] = useState(false);
  const params = { path: { proposal: proposal.id } };
  const accept = useMutation({
    mutationFn: () => answer(api.POST('/api/proposals/{proposal}/accept', { params })),
    onSuccess: () => {
      client.invalidateQueries();
    },
  });
  return (
    <Box
      role="group"
      aria-label={`Proposal for ${proposal.step}`}
      borderLeft="5px solid"
      borderColor="amber"
      bg="card"
      px="12px"
      py="8px"
      mb="8px"
    >
      <b>{proposal.step}</b>: {proposal.why}
      {proposal.changes.map((change) => (
        <Box key={change} fontSize="sm">
          {change}
        </Box>
      ))}
      <Box color="muted" fontSize="sm">
        {proposal.by}, {day(proposal.at)}
        {proposal.jobId && (
          <>
            , seen on{' '}
            <Link to={`/jobs/${proposal.jobId}`}>
              <chakra.span color="chalk" textDecoration="underline">
                {proposal.tag}
              </chakra.span>
            </Link>
          </>
        )}
        {!proposal.yours && ' · waits for a lead, or a bench who knows the model'}
      </Box>
      {proposal.yours && !declining && (
        <Box display="flex" gap="8px" mt="6px">
          <Act look="main" disabled={accept.isPending} onClick={() => accept.mutate()}>
            Take it into the notes
          </Act>
          <Act onClick={() => setDeclining(true)}>Not so</Act>
        </Box>
      )}
      {proposal.yours && declining && (
        <WhyForm
          name={`Decline: ${proposal.step}`}
          label="Why not"
          go="Decline it"
          send={(why) => answer(api.POST('/api/proposals/{proposal}/decline', { params, body: { why } }))}
          leave={() => setDeclining(false)}
        />
      )}
      <Trouble error={accept.error} />
    </Box>
  );
}
