import { Box, chakra } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Loaded } from '../parts/States';
import { MergeWords } from './MergeWords';

/** The words for what is wrong with a component; those that say the same count as one, on every model. */
export function WrongWords() {
  const words = useQuery({
    queryKey: answers.wrongWords(),
    queryFn: () => answer(api.GET('/api/wrong-words')),
  });
  return (
    <Box mt="22px" role="group" aria-label="The words for what is wrong">
      <chakra.h2>The words for what is wrong</chakra.h2>
      <Loaded query={words}>
        {(all) =>
          all.length === 0 ? <Box color="muted">No fault has been named yet.</Box> : <Merging words={all} />
        }
      </Loaded>
    </Box>
  );
}

function Merging({ words }: { words: Schemas['WrongWord'][] }) {
  const client = useQueryClient();
  const all = words.map(({ word, said, means }) => ({ key: word, name: word, said, countsAs: means }));
  return (
    <MergeWords
      words={all}
      groups={[{ words: all.filter((word) => word.countsAs === undefined) }]}
      hint="As above: the one that should go, then the one that stays. What was said stays as it was said."
      merge={(word, into) =>
        answer(api.POST('/api/wrong-words/merge', { body: { word: word.name, into: into.name } }))
      }
      split={(word) => answer(api.POST('/api/wrong-words/split', { body: { word: word.name } }))}
      settled={(now) => client.setQueryData(answers.wrongWords(), now)}
    />
  );
}
