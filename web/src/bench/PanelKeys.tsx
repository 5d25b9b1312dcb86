import { Box, chakra } from '@chakra-ui/react';
import { Act, KeyCap } from '../parts/Buttons';
import type { MainKey, MoreKey } from './moreKeys';

/** The keys of the bench: one large, some beside it, and the seldom ones small below. */
export function PanelKeys({ main, more }: { main?: MainKey; more: MoreKey[] }) {
  return (
    <Box
      mt="auto"
      display="grid"
      gridTemplateColumns="1fr 1fr"
      gap="7px"
      position="sticky"
      bottom="-18px"
      bg="matSurface"
      pt="6px"
      pb="2px"
    >
      {main && (
        <Act
          look="benchMain"
          gridColumn="1 / -1"
          minH="56px"
          fontSize="xl"
          keyName={main.key}
          disabled={main.off}
          onClick={main.act}
        >
          {main.words}
        </Act>
      )}
      {more
        .filter((one) => !one.small)
        .map((one) => (
          <Act
            key={one.words}
            look="bench"
            minH="44px"
            keyName={one.key || undefined}
            disabled={one.off}
            onClick={one.act}
          >
            {one.words}
          </Act>
        ))}
      <Box gridColumn="1 / -1" display="flex" flexWrap="wrap" gap="2px 4px">
        {more
          .filter((one) => one.small)
          .map((one) => (
            <chakra.button
              key={one.words}
              type="button"
              display="inline-flex"
              alignItems="center"
              gap="5px"
              minH="40px"
              px="6px"
              fontSize="sm"
              color="bone"
              borderRadius="sm"
              cursor="pointer"
              _hover={{ bg: 'matGrid' }}
              _disabled={{ opacity: 0.5 }}
              disabled={one.off}
              onClick={one.act}
            >
              <KeyCap name={one.key} />
              {one.words}
            </chakra.button>
          ))}
      </Box>
    </Box>
  );
}
