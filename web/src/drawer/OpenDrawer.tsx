import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Empty, Loaded, Trouble } from '../parts/States';
import { PartRow } from './PartRow';
import type { Open } from './useOpen';

/** One drawer, pulled out. */
export function OpenDrawer({ name, open }: { name: string; open: Open }) {
  const lies = useQuery({
    queryKey: answers.drawer(name),
    queryFn: () => answer(api.GET('/api/drawers/one', { params: { query: { drawer: name } } })),
  });
  const begin = useMutation({
    mutationFn: () => answer(api.POST('/api/stock-takes', { body: { drawer: name } })),
    onSuccess: (take) => open.go({ take: take.id }),
  });
  const all = lies.data ?? [];
  useKeys([
    { key: 'N', label: `Count drawer ${name} through`, act: () => begin.mutate(), off: all.length === 0 },
    ...all.slice(0, 9).map((one, n) => ({
      key: String(n + 1),
      label: `Open ${one.part.name}`,
      act: () => open.beside(one.part.id),
    })),
  ]);
  return (
    <>
      <Box display="flex" gap="10px" alignItems="center" mb="6px">
        <Act keyName="D" onClick={() => open.go({})}>
          All drawers
        </Act>
        <chakra.h1 flex="1">
          Drawer <chakra.span fontFamily="mono">{name}</chakra.span>
        </chakra.h1>
        <chakra.a
          href={`/api/drawers/labels.pdf?drawer=${encodeURIComponent(name)}`}
          target="_blank"
          rel="noreferrer"
          textDecoration="underline"
          fontSize="sm"
        >
          labels
        </chakra.a>
        <Act keyName="N" onClick={() => begin.mutate()} disabled={begin.isPending || all.length === 0}>
          Count it through
        </Act>
      </Box>
      <Trouble error={begin.error} />
      <Loaded query={lies}>
        {(now) => (
          <>
            {now.length === 0 && <Empty>Nothing belongs in this drawer yet.</Empty>}
            {now.map((one, n) => (
              <PartRow
                key={one.part.id}
                lies={one}
                open={() => open.beside(one.part.id)}
                opened={open.part === one.part.id}
                keyName={n < 9 ? String(n + 1) : undefined}
              />
            ))}
          </>
        )}
      </Loaded>
    </>
  );
}
