import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { moment } from '../api/words';
import { useKeys } from '../app/keys';
import { useTitle } from '../app/useTitle';
import { RackDrawing } from '../drawing/RackDrawing';
import { Act } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { Tag } from '../parts/Tag';
import { FirstHour } from './FirstHour';

type Row = Schemas['RackRow'];

/** Where a row leads, and what its button says. */
const ACTS: Partial<Record<Row['status']['standing'], string>> = {
  OPEN_ON_BENCH: 'Go on',
  TO_CLOSE: 'Close up',
  CLOSED_FOR_NOW: 'Open again',
  CHECK_FAILED: 'See why',
  TO_CHECK: 'Check it',
  TO_DECIDE: 'Say how',
  READY: 'Hand over',
};

function addressOf(row: Row): string {
  return (row.opened || row.status.standing === 'CLOSED_FOR_NOW') && row.turn !== 'WAITS'
    ? `/bench/${row.jobId}`
    : `/jobs/${row.jobId}`;
}

/** Home: which unit to pick up next and why, what the rest wait for, and where each stands. */
export default function RackPage() {
  useTitle('Rack');
  const rack = useQuery({
    queryKey: answers.rack(),
    queryFn: () => answer(api.GET('/api/rack')),
    refetchInterval: 15_000,
  });
  return <Loaded query={rack}>{(now) => <RackOf rack={now} />}</Loaded>;
}

const MOST_NEXT = 40;

function RackOf({ rack }: { rack: Schemas['Rack'] }) {
  const navigate = useNavigate();
  const go = (row: Row) => navigate(addressOf(row));
  useKeys(
    rack.next.slice(0, 9).map((row, n) => ({
      key: String(n + 1),
      label: `${ACTS[row.status.standing] ?? 'Open'} ${row.tag}`,
      act: () => go(row),
    })),
  );
  const all = [...rack.next, ...rack.waiting, ...rack.ready];
  const taken = all.filter((row) => row.slot).length;
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '748px 1fr' }} flex="1" minH={0}>
      <Box
        p="16px 22px"
        borderRight="1px solid"
        borderColor="line"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 48px)' }}
      >
        <FirstHour />
        <Heading
          title="Pick up next"
          aside={`${rack.next.length} can be worked on · ${rack.waiting.length} wait · ${rack.ready.length} to hand over`}
        />
        {rack.next.length === 0 && (
          <Empty>
            Nothing to work on.{' '}
            <Link to="/checkin" style={{ textDecoration: 'underline' }}>
              Check a unit in
            </Link>
            , and it turns up here.
          </Empty>
        )}
        {rack.next.slice(0, MOST_NEXT).map((row, n) => (
          <NextRow key={row.jobId} row={row} n={n} go={go} />
        ))}
        {rack.next.length > MOST_NEXT && (
          <Empty>
            And {rack.next.length - MOST_NEXT} more, further down the line. Use the finder for one of them.
          </Empty>
        )}
        {rack.waiting.length > 0 && <Heading title="Waiting" space />}
        {rack.waiting.map((row) => (
          <WaitingRow key={row.jobId} row={row} go={go} />
        ))}
        {rack.ready.length > 0 && <Heading title="Ready to go" space />}
        {rack.ready.map((row) => (
          <ReadyRow key={row.jobId} row={row} go={go} />
        ))}
        {all.length > 0 && <TableBar path="/api/rack/table.csv" />}
      </Box>
      <Box p="16px 22px" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
        <Heading title="The rack" aside={`${taken} of ${rack.slots.length} slots taken`} />
        <RackDrawing slots={rack.slots} rows={all} open={go} />
      </Box>
    </Box>
  );
}

function Heading({ title, aside, space }: { title: string; aside?: string; space?: boolean }) {
  return (
    <Box display="flex" justifyContent="space-between" alignItems="baseline" mt={space ? '16px' : 0} mb="6px">
      <chakra.h1>{title}</chakra.h1>
      <Box fontSize="sm" color="muted">
        {aside}
      </Box>
    </Box>
  );
}

