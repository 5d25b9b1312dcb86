import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { moment } from '../api/words';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

/** How an order gets to its supplier: at an address that takes it, as a letter, or on paper; and what came of that. */
export function Channels({ order, from }: { order: Schemas['OrderView']; from?: Schemas['Supplier'] }) {
  const client = useQueryClient();
  const done = { onSuccess: () => client.invalidateQueries() };
  const path = { params: { path: { order: order.id } } };
  const hand = useMutation({
    mutationFn: () => answer(api.POST('/api/orders/{order}/handing-over', path)),
    ...done,
  });
  const write = useMutation({
    mutationFn: () => answer(api.POST('/api/orders/{order}/letter', path)),
    ...done,
  });
  const canHand = order.open && !!from?.address && !order.handedAt && !hand.isPending;
  const canWrite = !!from?.mail && !write.isPending;
  useKeys([
    { key: 'H', label: 'Hand it over', act: () => hand.mutate(), off: !canHand },
    { key: 'L', label: 'Write it as a letter', act: () => write.mutate(), off: !canWrite },
  ]);
  return (
    <Box my="6px">
      <Box display="flex" gap="8px" alignItems="center" flexWrap="wrap">
        {from?.address && !order.handedAt && (
          <Act keyName="H" minH="36px" disabled={!canHand} onClick={() => hand.mutate()}>
            {order.asked ? 'Try again' : 'Hand it over'}
          </Act>
        )}
        {from?.mail && (
          <Act keyName="L" minH="36px" disabled={!canWrite} onClick={() => write.mutate()}>
            Write a letter
          </Act>
        )}
        <chakra.a
          href={`/api/orders/${order.id}/paper.pdf`}
          target="_blank"
          rel="noreferrer"
          textDecoration="underline"
          fontSize="sm"
        >
          print it
        </chakra.a>
      </Box>
      {order.handedAt && (
        <Box fontSize="sm" color="mat">
          Handed over {moment(order.handedAt)}; what they answer is written down here.
        </Box>
      )}
      {order.asked && !order.handedAt && !order.trouble && (
        <Box fontSize="sm" role="status">
          It is on its way to {order.supplier}…
        </Box>
      )}
      {order.trouble && (
        <Box fontSize="sm" color="amberInk" role="status">
          {order.trouble}. It is tried again by itself.
        </Box>
      )}
      {order.cannot && (
        <Box fontSize="sm" color="amberInk" fontWeight={600}>
          They cannot send {order.cannot}.
        </Box>
      )}
      {write.data && (
        <Box fontSize="sm" role="status">
          The letter lies in the outbox:{' '}
          <chakra.a href={`/api/letters/${write.data.id}/file.eml`} textDecoration="underline">
            {write.data.file}
          </chakra.a>
        </Box>
      )}
      <Trouble error={hand.error ?? write.error} />
    </Box>
  );
}
