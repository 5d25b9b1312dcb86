import { Box, chakra } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useMay } from '../api/session';
import { useTitle } from '../app/useTitle';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Loaded } from '../parts/States';

/** One month of the shop on one page, beside the month before. */
export default function MonthPage() {
  useTitle('This month');
  const [params, set] = useSearchParams();
  const month = params.get('month') ?? '';
  const seen = useQuery({
    queryKey: answers.patterns('month', month),
    queryFn: () => answer(api.GET('/api/patterns/month', { params: { query: { month } } })),
    placeholderData: (before) => before,
  });
  return (
    <Loaded query={seen}>
      {(now) => <Month month={now} look={(next) => set(next ? { month: next } : {})} />}
    </Loaded>
  );
}

const LEFT = 4;

function Month({ month, look }: { month: Schemas['MonthSeen']; look: (month: string) => void }) {
  return (
    <Box p="14px 22px" maxW="1280px">
      <Box display="flex" alignItems="end" gap="14px" flexWrap="wrap">
        <Box flex="1" minW="260px">
          <chakra.h1>{month.title}</chakra.h1>
          <Box color="muted" fontSize="sm">
            Dark: this month. Pale: {month.before}. Counted in jobs.{' '}
            <Link to="/patterns" style={{ textDecoration: 'underline' }}>
              What keeps failing
            </Link>
          </Box>
        </Box>
        <Box w="160px">
          <Text
            label="Month"
            compact
            type="month"
            value={month.month}
            onChange={(event) => look(event.target.value)}
          />
        </Box>
        <chakra.a
          href={`/api/patterns/month.pdf?month=${month.month}`}
          target="_blank"
          textDecoration="underline"
          color="chalk"
          py="8px"
          rel="noopener"
        >
          as PDF
        </chakra.a>
        <Letter month={month.month} />
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="0 30px">
        {[month.sections.slice(0, LEFT), month.sections.slice(LEFT)].map((some) => (
          <Box key={some[0]?.title}>
            {some.map((section) => (
              <Section key={section.title} section={section} />
            ))}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Section({ section }: { section: Schemas['MonthSection'] }) {
  return (
    <Box mt="14px" role="group" aria-label={section.title}>
      <chakra.h2>{section.title}</chakra.h2>
      {section.rows.length === 0 && <Box color="muted">{section.none}</Box>}
      {section.rows.map((row) => (
        <Box
          key={row.words}
          display="grid"
          gridTemplateColumns="1fr auto 104px 96px"
          gap="8px"
          alignItems="center"
          borderTop="1px solid"
          borderColor="line"
          py="3px"
        >
          <Box>
            {row.words}
            {row.marked && (
              <chakra.b color="hazard" ml="6px">
                rising
              </chakra.b>
            )}
          </Box>
          <Box textAlign="right" fontFamily="mono" fontWeight={700} whiteSpace="nowrap">
            {row.now}
          </Box>
          <Box textAlign="right" fontFamily="mono" color="muted" whiteSpace="nowrap">
            {row.before}
          </Box>
          <Box aria-hidden="true">
            <Box h="7px" w={`${Math.round(row.share * 100)}%`} bg={row.marked ? 'hazard' : 'mat'} />
            <Box h="5px" mt="2px" w={`${Math.round(row.beforeShare * 100)}%`} bg="mat" opacity={0.35} />
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** Into the outbox, for whoever is not in the shop. */
function Letter({ month }: { month: string }) {
  const may = useMay('SETTINGS');
  const [open, setOpen] = useState(false);
  const [sent, setSent] = useState(false);
  if (!may) {
    return null;
  }
  return open ? (
    <LetterForm
      month={month}
      done={(written) => {
        setSent(written);
        setOpen(false);
      }}
    />
  ) : (
    <Box display="flex" gap="8px" alignItems="center">
      {sent && (
        <Box role="status" fontSize="sm">
          in the outbox
        </Box>
      )}
      <Act onClick={() => setOpen(true)}>Send it</Act>
    </Box>
  );
}

function LetterForm({ month, done }: { month: string; done: (written: boolean) => void }) {
  const client = useQueryClient();
  const form = useSending({
    blank: { to: '' },
    check: z.object({ to: said.words('Say to whom: name@place') }),
    kept: 'letter of the month',
    send: ({ to }) => answer(api.POST('/api/patterns/month/letter', { body: { month, to } })),
    done: () => {
      client.invalidateQueries({ queryKey: answers.letters() });
      done(true);
    },
    leave: () => done(false),
  });
  return (
    <Form of={form} name="Send the month" display="flex" gap="8px" alignItems="end">
      <Box w="190px">
        <TextIn of={form} at="to" label="Send it to" compact />
      </Box>
      <Sends of={form} go="Into the outbox" />
    </Form>
  );
}
