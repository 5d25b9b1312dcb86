import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useMay } from '../api/session';
import { useTitle } from '../app/useTitle';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { BackupsPart } from '../keeping/BackupsPart';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';
import { Practice } from '../practice/Practice';
import { Ringing } from './Ringing';
import { Roles } from './Roles';

/** Who works here, and what they do. */
export default function TeamPage() {
  useTitle('Team');
  const people = useQuery({ queryKey: answers.people(), queryFn: () => answer(api.GET('/api/people')) });
  const mayAdd = useMay('PEOPLE');
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '620px 1fr' }} flex="1">
      <Box bg="card" p="18px 22px" borderRight="1px solid" borderColor="line">
        <chakra.h1 mb="10px">Who works here</chakra.h1>
        <Loaded query={people}>
          {(all) => all.map((person) => <Person key={person.id} person={person} changeable={mayAdd} />)}
        </Loaded>
        {mayAdd ? (
          <NewPerson />
        ) : (
          <Box color="muted" mt="14px">
            A lead adds people and says what they do.
          </Box>
        )}
        <Ringing />
      </Box>
      <Box p="18px 22px" minW={0}>
        <Box mb="18px">
          <Link to="/shop" style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}>
            The shop: name, money, clock, hours, rack
          </Link>
          <br />
          <Link to="/past" style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline' }}>
            Past jobs from a spreadsheet
          </Link>
        </Box>
        <BackupsPart lead={useMay('BACK_UP')} />
        {useMay('SETTINGS') && <Practice />}
      </Box>
    </Box>
  );
}

function Person({ person, changeable }: { person: Schemas['SignedIn']; changeable: boolean }) {
  const client = useQueryClient();
  const change = useMutation({
    mutationFn: (roles: Schemas['RolesSaid']['roles']) =>
      answer(
        api.PUT('/api/people/{person}/roles', { params: { path: { person: person.id } }, body: { roles } }),
      ),
    onSuccess: () => {
      client.invalidateQueries({ queryKey: answers.people() });
      client.invalidateQueries({ queryKey: answers.session() });
    },
  });
  return (
    <Box borderTop="1px solid" borderColor="line" py="8px">
      <Box display="flex" gap="14px" alignItems="center">
        <chakra.b w="160px">{person.name}</chakra.b>
        <Roles
          of={person.name}
          roles={person.roles}
          set={changeable && !change.isPending ? change.mutate : undefined}
        />
      </Box>
      <Trouble error={change.error} />
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
