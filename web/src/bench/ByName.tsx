import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { useKeys } from '../app/keys';

type Thing = Schemas['ThingView'];

/** Plugs and loose pieces are asked for one by one, by name, each with its own key. */
export function ByName({
  title,
  things,
  sure,
  say,
}: {
  title: string;
  things: Thing[];
  /** ids of those that are said to be in */
  sure: string[];
  say: (thing: Thing) => void;
}) {
  useKeys(
    things.slice(0, 9).map((thing, n) => ({
      key: String(n + 1),
      label: `In: ${thing.label}`,
      act: () => say(thing),
    })),
  );
  return (
    <Box role="group" aria-label={title} display="grid" gap="7px">
      <Box fontSize="md" color="chalkDust">
        {title}
      </Box>
      {things.map((thing, n) => {
        const on = sure.includes(thing.id);
        return (
          <chakra.button
            key={thing.id}
            type="button"
            role="checkbox"
            aria-checked={on}
            display="grid"
            gridTemplateColumns="34px 1fr auto"
            alignItems="center"
            gap="10px"
            minH="48px"
            px="10px"
            textAlign="left"
            fontSize="lg"
            border="1px solid"
            borderColor={on ? 'brassLight' : 'matLine'}
            borderRadius="sm"
            cursor="pointer"
            onClick={() => say(thing)}
          >
            <chakra.span
              fontFamily="mono"
              fontSize="md"
              textAlign="center"
              border="1px solid"
              borderColor={on ? 'brassLight' : 'matLine'}
              bg={on ? 'brassLight' : 'transparent'}
              color={on ? 'onBrass' : 'chalkDust'}
              borderRadius="sm"
              lineHeight="28px"
              aria-hidden="true"
            >
              {n < 9 ? n + 1 : ''}
            </chakra.span>
            <span>
              {thing.label}
              {thing.hint && (
                <chakra.span color="chalkDust" fontSize="sm">
                  {' '}
                  {thing.hint}
                </chakra.span>
              )}
            </span>
            <chakra.b color={on ? 'brassLight' : 'bone'} fontSize="md">
              {on ? 'in' : 'in?'}
            </chakra.b>
          </chakra.button>
        );
      })}
    </Box>
  );
}
