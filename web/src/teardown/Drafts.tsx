import { Box } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

/** Notes that came of taking a unit apart, for whoever decides about notes. */
export function Drafts() {
  const client = useQueryClient();
  const { data: drafts = [] } = useQuery({
    queryKey: answers.drafts(),
    queryFn: () => answer(api.GET('/api/drafts')),
  });
  const looked = useMutation({
    mutationFn: (draft: number) =>
      answer(api.POST('/api/drafts/{draft}/looked', { params: { path: { draft } } })),
    onSuccess: (left) => client.setQueryData(answers.drafts(), left),
  });
  return (
    <>
      {drafts.map((draft) => (
        <Box
          key={draft.id}
          role="group"
          aria-label={`Draft of ${draft.model}`}
          borderLeft="5px solid"
          borderColor="amber"
          bg="card"
          px="12px"
          py="8px"
          mb="8px"
        >
          <Link to={`/models/${draft.modelId}/${draft.revisionId}/notes`}>
            <b>
              {draft.model}, {draft.revision}
            </b>
          </Link>
          : notes as {draft.tag} came apart. {draft.steps} {draft.steps === 1 ? 'step' : 'steps'},{' '}
          {draft.minutes} minutes in
          {draft.unknown > 0 && `, ${draft.unknown} not counted`}.
          <Box color="muted" fontSize="sm">
            {draft.by}, {day(draft.at)}
            {!draft.yours && ' · waits for a lead, or a bench who knows the model'}
          </Box>
          {draft.yours && (
            <Act mt="6px" disabled={looked.isPending} onClick={() => looked.mutate(draft.id)}>
              Looked over
            </Act>
          )}
        </Box>
      ))}
      <Trouble error={looked.error} />
    </>
  );
}
