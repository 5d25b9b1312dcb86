import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { BackupsPart } from '../keeping/BackupsPart';
import { Act } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { Loaded, Trouble } from '../parts/States';
import { Ringing } from './Ringing';
import { useSession } from './session';

const ROLE_WORDS = { COUNTER: 'counter', BENCH: 'bench', LEAD: 'lead' } as const;
type Role = keyof typeof ROLE_WORDS;

/** Who works here. */
export default function TeamPage() {
  const people = useQuery({ queryKey: ['people'], queryFn: () => answer(api.GET('/api/people')) });
  const lead = useSession().data?.person?.role === 'LEAD';
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '620px 1fr' }} flex="1">
      <Box bg="card" p="18px 22px" borderRight="1px solid" borderColor="line">
        <chakra.h1 mb="10px">Who works here</chakra.h1>
        <Loaded query={people}>
          {(all) => (
            <>
              {all.map((person) => (
                <Box
                  key={person.id}
                  borderTop="1px solid"
                  borderColor="line"
                  py="8px"
                  display="flex"
                  gap="14px"
                >
                  <chakra.b w="160px">{person.name}</chakra.b>
                  <span>{ROLE_WORDS[person.role]}</span>
                </Box>
              ))}
            </>
          )}
        </Loaded>
        {lead ? (
          <NewPerson />
        ) : (
          <Box color="muted" mt="14px">
            A lead adds people.
          </Box>
        )}
        <Ringing />
      </Box>
      <Box p="18px 22px" minW={0}>
        <BackupsPart lead={lead} />
      </Box>
    </Box>
  );
}

function NewPerson() {
  const client = useQueryClient();
  const [said, say] = useState<Schemas['NewPerson']>({ name: '', password: '', role: 'BENCH' });
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/people', { body: said })),
    onSuccess: () => {
      say({ name: '', password: '', role: 'BENCH' });
      client.invalidateQueries({ queryKey: ['people'] });
    },
  });
  return (
    <chakra.form
      mt="20px"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '1fr 1fr 140px auto' }}
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
      <Pick
        label="Works at"
        value={said.role}
        onChange={(e) => say({ ...said, role: e.target.value as Role })}
      >
        {Object.entries(ROLE_WORDS).map(([role, word]) => (
          <option key={role} value={role}>
            {word}
          </option>
        ))}
      </Pick>
      <Act look="main" type="submit" disabled={add.isPending}>
        Add
      </Act>
      <Box gridColumn="1 / -1">
        <Trouble error={add.error} />
      </Box>
    </chakra.form>
  );
}
