import { Box, chakra } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useTitle } from '../app/useTitle';
import { Loaded } from '../parts/States';
import { AREAS } from './areas';
import { MergeWords } from './MergeWords';
import { WrongWords } from './WrongWords';

/** The shop's words for what units do. Two that say the same are merged; what was said stays as it was said. */
export default function WordsPage() {
  useTitle('Words');
  const words = useQuery({ queryKey: answers.words(), queryFn: () => answer(api.GET('/api/symptoms')) });
  return (
    <Box p="12px 24px" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
      <chakra.h1>The words for what units do</chakra.h1>
      <Loaded query={words}>{(all) => <Symptoms words={all} />}</Loaded>
      <WrongWords />
    </Box>
  );
}

function Symptoms({ words }: { words: Schemas['Word'][] }) {
  const client = useQueryClient();
  const all = words.map((word) => ({
    ...word,
    key: word.id,
    countsAs: words.find((one) => one.id === word.mergedInto)?.name,
  }));
  return (
    <MergeWords
      words={all}
      groups={Object.entries(AREAS).map(([area, title]) => ({
        title,
        words: all.filter((word) => word.area === area && word.mergedInto === undefined),
      }))}
      hint="Two words that say the same: tap the one that should go, then the one that stays. New words come from the counter."
      merge={(word, into) =>
        answer(
          api.POST('/api/symptoms/{word}/merge', {
            params: { path: { word: word.id } },
            body: { into: into.id },
          }),
        )
      }
      split={(word) =>
        answer(api.POST('/api/symptoms/{word}/split', { params: { path: { word: word.id } } }))
      }
      settled={(now) => client.setQueryData(answers.words(), now)}
    />
  );
}
