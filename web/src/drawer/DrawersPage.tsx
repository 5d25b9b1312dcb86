import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { useTitle } from '../app/useTitle';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { SumField } from '../parts/MoneyField';
import { Empty, Loaded, Trouble } from '../parts/States';
import { money } from '../typed/sum';

type Part = Schemas['Part'];

/** Parts in stock, drawer by drawer. */
export default function DrawersPage() {
  useTitle('Drawers');
  const parts = useQuery({ queryKey: answers.parts(), queryFn: () => answer(api.GET('/api/parts')) });
  const [chosen, setChosen] = useState<Part>();
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 420px' }} flex="1">
      <Box p="16px 22px" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
        <chakra.h1 mb="8px">Drawers</chakra.h1>
        <Loaded query={parts}>{(all) => <Parts parts={all} chosen={chosen?.id} choose={setChosen} />}</Loaded>
      </Box>
      <Box bg="card" borderLeft="1px solid" borderColor="line" p="16px 22px">
        {chosen ? (
          <ChangePart key={chosen.id + chosen.version} part={chosen} changed={setChosen} />
        ) : (
          <PartForm title="A new part" act="Put it in the drawer" />
        )}
      </Box>
    </Box>
  );
}

function Parts({ parts, chosen, choose }: { parts: Part[]; chosen?: number; choose: (part?: Part) => void }) {
  const currency = useCurrency();
  const [narrow, setNarrow] = useState('');
  const asked = narrow.trim().toLowerCase();
  const shown = parts.filter((part) =>
    `${part.drawer} ${part.name} ${part.what}`.toLowerCase().includes(asked),
  );
  if (parts.length === 0) {
    return <Empty>No parts yet. Put the first in a drawer on the right; findings then take from it.</Empty>;
  }
  return (
    <>
      <Box display="flex" gap="12px" alignItems="end" mb="8px">
        <Box w="300px">
          <Text
            label="Narrow down"
            compact
            value={narrow}
            onChange={(event) => setNarrow(event.target.value)}
          />
        </Box>
        <Act onClick={() => choose(undefined)}>A new part</Act>
      </Box>
      <chakra.table
        w="100%"
        textAlign="left"
        css={{ '& td, & th': { padding: '6px 8px', borderTop: '1px solid var(--chakra-colors-line)' } }}
      >
        <thead>
          <tr>
            <th>Drawer</th>
            <th>Part</th>
            <th>What it is</th>
            <chakra.th textAlign="right">Left</chakra.th>
            <chakra.th textAlign="right">Each</chakra.th>
            <th />
          </tr>
        </thead>
        <tbody>
          {shown.map((part) => (
            <chakra.tr key={part.id} bg={part.id === chosen ? 'card' : undefined}>
              <chakra.td fontFamily="mono">{part.drawer}</chakra.td>
              <td>
                <b>{part.name}</b>
              </td>
              <td>{part.what}</td>
              <chakra.td
                fontFamily="mono"
                textAlign="right"
                color={part.count === 0 ? 'hazard' : 'brassInk'}
                fontWeight={600}
              >
                {part.count === 0 ? 'none left' : part.count}
              </chakra.td>
              <chakra.td fontFamily="mono" textAlign="right">
                {money(part.eachMinor, currency)}
              </chakra.td>
              <chakra.td textAlign="right">
                <Act
                  look="quiet"
                  minH="30px"
                  aria-label={`Book in or change ${part.name}`}
                  onClick={() => choose(part)}
                >
                  book in
                </Act>
              </chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      {shown.length === 0 && <Empty>No part is called that.</Empty>}
    </>
  );
}

function ChangePart({ part, changed }: { part: Part; changed: (part: Part) => void }) {
  const client = useQueryClient();
  const [count, setCount] = useState(1);
  const [why, setWhy] = useState('');
  const book = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/parts/{part}/stock', { params: { path: { part: part.id } }, body: { count, why } }),
      ),
    onSuccess: (now) => {
      client.invalidateQueries({ queryKey: answers.parts() });
      changed(now);
    },
  });
  return (
    <>
      <chakra.form
        display="grid"
        gap="10px"
        mb="24px"
        aria-label="Book in"
        onSubmit={(event) => {
          event.preventDefault();
          book.mutate();
        }}
      >
        <chakra.h1>
          {part.name}: {part.count} left
        </chakra.h1>
        <Text
          label="How many come in"
          type="number"
          min={1}
          autoFocus
          value={count}
          onChange={(event) => setCount(Number(event.target.value))}
        />
        <Text label="From where" value={why} onChange={(event) => setWhy(event.target.value)} />
        <Trouble error={book.error} />
        <Act look="main" type="submit" disabled={book.isPending}>
          Book them in
        </Act>
      </chakra.form>
      <PartForm title="What it is" act="Save it" part={part} changed={changed} />
    </>
  );
}

function PartForm({
  title,
  act,
  part,
  changed,
}: {
  title: string;
  act: string;
  part?: Part;
  changed?: (part: Part) => void;
}) {
  const client = useQueryClient();
  const blank = { drawer: '', name: '', what: '', eachMinor: 0, count: 0 };
  const [said, say] = useState<Schemas['PartSaid']>(
    part
      ? { drawer: part.drawer, name: part.name, what: part.what, eachMinor: part.eachMinor, count: 0 }
      : blank,
  );
  const save = useMutation({
    mutationFn: () =>
      answer(
        part
          ? api.PUT('/api/parts/{part}', {
              params: { path: { part: part.id }, header: seen(part.version) },
              body: said,
            })
          : api.POST('/api/parts', { body: said }),
      ),
    onSuccess: (saved) => {
      client.invalidateQueries({ queryKey: answers.parts() });
      if (part) {
        changed?.(saved);
      } else {
        say(blank);
      }
    },
  });
  return (
    <chakra.form
      display="grid"
      gap="10px"
      aria-label={title}
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <chakra.h1>{title}</chakra.h1>
      <Box display="grid" gridTemplateColumns="100px 1fr" gap="10px">
        <Text
          label="Drawer"
          value={said.drawer}
          onChange={(event) => say({ ...said, drawer: event.target.value })}
        />
        <Text
          label="Name"
          value={said.name}
          onChange={(event) => say({ ...said, name: event.target.value })}
        />
      </Box>
      <Text
        label="What it is: size, section, value"
        value={said.what}
        onChange={(event) => say({ ...said, what: event.target.value })}
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="10px">
        <SumField
          label="Cost of one"
          minor={said.eachMinor}
          set={(eachMinor) => say({ ...said, eachMinor })}
        />
        {!part && (
          <Text
            label="How many now"
            type="number"
            min={0}
            value={said.count}
            onChange={(event) => say({ ...said, count: Number(event.target.value) })}
          />
        )}
      </Box>
      <Trouble error={save.error} />
      <Act
        look={part ? 'plain' : 'main'}
        type="submit"
        disabled={save.isPending || Number.isNaN(said.eachMinor)}
      >
        {act}
      </Act>
    </chakra.form>
  );
}
