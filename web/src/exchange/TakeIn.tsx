import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { useGoOn } from '../app/leaving';
import { FilePick } from '../parts/FilePick';
import { Trouble } from '../parts/States';

/** Notes from a file: checked as a whole before anything is taken from it. */
export function TakeIn() {
  const client = useQueryClient();
  const goOn = useGoOn();
  const take = useMutation({
    mutationFn: async (file: File) => {
      const text = await file.text();
      return answer(api.POST('/api/import/teardown', { body: text, bodySerializer: (body) => body }));
    },
    onSuccess: (taken) => {
      client.invalidateQueries();
      goOn(`/models/${taken.modelId}/${taken.revisionId}`);
    },
  });
  return (
    <Box mt="26px" borderTop="1px solid" borderColor="line" pt="14px">
      <chakra.h1 mb="6px">Notes from a file</chakra.h1>
      <Box color="muted" fontSize="sm" mb="8px">
        A teardown that another shop, or this one, has written out as JSON. The whole file is taken, or
        nothing.
      </Box>
      <FilePick
        name="Teardown file"
        accept=".json,application/json"
        busy={take.isPending}
        picked={(file) => take.mutate(file)}
      >
        {take.isPending ? 'Reading it…' : 'Take in a file'}
      </FilePick>
      <Trouble error={take.error} />
    </Box>
  );
}
