import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useTitle } from '../app/useTitle';
import { Act, Chip } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';
import { AREAS } from './areas';
import { WrongWords } from './WrongWords';

type Word = Schemas['Word'];

/** The shop's words for what units do. Two that say the same are merged; what was said stays as it was said. */
export default function WordsPage() {
  useTitle('Words');
  const words = useQuery({ queryKey: answers.words(), queryFn: () => answer(api.GET('/api/symptoms')) });
  return (
    <Box p="12px 24px" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
      <chakra.h1>The words for what units do</chakra.h1>
      <Loaded query={words}>{(all) => <Merging words={all} />}</Loaded>
      <WrongWords />
    </Box>
  );
}

function Merging({ words }: { words: Word[] }) {
  const client = useQueryClient();
  const [picked, pick] = useState<Word>();
  const settled = (all: Word[]) => {
    client.invalidateQueries();
    client.setQueryData(answers.words(), all);
    pick(undefined);
  };
  const merge = useMutation({
    mutationFn: (into: Word) =>
      answer(
        api.POST('/api/symptoms/{word}/merge', {
          params: { path: { word: (picked as Word).id } },
          body: { into: into.id },
        }),
      ),
    onSuccess: settled,
  });
  const split = useMutation({
    mutationFn: (word: Word) =>
      answer(api.POST('/api/symptoms/{word}/split', { params: { path: { word: word.id } } })),
    onSuccess: settled,
  });
  const standing = words.filter((word) => word.mergedInto === undefined);
  return (
    <>
      <Box color="muted" mb="6px" role="status">
        {picked
          ? `“${picked.name}” says the same as which word? Tap it.`
          : 'Two words that say the same: tap the one that should go, then the one that stays. New words come from the counter.'}
      </Box>
      {Object.entries(AREAS).map(([area, title]) => {
        const here = standing.filter((word) => word.area === area);
        return here.length > 0 ? (
          <Box key={area} role="group" aria-label={title} mt="8px">
            <chakra.h2>{title}</chakra.h2>
            <Box display="flex" gap="5px" flexWrap="wrap">
              {here.map((word) => (
                <Chip
                  key={word.id}
                  on={picked?.id === word.id}
                  disabled={merge.isPending}
                  onClick={() =>
                    picked === undefined
                      ? pick(word)
                      : picked.id === word.id
                        ? pick(undefined)
                        : merge.mutate(word)
                  }
                >
                  {word.name} · {word.said}
                </Chip>
              ))}
            </Box>
          </Box>
        ) : null;
      })}
      {standing.length < words.length && (
        <Box mt="14px">
          <chakra.h2>Merged</chakra.h2>
          {words
            .filter((word) => word.mergedInto !== undefined)
            .map((word) => (
              <Box key={word.id} display="flex" gap="10px" alignItems="center">
                <span>
                  “{word.name}” ({word.said}) counts as “
                  {words.find((one) => one.id === word.mergedInto)?.name}”
                </span>
                <Act look="quiet" disabled={split.isPending} onClick={() => split.mutate(word)}>
                  let it stand for itself
                </Act>
              </Box>
            ))}
        </Box>
      )}
      <Trouble error={merge.error ?? split.error} />
    </>
  );
}
