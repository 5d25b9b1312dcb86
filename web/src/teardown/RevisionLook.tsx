import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { Empty, Trouble } from '../parts/States';
import { TakePhoto } from '../parts/TakePhoto';
import { PhotoForm } from './PhotoForm';

/** What this revision looks like from outside, with what tells it apart marked. */
export function RevisionLook({
  sheet,
  revision,
}: {
  sheet: Schemas['ModelSheet'];
  revision: Schemas['Revision'];
}) {
  const client = useQueryClient();
  const [look, setLook] = useState(revision.look);
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/revisions/{revision}', {
          params: { path: { revision: revision.id }, header: seen(revision.version) },
          body: { name: revision.name, tellApart: revision.tellApart, look },
        }),
      ),
    onSuccess: () => {
      client.invalidateQueries({ queryKey: answers.model(sheet.model.id) });
      client.invalidateQueries({ queryKey: answers.models() });
    },
  });
  return (
    <Box mb="20px" role="group" aria-label="From outside">
      <chakra.h1 mb="6px">{revision.name}, from outside</chakra.h1>
      {look ? (
        <PhotoForm photo={look} change={setLook} remove={() => setLook(undefined)} />
      ) : (
        <>
          <Empty>No picture yet. Take one of the side that tells this revision apart, and mark where.</Empty>
          <TakePhoto taken={setLook} />
        </>
      )}
      {JSON.stringify(look) !== JSON.stringify(revision.look) && (
        <Act look="main" mt="6px" disabled={save.isPending} onClick={() => save.mutate()}>
          Keep this picture
        </Act>
      )}
      <Trouble error={save.error} />
    </Box>
  );
}
