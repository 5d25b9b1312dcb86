import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { createPortal } from 'react-dom';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useJobWrite } from '../api/useJobWrite';
import { useKeys } from '../app/keys';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import { BesideTable } from './BesideTable';
import { useMeter } from './meter';

/** What a gauge was asked, under its name. */
type Asked = Partial<Schemas['GaugeAsked']>;

export function useJobInHand(): number | undefined {
  const job = Number(useSearchParams()[0].get('job'));
  return job > 0 ? job : undefined;
}

/**
 * Where a measurement is kept: in the job in hand, or in the one whose tag is scanned.
 *
 * `under` is the place beneath the drawing, for what it stands beside.
 */
export function KeepBar({
  asked,
  typed,
  under,
}: {
  asked?: Asked;
  typed: object;
  under: HTMLElement | null;
}) {
  const job = useJobInHand();
  return (
    <Box className="noprint" mt="12px" pt="8px" borderTop="2px solid" borderColor="tape">
      {job === undefined ? (
        <WhichJob typed={typed} />
      ) : (
        <Keep key={job} job={job} asked={asked} typed={typed} under={under} />
      )}
    </Box>
  );
}

/** What is typed goes along to the job. */
function WhichJob({ typed }: { typed: object }) {
  const [tag, setTag] = useState('');
  const navigate = useNavigate();
  const look = useMutation({
    mutationFn: () => answer(api.GET('/api/units', { params: { query: { find: tag } } })),
    onSuccess: (units) => {
      const job = units[0]?.stays[0]?.id;
      if (job !== undefined) {
        navigate(`?job=${job}`, { state: { typed } });
      }
    },
  });
  const none = look.isSuccess && look.data.length === 0;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        look.mutate();
      }}
    >
      <Text
        label="To keep it in a job, scan or type its tag"
        value={tag}
        problem={none ? 'No unit has this tag or serial.' : undefined}
        onChange={(event) => setTag(event.target.value)}
      />
      <Trouble error={look.error} />
    </form>
  );
}

function Keep({
  job,
  asked,
  typed,
  under,
}: {
  job: number;
  asked?: Asked;
  typed: object;
  under: HTMLElement | null;
}) {
  const meter = useMeter();
  const sheet = useQuery({
    queryKey: answers.job(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}', { params: { path: { job } } })),
  });
  const measured = useMeasured(job);
  const [place, setPlace] = useState('');
  const [stage, setStage] = useState<string>();
  const [goodUnit, setGood] = useState(false);
  const [instrument, setInstrument] = useState<string>();
  const stages = measured.data?.stages ?? [];
  const body = asked && {
    asked: asked as Schemas['GaugeAsked'],
    typed: typed as Record<string, never>,
    place,
    stage: stage ?? stages[stages.length - 1] ?? 'before',
    goodUnit,
    instrument: instrument ?? meter.instrument,
  };
  const write = useJobWrite((said: NonNullable<typeof body>) =>
    answer(api.POST('/api/jobs/{job}/measurements', { params: { path: { job } }, body: said })),
  );
  const save = () => body && write.mutate(body);
  const off = !body || write.isPending;
  useKeys([{ key: 'S', label: 'Keep it in the job', act: save, off }]);
  return (
    <Box display="grid" gap="6px">
      <Box display="flex" gap="10px" alignItems="center">
        <Link to={`/jobs/${job}`}>
          <Tag text={sheet.data?.job.unit.tag ?? '…'} size={18} />
        </Link>
        <Box fontSize="sm">
          {sheet.data?.job.unit.model} {sheet.data?.job.unit.revision}
        </Box>
        <Link to="?" style={{ marginLeft: 'auto' }}>
          <chakra.span color="chalk" textDecoration="underline" fontSize="sm">
            no job
          </chakra.span>
        </Link>
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="6px">
        <Text
          label="Where on the unit"
          compact
          list="places"
          placeholder="supply board, U7"
          value={place}
          onChange={(event) => setPlace(event.target.value)}
        />
        <Text
          label="With"
          compact
          placeholder="which instrument"
          value={instrument ?? meter.instrument}
          onChange={(event) => setInstrument(event.target.value)}
        />
      </Box>
      <datalist id="places">
        {[...new Set(measured.data?.compared.map((one) => one.place))].map((one) => (
          <option key={one} value={one} />
        ))}
      </datalist>
      <Box role="group" aria-label="Stage" display="flex" gap="4px" flexWrap="wrap">
        {stages.map((one) => (
          <Chip
            key={one}
            on={!goodUnit && body?.stage === one}
            onClick={() => {
              setStage(one);
              setGood(false);
            }}
          >
            {one}
          </Chip>
        ))}
        <Chip on={goodUnit} onClick={() => setGood(!goodUnit)}>
          on a good unit
        </Chip>
      </Box>
      <Act look="main" keyName="S" disabled={off} onClick={save}>
        Keep it in {sheet.data?.job.unit.tag ?? 'the job'}
      </Act>
      <Trouble error={write.error} />
      {write.isSuccess && (
        <Box role="status" color="mat" fontWeight={700}>
          Kept: it stands in the story of <Link to={`/jobs/${job}`}>{sheet.data?.job.unit.tag}</Link>.
        </Box>
      )}
      {body && under && createPortal(<BesideNow job={job} body={body} />, under)}
    </Box>
  );
}

export function useMeasured(job: number) {
  return useQuery({
    queryKey: answers.measurements(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/measurements', { params: { path: { job } } })),
  });
}

/** What is typed now beside what was kept before, as soon as there is something to lay beside. */
function BesideNow({ job, body }: { job: number; body: Schemas['Measured'] }) {
  const beside = useQuery({
    queryKey: answers.beside(job, body.asked, body.place),
    queryFn: () =>
      answer(api.POST('/api/jobs/{job}/measurements/beside', { params: { path: { job } }, body })),
    placeholderData: (before) => before,
    retry: false,
  });
  if (!beside.data || beside.data.titles.length < 2) {
    return null;
  }
  return (
    <Box aria-label="Beside" role="group" mt="14px">
      <BesideTable table={beside.data} />
    </Box>
  );
}
