import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useMay } from '../api/session';
import { useTitle } from '../app/useTitle';
import { BackupsPart } from '../keeping/BackupsPart';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Loaded, Trouble } from '../parts/States';
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
        </Box>
        <BackupsPart lead={useMay('BACK_UP')} />
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

function NewPerson() {
  const client = useQueryClient();
  const [said, say] = useState(NOBODY);
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/people', { body: said })),
    onSuccess: () => {
      say(NOBODY);
      client.invalidateQueries({ queryKey: answers.people() });
    },
  });
  return (
    <chakra.form
      mt="20px"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '1fr 1fr auto' }}
      gap="12px"
      alignItems="end"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      <Text label="Name" value={said.name} onChange={(e) => say({ ...said, name: e.target.value })} />
      <Text
        label="First password"
        value={said.password}
        onChange={(e) => say({ ...said, password: e.target.value })}
      />
      <Act look="main" type="submit" disabled={add.isPending}>
        Add
      </Act>
      <Box gridColumn="1 / -1">
        <Roles of="the new one" roles={said.roles} set={(roles) => say({ ...said, roles })} />
        <Trouble error={add.error} />
      </Box>
    </chakra.form>
  );
}
