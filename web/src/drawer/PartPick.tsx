import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

const SHOWN = 8;

/** A part of the drawers, by what is typed of it; nobody picks from a list of five thousand. */
export function PartPick({
  label,
  picked,
  compact,
  any,
}: {
  label: string;
  picked: (part: Schemas['Part']) => void;
  compact?: boolean;
  /** also one of which none is left: something is put there */
  any?: boolean;
}) {
  const [words, setWords] = useState('');
  const asked = useDeferredValue(words.trim());
  const found = useQuery({
    queryKey: answers.foundParts(asked),
    queryFn: () => answer(api.GET('/api/parts/found', { params: { query: { q: asked } } })),
    placeholderData: (before) => before,
    enabled: asked !== '',
  });
  const all = asked === '' ? [] : (found.data ?? []);
  const take = (part: Schemas['Part']) => {
    setWords('');
    picked(part);
  };
  return (
    <Box>
      <Text
        label={label}
        compact={compact}
        placeholder="belt 50 square, 47u 16V, M2×5"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={(event) => {
          const first = all.find((one) => any || one.lies.part.count > 0)?.lies.part;
          if (event.key === 'Enter' && words.trim() !== '') {
            event.preventDefault();
            if (first && asked === words.trim()) {
              take(first);
            }
          }
        }}
      />
      <Trouble error={found.error} />
      {asked !== '' && found.data?.length === 0 && (
        <Box fontSize="sm" color="muted">
          No part answers to that.
        </Box>
      )}
      <Box display="grid" gap="2px" mt={all.length > 0 ? '3px' : undefined}>
        {all.slice(0, SHOWN).map(({ lies: { part } }) => (
          <chakra.button
            key={part.id}
            type="button"
            textAlign="left"
            minH="34px"
            px="8px"
            border="1px solid"
            borderColor="line"
            borderRadius="sm"
            bg="card"
            cursor={any || part.count > 0 ? 'pointer' : 'default'}
            color={any || part.count > 0 ? undefined : 'muted'}
            disabled={!any && part.count === 0}
            onClick={() => take(part)}
          >
            <b>{part.name}</b> · drawer {part.drawer} ·{' '}
            {part.count === 0 ? 'none left' : `${part.count} left`}
            <TestOnly is={part.care.temporary} />
          </chakra.button>
        ))}
        {all.length > SHOWN && (
          <Box fontSize="xs" color="muted">
            and {all.length - SHOWN} more: say more of it
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** Wherever a part is named that must not leave the shop. */
export function TestOnly({ is }: { is: boolean }) {
  return is ? (
    <chakra.span bg="tape" color="onTape" borderRadius="sm" px="5px" ml="6px" fontSize="xs" fontWeight={700}>
      for a test only
    </chakra.span>
  ) : null;
}
