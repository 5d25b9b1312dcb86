import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { Empty, Loaded } from '../parts/States';
import { PartRow } from './PartRow';
import type { Open } from './useOpen';

/** What answers to what is typed, with what takes it: those that are known to be it first. */
export function FoundParts({ open }: { open: Open }) {
  const asked = useDeferredValue(open.asked.trim());
  const found = useQuery({
    queryKey: answers.foundParts(asked),
    queryFn: () => answer(api.GET('/api/parts/found', { params: { query: { q: asked } } })),
    placeholderData: (before) => before,
    enabled: asked !== '',
  });
  const all = found.data ?? [];
  useKeys(
    all.slice(0, 9).map((one, n) => ({
      key: String(n + 1),
      label: `Open ${one.lies.part.name}`,
      act: () => open.beside(one.lies.part.id),
    })),
  );
  return (
    <Loaded query={found}>
      {(now) => (
        <Box>
          {now.length === 0 && <Empty>No part answers to that. A puts a new one into a drawer.</Empty>}
          {now.map((one, n) => (
            <PartRow
              key={one.lies.part.id}
              lies={one.lies}
              takes={takes(one.fits)}
              open={() => open.beside(one.lies.part.id)}
              opened={open.part === one.lies.part.id}
              keyName={n < 9 ? String(n + 1) : undefined}
            />
          ))}
        </Box>
      )}
    </Loaded>
  );
}

function takes(fits: Schemas['Fit'][]): string | undefined {
  const good = fits.filter((fit) => fit.fits !== false);
  return good.length === 0
    ? undefined
    : `${good
        .slice(0, 3)
        .map((fit) => `${fit.model} ${fit.component}${fit.fitted > 0 ? `, ${fit.fitted} fitted` : ''}`)
        .join(' · ')}${good.length > 3 ? ` and ${good.length - 3} more` : ''}`;
}
