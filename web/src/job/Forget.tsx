import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

/** What is kept of an owner, as a file for them; and their name taken out. A lead's. */
export function Forget({ owner }: { owner: Schemas['Owner'] }) {
  const client = useQueryClient();
  const [asked, setAsked] = useState(false);
  const forget = useMutation({
    mutationFn: () => answer(api.DELETE('/api/owners/{owner}', { params: { path: { owner: owner.id } } })),
    onSuccess: () => client.invalidateQueries(),
  });
  const backups = useQuery({
    queryKey: answers.keeping('backups'),
    queryFn: () => answer(api.GET('/api/keeping/backups')),
    enabled: asked,
  });
  const oldest = backups.data?.made[0];
  if (forget.data) {
    return (
      <Box role="status" mt="6px">
        They are “{forget.data.called}” from now on; {forget.data.papers} printed papers are thrown away.
        {forget.data.stillNamed > 0 &&
          ` ${forget.data.stillNamed} lines of the story have the name in their words: take them back by hand.`}
      </Box>
    );
  }
  return (
    <Box fontSize="xs">
      <Box display="flex" gap="12px" alignItems="center" flexWrap="wrap">
        <chakra.a href={`/api/owners/${owner.id}/data`} download color="chalk" textDecoration="underline">
          all that is kept of them
        </chakra.a>
        <Act look="quiet" color="chalk" minH="24px" fontSize="xs" onClick={() => setAsked(!asked)}>
          take their name out
        </Act>
      </Box>
      {asked && (
        <Box mt="6px" fontSize="md" color="ink" borderLeft="5px solid" borderColor="hazard" pl="12px">
          <Box mb="6px">
            Name and ways to reach {owner.name} go for good, with all their papers; what happened to their
            units stays.
            {oldest &&
              ` Backups made until now keep the name, the last of them until ${day(oldest.until)} at the latest.`}
          </Box>
          <Box display="flex" gap="8px">
            <Act look="main" disabled={forget.isPending} onClick={() => forget.mutate()}>
              Take the name out
            </Act>
            <Act onClick={() => setAsked(false)}>Leave it</Act>
          </Box>
          <Trouble error={forget.error} />
        </Box>
      )}
    </Box>
  );
}