/** What came with a unit and can hurt whoever takes it off the shelf. */
function danger(row: Row): string | undefined {
  return row.dangers.map((mark) => floor.ArrivalMark[mark]).join(', ') || undefined;
}

/** That it is not done, and why it can be away all the same. */
function flag(row: Row): string | undefined {
  if (row.status.standing === 'ON_LOAN') {
    return 'on loan';
  }
  return row.forNow ? 'for now' : undefined;
}

function NextRow({ row, n, go }: { row: Row; n: number; go: (row: Row) => void }) {
  const first = n === 0;
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '118px 1fr 200px 138px' }}
      gap="12px"
      alignItems="center"
      py={first ? '10px' : '6px'}
      px={first ? '12px' : '2px'}
      mb={first ? '4px' : 0}
      bg={first ? 'card' : undefined}
      border={first ? '2px solid' : undefined}
      borderRadius={first ? 'sm' : undefined}
      borderTop={first ? undefined : '1px solid'}
      borderColor={first ? 'mat' : 'line'}
    >
      <Tag text={row.tag} flag={flag(row)} danger={danger(row)} />
      <Box minW={0}>
        <b>{row.model}</b> {row.revision}
        <Box color="muted" truncate>
          {row.symptoms || 'no symptom said'} · {row.owner ?? 'resale'}
        </Box>
      </Box>
      <Box fontSize="sm">
        <b>{row.reason}.</b>
        <Box>{row.status.words}</Box>
      </Box>
      <Act
        look={first ? 'main' : 'plain'}
        keyName={n < 9 ? String(n + 1) : undefined}
        onClick={() => go(row)}
      >
        {ACTS[row.status.standing] ?? 'Open'}
      </Act>
    </Box>
  );
}

function WaitingRow({ row, go }: { row: Row; go: (row: Row) => void }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '118px 1fr 210px' }}
      gap="12px"
      alignItems="center"
      py="6px"
      borderTop="1px solid"
      borderColor="line"
    >
      <chakra.button
        type="button"
        textAlign="left"
        cursor="pointer"
        onClick={() => go(row)}
        aria-label={`Open ${row.tag}`}
      >
        <Tag text={row.tag} size={13.5} flag={flag(row)} danger={danger(row)} />
      </chakra.button>
      <Box fontSize="sm" minW={0}>
        {row.status.words}
        <Box color="muted" fontSize="sm" truncate>
          {row.model} · {row.owner ?? 'resale'}
        </Box>
      </Box>
      <Wait row={row} />
    </Box>
  );
}

/** How much of a wait is over, if its end is known. */
function Wait({ row }: { row: Row }) {
  const { until } = row.status;
  if (!until || !row.waitedSince) {
    return (
      <Box fontSize="sm" color="amberInk">
        since {row.waitedSince ? moment(row.waitedSince) : 'today'},{' '}
        {row.status.standing === 'ON_LOAN' ? 'no day named' : 'no end known'}
      </Box>
    );
  }
  const from = Date.parse(row.waitedSince);
  const part = Math.min(1, Math.max(0, (Date.now() - from) / (Date.parse(until) - from)));
  return (
    <Box fontSize="sm" color="amberInk">
      until {moment(until)}
      <Box h="9px" bg="waitPaper" borderRadius="2px" overflow="hidden">
        <Box h="100%" bg="amber" style={{ width: `${part * 100}%` }} />
      </Box>
    </Box>
  );
}

function ReadyRow({ row, go }: { row: Row; go: (row: Row) => void }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '118px 1fr 190px 124px' }}
      gap="12px"
      alignItems="center"
      py="6px"
      borderTop="1px solid"
      borderColor="line"
    >
      <Tag text={row.tag} size={13.5} danger={danger(row)} />
      <Box minW={0} truncate>
        <b>{row.model}</b> · {row.owner ?? 'resale'}
      </Box>
      <Box fontSize="sm">{row.status.words}</Box>
      <Act onClick={() => go(row)}>{ACTS.READY}</Act>
    </Box>
  );
}
