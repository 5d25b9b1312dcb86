import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency, useMay } from '../api/session';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { money } from '../typed/sum';

type Said = Schemas['WatchWordSaid'];

/** What the shop's own figures say is worth looking at on every unit, and what looking has found since; a lead decides. */
export function WorthWatching() {
  const seen = useQuery({
    queryKey: answers.patterns('watch'),
    queryFn: () => answer(api.GET('/api/patterns/watch')),
  });
  const client = useQueryClient();
  const say = useMutation({
    mutationFn: (body: Said) => answer(api.POST('/api/patterns/watch', { body })),
    onSuccess: () => client.invalidateQueries(),
  });
  if (!seen.data || seen.data.earned.length + seen.data.standing.length === 0) {
    return <Trouble error={seen.error} again={() => seen.refetch()} />;
  }
  const { earned, standing } = seen.data;
  return (
    <Box mb="14px" role="group" aria-label="Worth writing into the notes">
      <chakra.h2>Worth writing into the notes</chakra.h2>
      <Trouble error={say.error} />
      {earned.map((one) => (
        <Earned key={`${one.revisionId} ${one.componentId}`} one={one} off={say.isPending} say={say.mutate} />
      ))}
      {standing.map((one) => (
        <Stands key={`${one.revisionId} ${one.componentId}`} one={one} off={say.isPending} say={say.mutate} />
      ))}
    </Box>
  );
}

function Strip({ children }: { children: React.ReactNode }) {
  return (
    <Box borderLeft="5px solid" borderColor="tape" pl="10px" py="3px" mt="6px">
      {children}
    </Box>
  );
}

type Deciding<T> = { one: T; off: boolean; say: (said: Said) => void };

function Earned({ one, off, say }: Deciding<Schemas['WatchEarned']>) {
  const currency = useCurrency();
  const lead = useMay('OVERRULE');
  const said = { revisionId: one.revisionId, componentId: one.componentId, words: one.words };
  return (
    <Strip>
      {one.on}: <b>{one.words}</b>.
      <Box fontSize="sm" color="muted">
        {`Looking every time would bring about ${money(one.monthMinor, currency)} a month, ${money(one.leastMinor, currency)} at the least.`}
      </Box>
      {lead ? (
        <Box display="flex" gap="8px" mt="3px">
          <Act disabled={off} onClick={() => say({ ...said, word: 'STANDS' })}>
            Make it a watch point
          </Act>
          <Act look="quiet" disabled={off} onClick={() => say({ ...said, word: 'DECLINED' })}>
            not worth it
          </Act>
        </Box>
      ) : (
        <Box fontSize="sm">A lead can make it a watch point.</Box>
      )}
    </Strip>
  );
}

function Stands({ one, off, say }: Deciding<Schemas['WatchStands']>) {
  const lead = useMay('OVERRULE');
  return (
    <Strip>
      {one.on}: {one.words}.{' '}
      <b>{one.looked === 0 ? 'Nobody has looked yet.' : `Looked ${one.looked} times, found ${one.found}.`}</b>
      {one.spent && (
        <Box fontSize="sm">It is not worth the minutes any more, as far as anybody can tell.</Box>
      )}
      {lead && (one.spent || one.looked > 0) && (
        <Act
          look="quiet"
          disabled={off}
          onClick={() =>
            say({
              revisionId: one.revisionId,
              componentId: one.componentId,
              word: 'ENDED',
              words: `looked ${one.looked} times, found ${one.found}`,
            })
          }
        >
          take it out of the notes
        </Act>
      )}
    </Strip>
  );
}
