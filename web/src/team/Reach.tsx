import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';

/** From where the shop can be reached: this machine only, or its network too, by TLS. */
export function Reach() {
  const client = useQueryClient();
  const network = useQuery({ queryKey: answers.network(), queryFn: () => answer(api.GET('/api/network')) });
  const act = useMutation({
    mutationFn: (open: boolean) => answer(open ? api.POST('/api/network') : api.DELETE('/api/network')),
    onSuccess: (now) => client.setQueryData(answers.network(), now),
  });
  return (
    <Box role="group" aria-label="From where the shop is reached">
      <chakra.h1 mb="6px">From where the shop is reached</chakra.h1>
      <Loaded query={network}>
        {({ open, addresses, fingerprint, trouble }) => (
          <>
            {open ? (
              <>
                <Box mb="6px">From this machine, and from the shop’s network by TLS:</Box>
                {addresses.map((address) => (
                  <Box key={address} fontFamily="mono" py="2px">
                    {address}
                  </Box>
                ))}
                {fingerprint && (
                  <Box color="muted" mt="8px">
                    Each device trusts the shop’s own root once: open{' '}
                    <chakra.span fontFamily="mono">/trust.html</chakra.span> on it, and compare this:
                    <Box fontFamily="mono" fontSize="xs" overflowWrap="anywhere" mt="4px">
                      {fingerprint}
                    </Box>
                  </Box>
                )}
                <Act mt="10px" disabled={act.isPending} onClick={() => act.mutate(false)}>
                  This machine only
                </Act>
              </>
            ) : (
              <>
                <Box color="muted" mb="8px">
                  From this machine only. Opened, tablets and phones in the shop’s network reach it by TLS;
                  each trusts the shop’s own root once.
                </Box>
                <Act look="main" disabled={act.isPending} onClick={() => act.mutate(true)}>
                  Open it to the shop’s network
                </Act>
              </>
            )}
            {trouble && (
              <Box role="alert" color="hazard" mt="6px">
                {trouble}
              </Box>
            )}
            <Trouble error={act.error} />
          </>
        )}
      </Loaded>
    </Box>
  );
}
