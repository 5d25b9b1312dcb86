import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { day, moment } from '../api/words';
import { useKeys } from '../app/keys';
import { Form, Sends } from '../form/Form';
import { CountIn, SumIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { bareField } from '../parts/Fields';
import { Empty, Loaded, Trouble } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { Tag } from '../parts/Tag';
import { money } from '../typed/sum';
import { Channels } from './Channels';
import { takesWords } from './orderWords';

type Order = Schemas['OrderView'];
type Line = Schemas['LineView'];
type Happening = Schemas['HappenedSaid']['what'];
type Say = (line: Line, what: Happening, count: number, day?: string) => void;

/** One order: what of it came, what is still to come and when, and the ways to say what happened. */
export function OrderOpened({ id }: { id: number }) {
  const orders = useQuery({
    queryKey: answers.orders(),
    queryFn: () => answer(api.GET('/api/orders')),
    // While it is being handed over, and as long as its supplier may answer.
    refetchInterval: ({ state }) => {
      const one = state.data?.orders.find((order) => order.id === id);
      return one?.asked && one.open ? (one.handedAt ? 10_000 : 1_500) : false;
    },
  });
  return (
    <Loaded query={orders}>
      {(all) => {
        const order = all.orders.find((one) => one.id === id);
        const from = all.suppliers.find((one) => one.id === order?.supplierId);
        return order ? (
          <Opened order={order} from={from} />
        ) : (
          <Empty>That order is not among the last ones.</Empty>
        );
      }}
    </Loaded>
  );
}

function Opened({ order, from }: { order: Order; from?: Schemas['Supplier'] }) {
  const client = useQueryClient();
  const currency = useCurrency();
  const [booking, setBooking] = useState(false);
  const open = order.lines.filter((line) => line.line.left > 0 || line.line.wrong > 0);
  const happened = useMutation({
    mutationFn: ({
      line,
      what,
      count,
      day,
    }: {
      line: number;
      what: Happening;
      count: number;
      day?: string;
    }) =>
      answer(
        api.POST('/api/order-lines/{line}/events', {
          params: { path: { line } },
          body: { what, count, day, words: '' },
        }),
      ),
    onSuccess: (now) => {
      client.setQueryData(answers.orders(), now);
      client.invalidateQueries();
    },
  });
  const say: Say = (line, what, count, day) => happened.mutate({ line: line.id, what, count, day });
  useKeys([{ key: 'B', label: 'Book in what came', act: () => setBooking(true), off: open.length === 0 }]);
  const sum = order.lines.reduce((all, line) => all + line.eachMinor * line.line.count, 0);
  return (
    <>
      <Box display="flex" alignItems="baseline" gap="10px">
        <chakra.h1 flex="1">
          Order <chakra.span fontFamily="mono">{order.id}</chakra.span>, {order.supplier}
        </chakra.h1>
        <chakra.span fontFamily="mono">{money(sum + order.freightMinor, currency)}</chakra.span>
      </Box>
      <Box fontSize="sm" color="muted" mb="6px">
        {moment(order.at)}
        {from?.number && `, our number there ${from.number}`}
        {from?.mail && `, ${from.mail}`}
        {order.freightMinor > 0 && `, carriage ${money(order.freightMinor, currency)}`}
      </Box>
      <Channels order={order} from={from} />
      {order.lines.map((line) => (
        <LineOf key={line.id} line={line} say={say} off={happened.isPending} />
      ))}
      <Trouble error={happened.error} />
      {booking ? (
        <CameForm order={order} lines={open} done={() => setBooking(false)} />
      ) : (
        <Box display="flex" gap="8px" mt="10px" alignItems="center">
          <Act look="main" keyName="B" disabled={open.length === 0} onClick={() => setBooking(true)}>
            Book in what came
          </Act>
          <TableBar path={`/api/orders/${order.id}/table.csv`} />
        </Box>
      )}
    </>
  );
}

function LineOf({ line, say, off }: { line: Line; say: Say; off: boolean }) {
  const { standing, came, count, left, wrong, expected } = line.line;
  const words = [
    floor.OrderStanding[standing],
    came > 0 && left > 0 && `${came} of ${count} came`,
    expected && `expected ${day(expected)}`,
  ].filter(Boolean);
  return (
    <Box borderTop="1px solid" borderColor="line" py="7px">
      <Box display="flex" gap="10px" alignItems="center">
        <Box flex="1">
          <chakra.span fontFamily="mono">{count} ×</chakra.span> <b>{line.part}</b>
          {line.tag && (
            <Link to={`/jobs/${line.job}`} style={{ marginLeft: 8 }}>
              <Tag text={line.tag} size={13} />
            </Link>
          )}
          {(line.whatFor || line.proposed) && (
            <chakra.span color="muted" fontSize="sm">
              {' '}
              {line.whatFor ? `for ${line.whatFor}` : 'proposed by its own figures'}
            </chakra.span>
          )}
        </Box>
        <chakra.span fontSize="sm" color={left > 0 || wrong > 0 ? 'amberInk' : 'mat'} fontWeight={600}>
          {words.join(' · ')}
        </chakra.span>
      </Box>
      <Box fontSize="sm" color="muted">
        goes into drawer {line.drawer}
        {left > 0 && line.takes && ` · comes ${takesWords(line.takes)}`}
      </Box>
      {(left > 0 || wrong > 0) && (
        <Box display="flex" gap="6px" flexWrap="wrap" mt="4px">
          {wrong > 0 ? (
            <Small off={off} act={() => say(line, 'SENT_BACK', wrong)}>
              The wrong {wrong === 1 ? 'one went' : `${wrong} went`} back
            </Small>
          ) : (
            <>
              {came === 0 && (standing === 'ORDERED' || standing === 'CONFIRMED') && (
                <Confirmed line={line} left={left} say={say} off={off} />
              )}
              {standing !== 'SENT' && (
                <Small off={off} act={() => say(line, 'SENT', left)}>
                  On its way
                </Small>
              )}
              <Small off={off} act={() => say(line, 'WRONG', 1)}>
                A wrong one came
              </Small>
              <Small off={off} act={() => say(line, 'GIVEN_UP', left)}>
                Not waited for
              </Small>
            </>
          )}
        </Box>
      )}
    </Box>
  );
}

/** They have it, and may say when it comes. */
function Confirmed({ line, left, say, off }: { line: Line; left: number; say: Say; off: boolean }) {
  const [day, setDay] = useState('');
  return (
    <Box display="flex" gap="4px" alignItems="center">
      <Small off={off} act={() => say(line, 'CONFIRMED', left, day || undefined)}>
        They have it
      </Small>
      <chakra.input
        {...bareField}
        type="date"
        minH="32px"
        fontSize="sm"
        aria-label={`Day that ${line.part} is expected`}
        value={day}
        onChange={(event) => setDay(event.target.value)}
      />
    </Box>
  );
}

function Small({ off, act, children }: { off: boolean; act: () => void; children: React.ReactNode }) {
  return (
    <Act minH="32px" py="2px" fontSize="sm" disabled={off} onClick={act}>
      {children}
    </Act>
  );
}

/** What came of it, and what carriage cost: all that is left, if nothing else is said. */
function CameForm({ order, lines, done }: { order: Order; lines: Line[]; done: () => void }) {
  const currency = useCurrency();
  const form = useSending({
    blank: {
      counts: Object.fromEntries(lines.map((line) => [`l${line.id}`, line.line.left - line.line.wrong])),
      freight: '',
    },
    check: z.object({
      counts: z.record(z.string(), said.count(0, 9999)),
      freight: said.sumIfAny(currency),
    }),
    kept: `came ${order.id}`,
    send: ({ counts, freight = 0 }) =>
      answer(
        api.POST('/api/orders/{order}/came', {
          params: { path: { order: order.id } },
          body: {
            lines: lines
              .map((line) => ({ line: line.id, count: counts[`l${line.id}`] ?? 0 }))
              .filter((one) => one.count > 0),
            freightMinor: freight,
          },
        }),
      ),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Book in what came" mt="10px">
      {lines.map((line) => (
        <Box key={line.id} display="grid" gridTemplateColumns="110px 1fr" gap="10px" alignItems="end">
          <CountIn
            of={form}
            at={`counts.l${line.id}`}
            label="How many"
            aria-label={`How many of ${line.part}`}
            min={0}
            compact
          />
          <Box pb="8px">
            <b>{line.part}</b> <chakra.span color="muted">into drawer {line.drawer}</chakra.span>
          </Box>
        </Box>
      ))}
      <Box maxW="160px">
        <SumIn of={form} at="freight" label="Carriage" />
      </Box>
      <Sends of={form} go="Into the drawers" />
    </Form>
  );
}
