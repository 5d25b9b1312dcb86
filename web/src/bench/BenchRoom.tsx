import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { useTitle } from '../app/useTitle';
import { Act } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { Tag } from '../parts/Tag';
import { BenchName } from './BenchName';
import { useBenchName } from './device';

/** What is open on a bench now, and what could be opened next. */
export default function BenchRoom() {
  useTitle('Bench');
  const rack = useQuery({ queryKey: answers.rack(), queryFn: () => answer(api.GET('/api/rack')) });
  const lying = useQuery({ queryKey: answers.benches(), queryFn: () => answer(api.GET('/api/benches')) });
  return <Loaded query={rack}>{(now) => <Benches rack={now} lying={lying.data ?? []} />}</Loaded>;
}

function Benches({ rack, lying }: { rack: Schemas['Rack']; lying: Schemas['LyingAt'][] }) {
  const navigate = useNavigate();
  const here = useBenchName();
  const at = (row: Schemas['RackRow']) => lying.find((one) => one.jobId === row.jobId);
  const all = [...rack.next, ...rack.waiting];
  // What lies here first, then bench by bench.
  const place = (row: Schemas['RackRow']) => {
    const bench = at(row)?.bench ?? '';
    return bench === here && here !== '' ? ' ' : bench || '~';
  };
  const open = all.filter((row) => row.opened).sort((one, other) => place(one).localeCompare(place(other)));
  const next = rack.next.filter((row) => !row.opened).slice(0, 5);
  const listed = [...open, ...next];
  useKeys(
    listed.slice(0, 9).map((row, n) => ({
      key: String(n + 1),
      label: `To the bench with ${row.tag}`,
      act: () => navigate(`/bench/${row.jobId}`),
    })),
  );
  const line = (row: Schemas['RackRow']) => (
    <Box
      key={row.jobId}
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '120px 1fr 150px' }}
      gap="14px"
      alignItems="center"
      borderTop="1px solid"
      borderColor="line"
      py="10px"
      fontSize="lg"
    >
      <Tag text={row.tag} size={18} />
      <Box minW={0}>
        <b>{row.model}</b> {row.revision} · {row.owner ?? 'resale'}
        <Box color="muted" fontSize="md">
          {row.status.words}
          {at(row) && ` · at ${at(row)?.bench === here ? 'this bench' : `${at(row)?.bench}, ${at(row)?.by}`}`}
        </Box>
      </Box>
      <Act
        look={row.opened ? 'main' : 'plain'}
        minH="56px"
        keyName={listed.indexOf(row) < 9 ? String(listed.indexOf(row) + 1) : undefined}
        onClick={() => navigate(`/bench/${row.jobId}`)}
      >
        {row.opened ? (at(row) && here && at(row)?.bench !== here ? 'Look, take over' : 'Go on') : 'Start'}
      </Act>
    </Box>
  );
  return (
    <Box p="16px 22px" maxW="1000px">
      <BenchName />
      <chakra.h1 mt="14px" mb="8px">
        Open now
      </chakra.h1>
      {open.length === 0 && (
        <Empty>Nothing is open. What is opened here stays listed until it is closed up.</Empty>
      )}
      {open.map(line)}
      <chakra.h1 mt="22px" mb="8px">
        Next to open
      </chakra.h1>
      {next.length === 0 && (
        <Empty to="/checkin" go="Check a unit in">
          Nothing waits to be opened.
        </Empty>
      )}
      {next.map(line)}
    </Box>
  );
}
