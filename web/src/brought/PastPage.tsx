import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useMay } from '../api/session';
import { day } from '../api/words';
import { useGoOn } from '../app/leaving';
import { useTitle } from '../app/useTitle';
import { FilePick } from '../parts/FilePick';
import { Empty, Loaded, Trouble } from '../parts/States';
import { DryRun } from './DryRun';

/** Past jobs from a spreadsheet: the lists on the left, the one in hand beside them. */
export default function PastPage() {
  useTitle('Past jobs');
  const { list } = useParams();
  const may = useMay('IMPORT');
  const lists = useQuery({
    queryKey: answers.brought(),
    queryFn: () => answer(api.GET('/api/brought')),
    refetchInterval: (query) => (query.state.data?.some((one) => one.state === 'GOING') ? 700 : false),
  });
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '330px 1fr' }} flex="1" minH={0}>
      <Box bg="card" p="16px 22px" borderRight="1px solid" borderColor="line">
        <chakra.h1 mb="6px">Past jobs</chakra.h1>
        <Box color="muted" fontSize="sm" mb="10px">
          A list that you kept before, as CSV: a line a job, with the day and the model at least; owner,
          symptom, fault, remedy, part, cost and outcome where you have them. Odds, estimates and patterns
          then begin with it.
        </Box>
        {may ? <Read /> : <Box color="muted">A lead brings lists in.</Box>}
        <Loaded query={lists}>
          {(all) => (
            <>
              {all.length === 0 && <Empty>None was brought in yet.</Empty>}
              {all.map((one) => (
                <Line key={one.id} one={one} picked={one.id === Number(list)} />
              ))}
            </>
          )}
        </Loaded>
      </Box>
      <Box p="16px 22px" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
        {list ? (
          <DryRun key={list} list={Number(list)} may={may} />
        ) : (
          <Empty>
            Nothing is taken before you have seen how each row is read, and what was taken can be undone as a
            whole.
          </Empty>
        )}
      </Box>
    </Box>
  );
}

const STATES: Record<Schemas['BroughtList']['state'], string> = {
  READ: 'not taken yet',
  GOING: 'being taken',
  STOPPED: 'stopped half way',
  DONE: 'brought in',
  UNDONE: 'undone',
};

function Line({ one, picked }: { one: Schemas['BroughtList']; picked: boolean }) {
  const navigate = useNavigate();
  return (
    <chakra.button
      type="button"
      display="block"
      w="100%"
      textAlign="left"
      minH="52px"
      px="8px"
      borderTop="1px solid"
      borderColor="line"
      bg={picked ? 'paper' : undefined}
      cursor="pointer"
      aria-current={picked || undefined}
      onClick={() => navigate(`/past/${one.id}`)}
    >
      <b>{one.name}</b>
      <Box color="muted" fontSize="sm">
        {one.rows} rows, {STATES[one.state]} · {one.by}, {day(one.at)}
      </Box>
    </chakra.button>
  );
}

function Read() {
  const client = useQueryClient();
  const goOn = useGoOn();
  const read = useMutation({
    mutationFn: (file: File) =>
      answer(
        api.POST('/api/brought', {
          params: { query: { name: file.name.slice(0, 120) } },
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSuccess: (list) => {
      client.invalidateQueries({ queryKey: answers.brought() });
      goOn(`/past/${list.id}`);
    },
  });
  return (
    <Box mb="12px">
      <FilePick
        name="List of past jobs"
        accept=".csv,.tsv,.txt,text/csv"
        busy={read.isPending}
        picked={(file) => read.mutate(file)}
      >
        {read.isPending ? 'Reading it…' : 'Read a list'}
      </FilePick>
      <Trouble error={read.error} />
    </Box>
  );
}
