import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { moment } from '../api/words';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Empty, Loaded, Trouble } from '../parts/States';

type Scope = Schemas['Scope'];

/** What the rooms are called on the floor, where their own names say something else. */
const CALLED: Record<string, string> = {
  archive: 'whole shop',
  brought: 'past jobs',
  check: 'checks',
  checkin: 'check-in',
  diagnosis: 'findings, odds',
  door: 'network',
  drawer: 'drawers',
  exchange: 'notes as files',
  gauge: 'gauges',
  job: 'jobs',
  keeping: 'backups',
  need: 'what the rack needs',
  order: 'orders',
  outcome: 'outcomes',
  paper: 'papers',
  pattern: 'patterns',
  photo: 'pictures',
  practice: 'practice shop',
  schedule: 'rack',
  sheet: 'job sheet',
  teardown: 'models, notes',
};
const called = (room: string) => CALLED[room] ?? room;
/** Who may what and who gets in is for people to say. */
const READ_ONLY = ['team', 'door'];

/** What lets scripts in: named, for some rooms, to be revoked. */
export function Tokens() {
  const client = useQueryClient();
  const tokens = useQuery({ queryKey: answers.tokens(), queryFn: () => answer(api.GET('/api/tokens')) });
  const [making, setMaking] = useState(false);
  const [made, setMade] = useState<string>();
  const revoke = useMutation({
    mutationFn: (token: number) => answer(api.DELETE('/api/tokens/{token}', { params: { path: { token } } })),
    onSuccess: (now) => client.setQueryData(answers.tokens(), now),
  });
  return (
    <Box role="group" aria-label="Scripts">
      <chakra.h1 mb="6px">Scripts that get in</chakra.h1>
      <Loaded query={tokens}>
        {(now) => (
          <>
            {now.tokens.length === 0 && (
              <Empty>None. A script comes with a token of its own, for some rooms.</Empty>
            )}
            {now.tokens.map((one) => (
              <Box
                key={one.id}
                borderTop="1px solid"
                borderColor="line"
                py="4px"
                display="flex"
                gap="4px 12px"
                alignItems="center"
                flexWrap="wrap"
              >
                <chakra.b>{one.name}</chakra.b>
                <chakra.span color="muted">
                  {one.scopes
                    .map((scope) => `${scope.writing ? 'writes' : 'reads'} ${called(scope.room)}`)
                    .join(', ')}
                  ; by {one.maker}, {one.used ? `used ${moment(one.used)}` : 'never used'}
                </chakra.span>
                <Act
                  ml="auto"
                  look="quiet"
                  color="chalk"
                  aria-label={`Revoke ${one.name}`}
                  disabled={revoke.isPending}
                  onClick={() => revoke.mutate(one.id)}
                >
                  Revoke
                </Act>
              </Box>
            ))}
            {made && (
              <Text
                label="The token: copy it now, it is not shown again"
                readOnly
                value={made}
                fontFamily="mono"
                onFocus={(event) => event.target.select()}
              />
            )}
            {making ? (
              <NewToken
                rooms={now.rooms}
                done={(token) => {
                  setMade(token);
                  setMaking(false);
                  client.invalidateQueries({ queryKey: answers.tokens() });
                }}
                leave={() => setMaking(false)}
              />
            ) : (
              <Act mt="8px" onClick={() => setMaking(true)}>
                A token for a script
              </Act>
            )}
          </>
        )}
      </Loaded>
      <Trouble error={revoke.error} />
    </Box>
  );
}

const asked = z.object({ name: said.words('Say what it is for'), scopes: z.custom<Scope[]>() });
const EVERY: Record<string, string> = { no: '–', reads: 'reads', writes: 'writes' };

function NewToken({
  rooms,
  done,
  leave,
}: {
  rooms: string[];
  done: (token: string) => void;
  leave: () => void;
}) {
  const form = useSending({
    blank: { name: '', scopes: [] as Scope[] },
    check: asked,
    send: (body) => answer(api.POST('/api/tokens', { body })),
    done: (made) => done(made.token),
    leave,
  });
  const { scopes } = form.value;
  const now = (room: string) => {
    const scope = scopes.find((one) => one.room === room);
    return scope ? (scope.writing ? 'writes' : 'reads') : 'no';
  };
  // One press goes on: nothing, reads, writes, nothing.
  const next = (room: string) => {
    const others = scopes.filter((one) => one.room !== room);
    const was = now(room);
    form.put(
      'scopes',
      was === 'writes' || (was === 'reads' && READ_ONLY.includes(room))
        ? others
        : [...others, { room, writing: was === 'reads' }],
    );
  };
  return (
    <Form of={form} name="A token for a script" mt="10px">
      <TextIn of={form} at="name" label="What it is for" />
      <Box role="group" aria-label="Rooms" display="flex" gap="6px" flexWrap="wrap">
        {rooms.map((room) => (
          <Chip key={room} on={now(room) !== 'no'} minH="36px" onClick={() => next(room)}>
            {called(room)} {EVERY[now(room)]}
          </Chip>
        ))}
      </Box>
      <Box color="muted" fontSize="xs">
        A press on a room: reads, writes, neither.
      </Box>
      <Sends of={form} go="Make the token" />
    </Form>
  );
}
