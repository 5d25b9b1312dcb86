import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { PartRow } from './PartRow';
import type { Open } from './useOpen';

/** The parts whose labels say nothing that could be read: one list to go through. */
export function Unread({ open }: { open: Open }) {
  const unread = useQuery({
    queryKey: answers.unread(),
    queryFn: () => answer(api.GET('/api/parts/unread')),
  });
  return (
    <>
      <Act keyName="D" onClick={() => open.go({})}>
        All drawers
      </Act>
      <Box fontSize="sm" color="muted" my="6px">
        Their labels do not say what they are. Open one and say it: then it is found by its sizes, and gauges
        take it.
      </Box>
      <Loaded query={unread}>
        {(now) => (
          <>
            {now.length === 0 && <Empty>Of every part it is known what it is.</Empty>}
            {now.map((part) => (
              <PartRow
                key={part.id}
                lies={{ part }}
                open={() => open.beside(part.id)}
                opened={open.part === part.id}
              />
            ))}
          </>
        )}
      </Loaded>
    </>
  );
}
