import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Act, Chip } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';

type Word = Schemas['WrongWord'];

/** The words for what is wrong with a component; those that say the same count as one, on every model. */
export function WrongWords() {
  const words = useQuery({
    queryKey: answers.wrongWords(),
    queryFn: () => answer(api.GET('/api/wrong-words')),
  });
  return (
    <Box mt="22px" role="group" aria-label="The words for what is wrong">
      <chakra.h2>The words for what is wrong</chakra.h2>
      <Loaded query={words}>{(all) => <Merging words={all} />}</Loaded>
    </Box>
  );
}

function Merging({ words }: { words: Word[] }) {
  const client = useQueryClient();
  const [picked, pick] = useState<Word>();
  const settled = (all: Word[]) => {
    client.invalidateQueries();
    client.setQueryData(answers.wrongWords(), all);
    pick(undefined);
  };
  const merge = useMutation({
    mutationFn: (into: Word) =>
      answer(api.POST('/api/wrong-words/merge', { body: { word: (picked as Word).word, into: into.word } })),
    onSuccess: settled,
  });
  const split = useMutation({
    mutationFn: (word: Word) => answer(api.POST('/api/wrong-words/split', { body: { word: word.word } })),
    onSuccess: settled,
  });
  if (words.length === 0) {
    return <Box color="muted">No fault has been named yet.</Box>;
  }
  return (
    <>
      <Box color="muted" mb="6px" role="status">
        {picked
          ? `“${picked.word}” says the same as which word? Tap it.`
          : 'As above: the one that should go, then the one that stays. What was said stays as it was said.'}
      </Box>
      <Box display="flex" gap="5px" flexWrap="wrap">
        {words
          .filter((word) => word.means === undefined)
          .map((word) => (
            <Chip
              key={word.word}
              on={picked?.word === word.word}
              disabled={merge.isPending}
              onClick={() =>
                picked === undefined
                  ? pick(word)
                  : picked.word === word.word
                    ? pick(undefined)
                    : merge.mutate(word)
              }
            >
              {word.word} · {word.said}
            </Chip>
          ))}
      </Box>
      {words
        .filter((word) => word.means !== undefined)
        .map((word) => (
          <Box key={word.word} display="flex" gap="10px" alignItems="center">
            <span>
              “{word.word}” ({word.said}) counts as “{word.means}”
            </span>
            <Act look="quiet" disabled={split.isPending} onClick={() => split.mutate(word)}>
              let it stand for itself
            </Act>
          </Box>
        ))}
      <Trouble error={merge.error ?? split.error} />
    </>
  );
}
