import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Act, Chip } from '../parts/Buttons';
import { Trouble } from '../parts/States';

/** A word of the shop: how often it was said, and as which it counts. */
export type ShopWord = { key: string | number; name: string; said: number; countsAs?: string };

type Props<W extends ShopWord, All> = {
  words: W[];
  /** those that stand together, under a title of their own or none */
  groups: { title?: string; words: W[] }[];
  hint: string;
  merge: (word: W, into: W) => Promise<All>;
  split: (word: W) => Promise<All>;
  /** what the server says after it */
  settled: (all: All) => void;
};

/** Two words that say the same: the one that should go is tapped, then the one that stays. What was said stays as it was said. */
export function MergeWords<W extends ShopWord, All>(props: Props<W, All>) {
  const client = useQueryClient();
  const [picked, pick] = useState<W>();
  const onSuccess = (all: All) => {
    client.invalidateQueries();
    props.settled(all);
    pick(undefined);
  };
  const merge = useMutation({ mutationFn: (into: W) => props.merge(picked as W, into), onSuccess });
  const split = useMutation({ mutationFn: props.split, onSuccess });
  const merged = props.words.filter((word) => word.countsAs !== undefined);
  return (
    <>
      <Box color="muted" mb="6px" role="status">
        {picked ? `“${picked.name}” says the same as which word? Tap it.` : props.hint}
      </Box>
      {props.groups
        .filter((group) => group.words.length > 0)
        .map((group) => (
          <Box key={group.title ?? ''} role="group" aria-label={group.title} mt="8px">
            {group.title && <chakra.h2>{group.title}</chakra.h2>}
            <Box display="flex" gap="5px" flexWrap="wrap">
              {group.words.map((word) => (
                <Chip
                  key={word.key}
                  on={picked?.key === word.key}
                  disabled={merge.isPending}
                  onClick={() =>
                    picked === undefined
                      ? pick(word)
                      : picked.key === word.key
                        ? pick(undefined)
                        : merge.mutate(word)
                  }
                >
                  {word.name} · {word.said}
                </Chip>
              ))}
            </Box>
          </Box>
        ))}
      {merged.length > 0 && (
        <Box mt="14px">
          <chakra.h2>Merged</chakra.h2>
          {merged.map((word) => (
            <Box key={word.key} display="flex" gap="10px" alignItems="center">
              <span>
                “{word.name}” ({word.said}) counts as “{word.countsAs}”
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
