import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Loaded, Trouble } from '../parts/States';
import type { Open } from './useOpen';

type Take = Schemas['StockTake'];

/** One drawer counted through, by numbers or by scanning each piece; differences stand there before they are taken over. */
export function StockTake({ id, open }: { id: number; open: Open }) {
  const take = useQuery({
    queryKey: answers.stockTake(id),
    queryFn: () => answer(api.GET('/api/stock-takes/{take}', { params: { path: { take: id } } })),
  });
  return <Loaded query={take}>{(now) => <Counting take={now} open={open} />}</Loaded>;
}

function Counting({ take, open }: { take: Take; open: Open }) {
  const client = useQueryClient();
  const [at, setAt] = useState<number>();
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const over = take.taken !== undefined;
  const next =
    take.lines.find((line) => line.partId === at) ?? take.lines.find((line) => line.counted === undefined);
  const kept = (now: Take) => client.setQueryData(answers.stockTake(take.id), now);
  const count = useMutation({
    mutationFn: (body: { partId: number; count: number }) =>
      answer(api.POST('/api/stock-takes/{take}/counts', { params: { path: { take: take.id } }, body })),
    onSuccess: (now) => {
      kept(now);
      setAt(undefined);
      setTyped('');
      input.current?.focus();
    },
  });
  const end = useMutation({
    mutationFn: (takeOver: boolean) =>
      answer(
        api.POST('/api/stock-takes/{take}/end', {
          params: { path: { take: take.id } },
          body: { take: takeOver },
        }),
      ),
    onSuccess: (now) => {
      kept(now);
      client.invalidateQueries();
    },
  });
  useEffect(() => input.current?.focus(), []);
  const differing = take.lines.filter((line) => line.differs !== 0);
  useKeys([
    {
      key: 'K',
      label: 'Take the differences over',
      act: () => end.mutate(true),
      off: over || differing.length === 0,
    },
    { key: 'Y', label: 'Throw the stock-take away', act: () => end.mutate(false), off: over },
  ]);

  function enter() {
    setWrong(undefined);
    const scanned = /^P(\d+)$/i.exec(typed.trim());
    if (scanned) {
      const line = take.lines.find((one) => one.partId === Number(scanned[1]));
      if (line) {
        count.mutate({ partId: line.partId, count: (line.counted ?? 0) + 1 });
      } else {
        setWrong(`P${scanned[1]} does not belong in drawer ${take.drawer}: put it back where it belongs`);
        setTyped('');
      }
      return;
    }
    const number = /^\d{1,5}$/.test(typed.trim()) ? Number(typed.trim()) : undefined;
    if (number === undefined || !next) {
      setWrong('A whole number, or the label of a part');
      return;
    }
    count.mutate({ partId: next.partId, count: number });
  }

  return (
    <>
      <Box display="flex" gap="10px" alignItems="center" mb="6px">
        <Act onClick={() => open.go({ drawer: take.drawer })}>Back to the drawer</Act>
        <chakra.h1 flex="1">
          {over ? 'Counted:' : 'Counting'} drawer <chakra.span fontFamily="mono">{take.drawer}</chakra.span>
        </chakra.h1>
        <chakra.span color="muted">{take.left === 0 ? 'all counted' : `${take.left} left`}</chakra.span>
      </Box>
      {over ? (
        <Box borderLeft="5px solid" borderColor="mat" pl="12px" my="6px" role="status">
          {take.taken ? 'The differences are taken over.' : 'Thrown away: the book is as it was.'}
        </Box>
      ) : (
        <Box display="grid" gridTemplateColumns="1fr auto" gap="8px" alignItems="end">
          <Text
            ref={input}
            label={next ? `How many: ${next.name}` : 'All are counted. Scan or pick one to count it again'}
            hint="a number, or scan each piece"
            value={typed}
            problem={wrong}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && enter()}
          />
          <Act look="main" disabled={count.isPending} onClick={enter}>
            Counted
          </Act>
        </Box>
      )}
      <Trouble error={count.error ?? end.error} />
      <Lines take={take} at={next?.partId} pick={over ? undefined : setAt} />
      {!over && (
        <Box display="flex" gap="8px" mt="10px">
          <Act
            look="main"
            keyName="K"
            disabled={differing.length === 0 || end.isPending}
            onClick={() => end.mutate(true)}
          >
            {differing.length === 0 ? 'Nothing differs' : `Take ${differing.length} over`}
          </Act>
          <Act keyName="Y" disabled={end.isPending} onClick={() => end.mutate(false)}>
            Throw it away
          </Act>
        </Box>
      )}
    </>
  );
}

function Lines({ take, at, pick }: { take: Take; at?: number; pick?: (part: number) => void }) {
  return (
    <chakra.table
      w="100%"
      mt="10px"
      textAlign="left"
      css={{ '& td, & th': { padding: '5px 8px', borderTop: '1px solid var(--chakra-colors-line)' } }}
    >
      <thead>
        <tr>
          <th>Part</th>
          <chakra.th textAlign="right">By the book</chakra.th>
          <chakra.th textAlign="right">Counted</chakra.th>
          <chakra.th textAlign="right">Differs</chakra.th>
        </tr>
      </thead>
      <tbody>
        {take.lines.map((line) => (
          <chakra.tr key={line.partId} bg={line.partId === at ? 'matPaper' : undefined}>
            <td>
              <chakra.button
                type="button"
                textAlign="left"
                disabled={!pick}
                cursor={pick ? 'pointer' : undefined}
                onClick={() => pick?.(line.partId)}
              >
                <b>{line.name}</b>{' '}
                <chakra.span color="muted" fontSize="sm">
                  P{line.partId}
                </chakra.span>
              </chakra.button>
            </td>
            <chakra.td fontFamily="mono" textAlign="right">
              {line.book}
            </chakra.td>
            <chakra.td fontFamily="mono" textAlign="right">
              {line.counted ?? 'not yet'}
            </chakra.td>
            <chakra.td
              fontFamily="mono"
              textAlign="right"
              fontWeight={600}
              color={line.differs === 0 ? 'muted' : 'amberInk'}
            >
              {line.counted === undefined ? '' : line.differs > 0 ? `+${line.differs}` : line.differs}
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}
