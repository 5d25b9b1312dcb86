import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

/** Strikes a remark: it stays in the story, with why. */
export function TakeBack({ entry, words }: { entry: number; words: string }) {
  const [why, say] = useState<string>();
  const take = useJobWrite(() =>
    answer(
      api.POST('/api/entries/{entry}/take-back', { params: { path: { entry } }, body: { why: why ?? '' } }),
    ),
  );
  if (why === undefined) {
    return (
      <Act look="quiet" minH="34px" ml="6px" aria-label={`Strike: ${words}`} onClick={() => say('')}>
        Strike
      </Act>
    );
  }
  return (
    <Box
      as="form"
      display="grid"
      gridTemplateColumns="1fr auto auto"
      gap="8px"
      alignItems="end"
      my="4px"
      onSubmit={(event) => {
        event.preventDefault();
        take.mutate();
      }}
      onKeyDown={(event) => event.key === 'Escape' && say(undefined)}
    >
      <Text autoFocus compact label="Why it is struck" value={why} onChange={(e) => say(e.target.value)} />
      <Act look="main" type="submit" disabled={take.isPending || why.trim() === ''}>
        Strike it
      </Act>
      <Act onClick={() => say(undefined)}>Leave it</Act>
      <Box gridColumn="1 / -1">
        <Trouble error={take.error} />
      </Box>
    </Box>
  );
}
