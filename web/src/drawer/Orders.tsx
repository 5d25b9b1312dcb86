import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { useKeys } from '../app/keys';
import { Act, Chip, KeyCap } from '../parts/Buttons';
import { Empty, Loaded, Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import { Letters } from './Letters';
import { SupplierForm } from './SupplierForm';
import type { Open } from './useOpen';

type All = Schemas['Orders'];

/** What is wanted, gathered into orders; and the orders, with what is still to come of each. */
export function Orders({ open }: { open: Open }) {
  const orders = useQuery({ queryKey: answers.orders(), queryFn: () => answer(api.GET('/api/orders')) });
  return (
    <>
      <Box display="flex" gap="10px" alignItems="center" mb="6px">
        <Act keyName="D" onClick={() => open.go({})}>
          All drawers
        </Act>
        <chakra.h1>Orders</chakra.h1>
      </Box>
      <Loaded query={orders}>
        {(all) => (
          <>
            <WantedList all={all} open={open} />
            <Placed all={all} open={open} />
            <Letters />
          </>
        )}
      </Loaded>
    </>
  );
}

function WantedList({ all, open }: { all: All; open: Open }) {
  const client = useQueryClient();
  const [left, setLeft] = useState<number[]>([]);
  const [picked, setPicked] = useState<number>();
  const [adding, setAdding] = useState(false);
  const [changing, setChanging] = useState(false);
  const supplier = picked ?? all.suppliers[0]?.id;
  const chosen = all.suppliers.find((one) => one.id === supplier);
  const lines = all.wanted.filter((line) => !left.includes(line.id)).map((line) => line.id);
  const kept = (now: All) => {
    client.setQueryData(answers.orders(), now);
    client.invalidateQueries();
  };
  const order = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/orders', { body: { supplierId: supplier as number, lines, words: '' } })),
    onSuccess: (now) => {
      kept(now);
      open.go({ orders: true, order: now.orders[0]?.id });
    },
  });
  const drop = useMutation({
    mutationFn: (line: number) =>
      answer(api.DELETE('/api/order-lines/{line}', { params: { path: { line } } })),
    onSuccess: kept,
  });
  const ready = supplier !== undefined && lines.length > 0 && !order.isPending;
  useKeys([{ key: 'G', label: 'Order what is picked', act: () => order.mutate(), off: !ready }]);
  return (
    <>
      <chakra.h2 fontWeight={700} mt="6px">
        Wanted
      </chakra.h2>
      {all.wanted.length === 0 && <Empty>Nothing is wanted. R on a part puts it on this list.</Empty>}
      {all.wanted.map((line) => (
        <Box
          key={line.id}
          display="grid"
          gridTemplateColumns="auto 1fr auto auto"
          gap="10px"
          alignItems="center"
          borderTop="1px solid"
          borderColor="line"
          py="5px"
        >
          <Chip
            on={!left.includes(line.id)}
            minH="34px"
            fontSize="sm"
            aria-label={`Order ${line.part}`}
            onClick={() =>
              setLeft(left.includes(line.id) ? left.filter((one) => one !== line.id) : [...left, line.id])
            }
          >
            {line.line.count} ×
          </Chip>
          <Box>
            <b>{line.part}</b>{' '}
            <chakra.span color="muted">
              {[
                line.why,
                line.whatFor && line.whatFor !== line.why && `for ${line.whatFor}`,
                line.proposed && 'proposed',
              ]
                .filter(Boolean)
                .join(' · ')}
            </chakra.span>
          </Box>
          {line.tag ? <Tag text={line.tag} size={13} /> : <span />}
          <Act look="quiet" minH="30px" onClick={() => drop.mutate(line.id)}>
            not wanted
          </Act>
        </Box>
      ))}
      <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center" mt="6px">
        <chakra.span fontSize="sm">From</chakra.span>
        {all.suppliers.map((one) => (
          <Chip
            key={one.id}
            on={one.id === supplier}
            minH="34px"
            fontSize="sm"
            onClick={() => setPicked(one.id)}
          >
            {one.name}
          </Chip>
        ))}
        <Chip on={adding} minH="34px" fontSize="sm" onClick={() => setAdding(!adding)}>
          another supplier
        </Chip>
        {chosen && (
          <Act look="quiet" minH="34px" onClick={() => setChanging(!changing)}>
            change {chosen.name}
          </Act>
        )}
        {all.wanted.length > 0 && (
          <Act look="main" keyName="G" disabled={!ready} onClick={() => order.mutate()}>
            Order {lines.length === all.wanted.length ? 'all of it' : `${lines.length} of them`}
          </Act>
        )}
      </Box>
      {adding && <SupplierForm done={() => setAdding(false)} />}
      {changing && chosen && (
        <SupplierForm key={chosen.id} supplier={chosen} done={() => setChanging(false)} />
      )}
      <Trouble error={order.error ?? drop.error} />
    </>
  );
}

function Placed({ all, open }: { all: All; open: Open }) {
  useKeys(
    all.orders.slice(0, 9).map((one, n) => ({
      key: String(n + 1),
      label: `Order ${one.id}, ${one.supplier}`,
      act: () => open.go({ orders: true, order: one.id }),
    })),
  );
  return (
    <>
      <chakra.h2 fontWeight={700} mt="14px">
        Ordered
      </chakra.h2>
      {all.orders.length === 0 && <Empty>Nothing was ordered yet.</Empty>}
      {all.orders.map((one, n) => (
        <chakra.button
          key={one.id}
          type="button"
          display="grid"
          gridTemplateColumns="52px 1fr auto auto"
          gap="10px"
          alignItems="center"
          w="100%"
          textAlign="left"
          cursor="pointer"
          borderTop="1px solid"
          borderColor="line"
          py="6px"
          bg={open.order === one.id ? 'matPaper' : undefined}
          aria-pressed={open.order === one.id}
          onClick={() => open.go({ orders: true, order: one.id })}
        >
          <chakra.span fontFamily="mono">{one.id}</chakra.span>
          <Box>
            <b>{one.supplier}</b> <chakra.span color="muted">{day(one.at)}</chakra.span>
            <Box fontSize="sm" color="muted">
              {one.lines.map((line) => `${line.line.count} × ${line.part}`).join(' · ')}
            </Box>
          </Box>
          <chakra.span fontSize="sm" color={one.open ? 'amberInk' : 'muted'}>
            {standingOf(one)}
          </chakra.span>
          {n < 9 && <KeyCap name={String(n + 1)} />}
        </chakra.button>
      ))}
    </>
  );
}

/** What its lines say, the least far first. */
function standingOf(order: Schemas['OrderView']): string {
  return [...new Set(order.lines.map((line) => floor.OrderStanding[line.line.standing]))].join(', ');
}
