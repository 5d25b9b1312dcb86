import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';

type Plug = Schemas['Connector'];

/** How many there are; empty while nobody has counted. */
export function HowMany({ of, count, set }: { of: string; count?: number; set: (count?: number) => void }) {
  return (
    <Box w="74px">
      <Text
        label="How many"
        aria-label={`How many ${of}`}
        compact
        type="number"
        min={1}
        max={99}
        placeholder="?"
        value={count ?? ''}
        onChange={({ target }) => set(target.value === '' ? undefined : Number(target.value))}
      />
    </Box>
  );
}

/** How many of a kind there are, how they are held, and whether they can only go in one way. */
export function PlugFields({ plug, set }: { plug: Plug; set: (part: Partial<Plug>) => void }) {
  return (
    <Box display="flex" gap="8px" alignItems="end" flexWrap="wrap">
      <HowMany of={plug.label} count={plug.count} set={(count) => set({ count: count ?? 1 })} />
      <Box flex="1" minW="150px">
        <Text
          label="Latch (empty: pulls straight out)"
          compact
          placeholder="slide, flip up, screws"
          value={plug.latch}
          onChange={({ target }) => set({ latch: target.value })}
        />
      </Box>
      <Chip on={plug.keyed} onClick={() => set({ keyed: !plug.keyed })}>
        keyed: goes in one way
      </Chip>
    </Box>
  );
}
