import { Box, chakra } from '@chakra-ui/react';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { useTitle } from '../app/useTitle';
import { Act, KeyCap } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Empty, Loaded } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { DonorList } from './DonorList';
import { DonorOpened } from './DonorOpened';
import { DrawerBox } from './DrawerBox';
import { FoundParts } from './FoundParts';
import { Needs } from './Needs';
import { NewPart } from './NewPart';
import { OpenDrawer } from './OpenDrawer';
import { OrderOpened } from './OrderOpened';
import { Orders } from './Orders';
import { PartOpened } from './PartOpened';
import { PartsFile } from './PartsFile';
import { StockTake } from './StockTake';
import { Unread } from './Unread';
import { type Open, useOpen } from './useOpen';

/** The drawers as they stand on the left; on the right the part that is open, or what the rack will need. */
export default function DrawersPage() {
  useTitle('Drawers');
  const open = useOpen();
  const search = useRef<HTMLInputElement>(null);
  useKeys([
    { key: 'S', label: 'Search the drawers', act: () => search.current?.focus() },
    { key: 'A', label: 'A new part', act: () => open.go({ add: true }) },
    { key: 'O', label: 'Orders', act: () => open.go({ orders: true }) },
    { key: 'U', label: 'Units kept for parts', act: () => open.go({ donors: true }) },
    {
      key: 'D',
      label: 'All drawers',
      act: () => open.go({}),
      off:
        !open.drawer &&
        !open.asked &&
        !open.take &&
        !open.orders &&
        !open.donors &&
        !open.unread &&
        !open.list,
    },
  ]);
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '720px 1fr' }} flex="1" minH={0}>
      <Box
        p="14px 22px"
        borderRight="1px solid"
        borderColor="line"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 48px)' }}
      >
        <Box display="flex" gap="10px" alignItems="end" mb="10px">
          <chakra.h1 srOnly>Drawers</chakra.h1>
          <Box flex="1" position="relative">
            <Text
              ref={search}
              label="Search"
              compact
              placeholder="belt 50 square, 47u 16V, M2×5, lens"
              value={open.asked}
              onChange={(event) => open.ask(event.target.value)}
              onKeyDown={(event) => event.key === 'Escape' && open.ask('')}
            />
          </Box>
          <KeyCap name="S" />
          <Act keyName="A" onClick={() => open.go({ add: true })}>
            New part
          </Act>
          <Act keyName="O" onClick={() => open.go({ orders: true })}>
            Orders
          </Act>
          <Act keyName="U" onClick={() => open.go({ donors: true })}>
            Donors
          </Act>
        </Box>
        <Left open={open} />
      </Box>
      <Box p="14px 24px" bg="card" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
        <Right open={open} />
      </Box>
    </Box>
  );
}

function Left({ open }: { open: Open }) {
  if (open.take !== undefined) {
    return <StockTake id={open.take} open={open} />;
  }
  if (open.orders) {
    return <Orders open={open} />;
  }
  if (open.asked.trim()) {
    return <FoundParts open={open} />;
  }
  if (open.donors) {
    return <DonorList open={open} />;
  }
  if (open.list) {
    return <PartsFile open={open} />;
  }
  if (open.drawer !== undefined) {
    return <OpenDrawer name={open.drawer} open={open} />;
  }
  if (open.unread) {
    return <Unread open={open} />;
  }
  return <Wall open={open} />;
}

/** The wall of them, a page after another, asked for once by both halves. */
function useDrawers() {
  return useInfiniteQuery({
    queryKey: answers.drawers(),
    initialPageParam: 0,
    queryFn: ({ pageParam }) => answer(api.GET('/api/drawers', { params: { query: { from: pageParam } } })),
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((all, page) => all + page.drawers.length, 0);
      return shown < last.all ? shown : undefined;
    },
  });
}

function Right({ open }: { open: Open }) {
  const top = useRef<HTMLDivElement>(null);
  // Where there is nothing yet, the first thing to do is to put something in.
  const empty = useDrawers().data?.pages[0]?.parts === 0;
  // Another part begins at its top.
  useEffect(() => {
    if (open.part !== undefined) {
      top.current?.scrollIntoView?.({ block: 'nearest' });
    }
  }, [open.part]);
  return (
    <div ref={top}>
      {open.add || (empty && open.part === undefined && !open.orders) ? (
        <NewPart open={open} />
      ) : open.order !== undefined ? (
        <OrderOpened key={open.order} id={open.order} />
      ) : open.donor !== undefined ? (
        <DonorOpened key={open.donor} unit={open.donor} />
      ) : open.part === undefined ? (
        <Needs open={(part) => open.go({ part })} />
      ) : (
        <PartOpened key={open.part} id={open.part} open={open} />
      )}
    </div>
  );
}

function Wall({ open }: { open: Open }) {
  const drawers = useDrawers();
  const more = () => drawers.fetchNextPage();
  useKeys([
    { key: 'M', label: 'More drawers', act: more, off: !drawers.hasNextPage },
    { key: 'I', label: 'Take a list of parts in', act: () => open.go({ list: true }) },
  ]);
  return (
    <Loaded query={drawers}>
      {({ pages }) => {
        const now = pages[0] as Schemas['Drawers'];
        const shown = pages.flatMap((page) => page.drawers);
        return now.all === 0 ? (
          <>
            <Empty>No parts yet. Put the first into a drawer on the right; findings then take from it.</Empty>
            <FromList open={open} />
          </>
        ) : (
          <>
            {now.unread > 0 && (
              <Box mb="8px" fontSize="sm">
                Of {now.unread} parts nobody has said what they are.{' '}
                <Act look="quiet" minH="30px" onClick={() => open.go({ unread: true })}>
                  Go through them
                </Act>
              </Box>
            )}
            <Box display="grid" gridTemplateColumns="repeat(3, 1fr)" gap="8px">
              {shown.map((drawer) => (
                <DrawerBox key={drawer.name} drawer={drawer} open={() => open.go({ drawer: drawer.name })} />
              ))}
            </Box>
            {drawers.hasNextPage && (
              <Box display="flex" gap="10px" alignItems="center" mt="8px" fontSize="sm">
                <Act keyName="M" disabled={drawers.isFetchingNextPage} onClick={more}>
                  More drawers
                </Act>
                {shown.length} of {now.all} drawers are shown; {now.low} of all have something low.
              </Box>
            )}
            <Box display="flex" gap="14px" alignItems="center" flexWrap="wrap">
              <TableBar path="/api/parts/table.csv" />
              <FromList open={open} />
            </Box>
          </>
        );
      }}
    </Loaded>
  );
}

function FromList({ open }: { open: Open }) {
  return (
    <Act look="quiet" minH="34px" keyName="I" onClick={() => open.go({ list: true })}>
      take a list in
    </Act>
  );
}
