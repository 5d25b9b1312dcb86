import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import { money } from '../typed/sum';
import { takesWords } from './orderWords';
import { TestOnly } from './PartPick';

type Donor = Schemas['SourceDonor'];

/** Where a part for a component can be had: the drawers, units that are kept for parts, and an order. */
export function Sources({
  job,
  component,
  drawer,
  donor,
}: {
  job: number;
  component: string;
  drawer: (part: Schemas['UsedBefore']) => void;
  donor: (from: Donor) => void;
}) {
  const client = useQueryClient();
  const currency = useCurrency();
  const asked = component.trim();
  const sources = useQuery({
    queryKey: answers.sources(job, asked.toLowerCase()),
    queryFn: () =>
      answer(api.GET('/api/jobs/{job}/sources', { params: { path: { job }, query: { component: asked } } })),
    enabled: asked !== '',
    placeholderData: (before) => before,
  });
  const order = useMutation({
    mutationFn: (partId: number) =>
      answer(
        api.POST('/api/order-lines', {
          body: { partId, count: 1, jobId: job, componentId: sources.data?.componentId, why: asked },
        }),
      ),
    onSuccess: () => client.invalidateQueries(),
  });
  const found = asked === '' ? undefined : sources.data;
  if (!found || (found.drawers.length === 0 && found.donors.length === 0)) {
    return <Trouble error={sources.error} />;
  }
  return (
    <Box role="group" aria-label={`Where to get a ${asked}`} display="grid" gap="4px">
      {found.drawers.map((part) => (
        <Row key={part.partId} off={part.there === 0} go={() => drawer(part)}>
          <b>{part.name}</b> · drawer {part.drawer}, {part.there === 0 ? 'none left' : `${part.there} there`}
          <chakra.span color="muted"> · {part.used} used before</chakra.span>
          <TestOnly is={part.temporary} />
        </Row>
      ))}
      {found.donors.map((one) => (
        <Row key={`${one.unitId} ${one.piece.componentId}`} off={false} go={() => donor(one)}>
          <Tag text={one.tag} size={13} /> <b>{one.piece.name}</b>
          {!one.same && ` of a ${one.model}`} · {floor.InDonor[one.piece.state]}
          {one.piece.state === 'GOOD' && one.piece.told && ` (${one.piece.told.replace(/^good, /, '')})`} ·{' '}
          {one.place || 'nobody said where it stands'}
          {one.piece.minutes !== undefined &&
            ` · ${Math.max(1, Math.round(one.piece.minutes))} min to get at it`}
          {one.piece.shareMinor !== undefined &&
            one.piece.shareMinor > 0 &&
            ` · ${money(one.piece.shareMinor, currency)}`}
          {one.piece.breaks.length > 0 && (
            <chakra.span color="amberInk"> · cannot be undone: {one.piece.breaks.join(', ')}</chakra.span>
          )}
        </Row>
      ))}
      {found.order && (
        <Box display="flex" gap="8px" alignItems="center" fontSize="sm" flexWrap="wrap">
          <chakra.span flex="1" minW="220px" color="muted">
            An order of {found.order.part}, {money(found.order.eachMinor, currency)} each, is here{' '}
            {takesWords(found.order.takes)}.
          </chakra.span>
          {order.isSuccess ? (
            <span role="status">On the list of what to order.</span>
          ) : (
            <Act
              minH="34px"
              fontSize="sm"
              disabled={order.isPending}
              onClick={() => order.mutate(found.order?.partId as number)}
            >
              Order one for this unit
            </Act>
          )}
        </Box>
      )}
      <Trouble error={order.error} />
    </Box>
  );
}

function Row({ off, go, children }: { off: boolean; go: () => void; children: React.ReactNode }) {
  return (
    <chakra.button
      type="button"
      textAlign="left"
      minH="38px"
      px="8px"
      py="3px"
      border="1px solid"
      borderColor="line"
      borderRadius="sm"
      bg="card"
      fontSize="sm"
      disabled={off}
      color={off ? 'muted' : undefined}
      cursor={off ? 'default' : 'pointer'}
      onClick={go}
    >
      {children}
    </chakra.button>
  );
}
