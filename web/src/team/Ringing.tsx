import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { chime, rings, setRings } from '../app/ringing';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';

/** How this browser rings when a wait is over, and a private calendar of ends and promised days. */
export function Ringing() {
  const [set, keep] = useState(rings);
  const change = (next: typeof set) => {
    setRings(next);
    keep(next);
  };
  return (
    <Box mt="26px" role="group" aria-label="When a wait is over">
      <chakra.h1 mb="6px">When a wait is over, this browser…</chakra.h1>
      <Box display="flex" gap="8px" flexWrap="wrap">
        <Chip
          on={set.sound}
          minH="44px"
          onClick={() => {
            change({ ...set, sound: !set.sound });
            if (!set.sound) {
              chime();
            }
          }}
        >
          makes a sound
        </Chip>
        <Chip
          on={set.notification}
          minH="44px"
          onClick={async () => {
            if (set.notification) {
              change({ ...set, notification: false });
            } else if ('Notification' in window) {
              change({ ...set, notification: (await Notification.requestPermission()) === 'granted' });
            }
          }}
        >
          shows a notification
        </Chip>
      </Box>
      <Calendar />
    </Box>
  );
}

function Calendar() {
  const client = useQueryClient();
  const standing = useQuery({
    queryKey: answers.calendar(),
    queryFn: () => answer(api.GET('/api/calendar')),
  });
  const [address, setAddress] = useState<string>();
  const make = useMutation({
    mutationFn: () => answer(api.POST('/api/calendar')),
    onSuccess: (made) => {
      setAddress(`${window.location.origin}${made.path}`);
      client.invalidateQueries({ queryKey: answers.calendar() });
    },
  });
  const revoke = useMutation({
    mutationFn: () => answer(api.DELETE('/api/calendar')),
    onSuccess: () => {
      setAddress(undefined);
      client.invalidateQueries({ queryKey: answers.calendar() });
    },
  });
  return (
    <Box mt="20px" role="group" aria-label="Calendar">
      <chakra.h1 mb="6px">Waits and promised days in your own calendar</chakra.h1>
      <Box color="muted" mb="6px">
        A private address for any calendar program. Whoever has it can read the dates; it can be revoked.
      </Box>
      {address && (
        <Text
          label="Your address: copy it now, it is not shown again"
          readOnly
          value={address}
          onFocus={(event) => event.target.select()}
        />
      )}
      <Box display="flex" gap="8px" mt="8px">
        <Act look="main" disabled={make.isPending} onClick={() => make.mutate()}>
          {standing.data?.made ? 'Make another address' : 'Make an address'}
        </Act>
        {standing.data?.made && (
          <Act disabled={revoke.isPending} onClick={() => revoke.mutate()}>
            Revoke it
          </Act>
        )}
      </Box>
      <Trouble error={make.error ?? revoke.error} />
    </Box>
  );
}
