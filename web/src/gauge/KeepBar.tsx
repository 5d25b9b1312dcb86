import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { createPortal } from 'react-dom';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { answer, api, Problem, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
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
  const navigate = useNavigate();
  const form = useSending({
    blank: { tag: '' },
    send: async ({ tag }) => {
      const units = await answer(api.GET('/api/units', { params: { query: { find: tag } } }));
      const job = units[0]?.stays[0]?.id;
      if (job === undefined) {
        const message = 'No unit has this tag or serial.';
        throw new Problem(404, message, [], [{ field: 'tag', message }]);
      }
      return job;
    },
    done: (job) => navigate(`?job=${job}`, { state: { typed } }),
  });
  return (
    <Form of={form} name="Which job" first={false}>
      <TextIn of={form} at="tag" label="To keep it in a job, scan or type its tag" />
    </Form>
  );
}

/** Where, when and with what it was measured. */
const KEEPING = {
  place: '',
  stage: undefined as string | undefined,
  goodUnit: false,
  instrument: undefined as string | undefined,
};

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
  const stages = measured.data?.stages ?? [];
  const as = (kept: typeof KEEPING) =>
    asked && {
      asked: asked as Schemas['GaugeAsked'],
      typed: typed as Record<string, never>,
      place: kept.place,
      stage: kept.stage ?? stages[stages.length - 1] ?? 'before',
      goodUnit: kept.goodUnit,
      instrument: kept.instrument ?? meter.instrument,
    };
  const form = useSending({
    blank: KEEPING,
    send: (_typed, body: NonNullable<ReturnType<typeof as>>) =>
      answer(api.POST('/api/jobs/{job}/measurements', { params: { path: { job } }, body })),
  });
  const { goodUnit, instrument } = form.value;
  const body = as(form.value);
  const save = () => body && form.send(body);
  const off = !body || form.pending;
  useKeys([{ key: 'S', label: 'Keep it in the job', act: save, off }]);
  return (
    <Form of={form} name="Keep it" first={false} still gap="6px">
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
        <TextIn
          of={form}
          at="place"
          label="Where on the unit"
          compact
          list="places"
          placeholder="supply board, U7"
        />
        <Text
          label="With"
          compact
          placeholder="which instrument"
          value={instrument ?? meter.instrument}
          onChange={(event) => form.put('instrument', event.target.value)}
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
            onClick={() => form.set({ stage: one, goodUnit: false })}
          >
            {one}
          </Chip>
        ))}
        <Chip on={goodUnit} onClick={() => form.put('goodUnit', !goodUnit)}>
          on a good unit
        </Chip>
      </Box>
      <Act look="main" keyName="S" disabled={off} onClick={save}>
        Keep it in {sheet.data?.job.unit.tag ?? 'the job'}
      </Act>
      {form.sent && (
        <Box role="status" color="mat" fontWeight={700}>
          Kept: it stands in the story of <Link to={`/jobs/${job}`}>{sheet.data?.job.unit.tag}</Link>.
        </Box>
      )}
      {body && under && createPortal(<BesideNow job={job} body={body} />, under)}
    </Form>
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
