import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

/** Something came in dangerous: nobody begins before a lead has said what was done with it. */
export function SeenTo({ job, mark }: { job: number; mark: Schemas['SeenToSaid']['mark'] }) {
  const [words, setWords] = useState('');
  const say = useJobWrite(() =>
    answer(
      api.POST('/api/jobs/{job}/seen-to', { params: { path: { job } }, body: { mark, words: words.trim() } }),
    ),
  );
  return (
    <chakra.form
      display="grid"
      gap="8px"
      aria-label={`Seen to: ${floor.ArrivalMark[mark]}`}
      onSubmit={(event) => {
        event.preventDefault();
        say.mutate();
      }}
    >
      <Box fontSize="lg">
        Nobody begins before a lead has said what was done about it: {floor.ArrivalMark[mark]}.
      </Box>
      <Box display="grid" gridTemplateColumns="1fr auto" gap="8px" alignItems="end">
        <Text
          label="What was done"
          compact
          placeholder="cell taken out, in the sand outside"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <Act look="bench" type="submit" minH="48px" disabled={say.isPending || !words.trim()}>
          Seen to
        </Act>
      </Box>
      <Trouble error={say.error} />
    </chakra.form>
  );
}
