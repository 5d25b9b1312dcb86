import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useMay, useSession } from '../api/session';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';
import { Roles } from './Roles';

type SignedIn = Schemas['SignedIn'];

/** Who works here and what they do; a lead adds people, gives a new password, puts out and takes back. */
export function People() {
  const people = useQuery({ queryKey: answers.people(), queryFn: () => answer(api.GET('/api/people')) });
  const lead = useMay('PEOPLE');
  return (
    <>
      <chakra.h1 mb="10px">Who works here</chakra.h1>
      <Loaded query={people}>
        {(all) => all.map((person) => <Person key={person.id} person={person} lead={lead} />)}
      </Loaded>
      {lead ? (
        <>
          <NewPerson />
          <Gone />
        </>
      ) : (
        <Box color="muted" mt="14px">
          A lead adds people and says what they do.
        </Box>
      )}
    </>
  );
}

function useAfterwards() {
  const client = useQueryClient();
  return () => {
    client.invalidateQueries({ queryKey: answers.people() });
    client.invalidateQueries({ queryKey: answers.signIns() });
    client.invalidateQueries({ queryKey: answers.session() });
  };
}

function Person({ person, lead }: { person: SignedIn; lead: boolean }) {
  const afterwards = useAfterwards();
  const me = useSession().data?.person?.id === person.id;
  const [open, setOpen] = useState<'password' | 'out'>();
  const change = useMutation({
    mutationFn: (roles: Schemas['RolesSaid']['roles']) =>
      answer(
        api.PUT('/api/people/{person}/roles', { params: { path: { person: person.id } }, body: { roles } }),
      ),
    onSuccess: afterwards,
  });
  return (
    <Box borderTop="1px solid" borderColor="line" py="8px" role="group" aria-label={person.name}>
      <Box display="flex" gap="6px 14px" alignItems="center" flexWrap="wrap">
        <chakra.b w="130px">{person.name}</chakra.b>
        <Roles
          of={person.name}
          roles={person.roles}
          set={lead && !change.isPending ? change.mutate : undefined}
        />
        {lead && !me && (
          <Box display="flex" gap="4px" ml="auto">
            <Act
              look="quiet"
              color="chalk"
              onClick={() => setOpen(open === 'password' ? undefined : 'password')}
            >
              New password
            </Act>
            <Act look="quiet" color="chalk" onClick={() => setOpen(open === 'out' ? undefined : 'out')}>
              Put out
            </Act>
          </Box>
        )}
      </Box>
      {open === 'password' && <NewPassword person={person} close={() => setOpen(undefined)} />}
      {open === 'out' && <PutOut person={person} close={() => setOpen(undefined)} />}
      <Trouble error={change.error} />
    </Box>
  );
}

const first = z.object({ password: z.string().min(1, 'Give a password') });

function NewPassword({ person, close }: { person: SignedIn; close: () => void }) {
  const afterwards = useAfterwards();
  const form = useSending({
    blank: { password: '' },
    check: first,
    send: (body) =>
      answer(api.PUT('/api/people/{person}/password', { params: { path: { person: person.id } }, body })),
    done: () => {
      afterwards();
      close();
    },
    leave: close,
  });
  return (
    <Form of={form} name={`${person.name} gets a password`} mt="8px">
      <TextIn
        of={form}
        at="password"
        label={`New password of ${person.name}`}
        hint="All their browsers are signed out. Tell them by word of mouth; they choose another one."
      />
      <Sends of={form} go="Give it" />
    </Form>
  );
}

function PutOut({ person, close }: { person: SignedIn; close: () => void }) {
  const afterwards = useAfterwards();
  const out = useMutation({
    mutationFn: () => answer(api.DELETE('/api/people/{person}', { params: { path: { person: person.id } } })),
    onSuccess: afterwards,
  });
  return (
    <Box mt="8px">
      <Box mb="6px">Nothing opens to {person.name} from then on. What they did stays under their name.</Box>
      <Box display="flex" gap="8px">
        <Act look="main" disabled={out.isPending} onClick={() => out.mutate()}>
          Put {person.name} out
        </Act>
        <Act onClick={close}>Leave it</Act>
      </Box>
      <Trouble error={out.error} />
    </Box>
  );
}

function Gone() {
  const afterwards = useAfterwards();
  const gone = useQuery({
    queryKey: answers.people('gone'),
    queryFn: () => answer(api.GET('/api/people/gone')),
  });
  const back = useMutation({
    mutationFn: (person: number) =>
      answer(api.POST('/api/people/{person}/back', { params: { path: { person } } })),
    onSuccess: afterwards,
  });
  if (!gone.data?.length) {
    return null;
  }
  return (
    <Box mt="18px" role="group" aria-label="Who was put out">
      <chakra.h2 fontSize="sm" fontWeight={700}>
        Put out
      </chakra.h2>
      {gone.data.map((one) => (
        <Box key={one.id} display="flex" gap="14px" alignItems="center">
          <chakra.span w="130px">{one.name}</chakra.span>
          <Act look="quiet" color="chalk" disabled={back.isPending} onClick={() => back.mutate(one.id)}>
            Take back
          </Act>
        </Box>
      ))}
      <Trouble error={back.error} />
    </Box>
  );
}

const NOBODY: Schemas['NewPerson'] = { name: '', password: '', roles: ['BENCH'] };
const newcomer = z.object({
  name: said.words('Say who comes'),
  password: z.string().min(1, 'Give a first password'),
  roles: z.custom<Schemas['NewPerson']['roles']>(),
});

function NewPerson() {
  const form = useSending({
    blank: NOBODY,
    check: newcomer,
    send: (body) => answer(api.POST('/api/people', { body })),
    done: () => form.forget(),
  });
  return (
    <Form
      of={form}
      name="Somebody new"
      first={false}
      mt="20px"
      gridTemplateColumns={{ base: '1fr', md: '1fr 1fr auto' }}
      gap="12px"
      alignItems="end"
    >
      <TextIn of={form} at="name" label="Name" />
      <TextIn of={form} at="password" label="First password" />
      <Act look="main" type="submit" disabled={form.pending}>
        Add
      </Act>
      <Box gridColumn="1 / -1">
        <Roles of="the new one" roles={form.value.roles} set={(roles) => form.put('roles', roles)} />
      </Box>
    </Form>
  );
}
