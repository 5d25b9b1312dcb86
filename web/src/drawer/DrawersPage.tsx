import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { z } from 'zod';
import { answer, api, type Schemas, seen } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { useTitle } from '../app/useTitle';
import { Form } from '../form/Form';
import { CountIn, SumIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Empty, Loaded } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { money, plainSum } from '../typed/sum';

type Part = Schemas['Part'];

const booking = z.object({ count: said.count(1, 9999), why: z.string() });
const partOf = (currency: string) =>
  z.object({
    drawer: z.string(),
    name: said.words('Say what the part is called'),
    what: z.string(),
    each: said.sumIfAny(currency),
    count: said.count(0, 9999),
  });

/** Parts in stock, drawer by drawer. */
export default function DrawersPage() {
  useTitle('Drawers');
  const parts = useQuery({ queryKey: answers.parts(), queryFn: () => answer(api.GET('/api/parts')) });
  const [picked, setChosen] = useState<Part>();
  // What the finder found lies open, until another is picked.
  const asked = Number(useSearchParams()[0].get('part'));
  const chosen = picked ?? parts.data?.find((part) => part.id === asked);
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
        <TableBar path="/api/parts/table.csv" />
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
                whiteSpace="nowrap"
              >
                {part.count === 0 ? 'none left' : part.count}
              </chakra.td>
              <chakra.td fontFamily="mono" textAlign="right">
                {money(part.eachMinor, currency)}
              </chakra.td>
              <chakra.td textAlign="right" whiteSpace="nowrap">
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
  const form = useSending({
    blank: { count: 1, why: '' },
    check: booking,
    kept: `book in ${part.id}`,
    send: (body) =>
      answer(api.POST('/api/parts/{part}/stock', { params: { path: { part: part.id } }, body })),
    done: changed,
  });
  return (
    <>
      <Form of={form} name="Book in" gap="10px" mb="24px">
        <chakra.h1>
          {part.name}: {part.count} left
        </chakra.h1>
        <CountIn of={form} at="count" label="How many come in" min={1} />
        <TextIn of={form} at="why" label="From where" />
        <Act look="main" type="submit" disabled={form.pending}>
          Book them in
        </Act>
      </Form>
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
  const currency = useCurrency();
  const form = useSending({
    blank: part
      ? {
          drawer: part.drawer,
          name: part.name,
          what: part.what,
          each: plainSum(part.eachMinor, currency),
          count: 0,
        }
      : { drawer: '', name: '', what: '', each: '', count: 0 },
    check: partOf(currency),
    kept: part ? `part ${part.id} ${part.version}` : 'part',
    send: ({ each = 0, ...rest }) => {
      const body = { ...rest, eachMinor: each };
      return answer(
        part
          ? api.PUT('/api/parts/{part}', {
              params: { path: { part: part.id }, header: seen(part.version) },
              body,
            })
          : api.POST('/api/parts', { body }),
      );
    },
    done: (saved) => {
      form.forget();
      changed?.(saved);
    },
  });
  return (
    <Form of={form} name={title} first={false} gap="10px">
      <chakra.h1>{title}</chakra.h1>
      <Box display="grid" gridTemplateColumns="100px 1fr" gap="10px">
        <TextIn of={form} at="drawer" label="Drawer" />
        <TextIn of={form} at="name" label="Name" />
      </Box>
      <TextIn of={form} at="what" label="What it is: size, section, value" />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="10px">
        <SumIn of={form} at="each" label="Cost of one" />
        {!part && <CountIn of={form} at="count" label="How many now" min={0} />}
      </Box>
      <Act look={part ? 'plain' : 'main'} type="submit" disabled={form.pending}>
        {act}
      </Act>
    </Form>
  );
}
