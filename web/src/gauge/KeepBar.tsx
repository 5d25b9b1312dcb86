import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { createPortal } from 'react-dom';
import { Link, useSearchParams } from 'react-router';
import { answer, api, Problem, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { useGoOn } from '../app/leaving';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { OneOf } from '../parts/OneOf';
import { Tag } from '../parts/Tag';
import { BesideTable } from './BesideTable';
import type { Here } from './expected';
import { Means } from './Means';
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
  here,
}: {
  asked?: Asked;
  typed: object;
  under: HTMLElement | null;
  /** where it is measured, as far as that is known */
  here?: Here;
}) {
  const job = useJobInHand();
  return (
    <Box className="noprint" mt="12px" pt="8px" borderTop="2px solid" borderColor="tape">
      {job === undefined ? (
        <WhichJob typed={typed} />
      ) : (
        <Keep key={job} job={job} asked={asked} typed={typed} under={under} here={here} />
      )}
    </Box>
  );
}

/** What is typed goes along to the job. */
function WhichJob({ typed }: { typed: object }) {
  const goOn = useGoOn();
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
    done: (job) => goOn(`?job=${job}`, { state: { typed } }),
  });
  return (
    <Form of={form} name="Which job" first={false}>
      <TextIn of={form} at="tag" label="To keep it in a job, scan or type its tag" />
    </Form>
  );
}

type Supplied = NonNullable<Schemas['Conditions']['supply']>;
type Warmth = NonNullable<Schemas['Conditions']['warmth']>;

/** Where, when, under what and with what it was measured. */
const KEEPING = {
  /** as it is known, until somebody says otherwise */
  place: undefined as string | undefined,
  component: undefined as string | undefined,
  supply: undefined as Supplied | undefined,
  warmth: undefined as Warmth | undefined,
  stage: undefined as string | undefined,
  goodUnit: false,
  instrument: undefined as string | undefined,
};

function Keep({
  job,
  asked,
  typed,
  under,
  here,
}: {
  job: number;
  asked?: Asked;
  typed: object;
  under: HTMLElement | null;
  here?: Here;
}) {
  const meter = useMeter();
  const [search] = useSearchParams();
  const sheet = useQuery({
    queryKey: answers.job(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}', { params: { path: { job } } })),
  });
  const measured = useMeasured(job);
  const stages = measured.data?.stages ?? [];
  const unit = sheet.data?.job.unit;
  const as = (kept: typeof KEEPING, means?: boolean) => {
    const component = Number(kept.component ?? here?.componentId ?? search.get('component') ?? 0);
    return (
      asked && {
        asked: asked as Schemas['GaugeAsked'],
        typed: typed as Record<string, never>,
        place: kept.place ?? here?.place ?? '',
        stage: kept.stage ?? stages[stages.length - 1] ?? 'before',
        goodUnit: kept.goodUnit,
        instrument: kept.instrument ?? meter.instrument,
        conditions: { supply: kept.supply, warmth: kept.warmth },
        componentId: component > 0 ? component : undefined,
        step: search.get('step') ?? undefined,
        means,
      }
    );
  };
  const form = useSending({
    blank: KEEPING,
    send: (_typed, body: NonNullable<ReturnType<typeof as>>) =>
      answer(api.POST('/api/jobs/{job}/measurements', { params: { path: { job } }, body })),
  });
  const { goodUnit, instrument } = form.value;
  const body = as(form.value);
  const now = useMeasuredNow(job, body);
  const off = !body || form.pending;
  const keep = (means?: boolean) => {
    const said = as(form.value, means);
    return said && form.send(said);
  };
  useKeys([{ key: 'S', label: 'Keep it in the job', act: () => keep(), off }]);
  // Of what was typed before it says nothing.
  const verdict = now.isPlaceholderData ? undefined : now.data?.verdict;
  return (
    <Form of={form} name="Keep it" first={false} still gap="6px">
      <Box display="flex" gap="10px" alignItems="center">
        <Link to={`/jobs/${job}`}>
          <Tag text={unit?.tag ?? '…'} size={18} />
        </Link>
        <Box fontSize="sm">
          {unit?.model} {unit?.revision}
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
          value={form.value.place ?? here?.place ?? ''}
          onChange={(event) => form.put('place', event.target.value)}
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
      <Box display="flex" gap="10px" flexWrap="wrap">
        <OneOf
          label="Under power"
          words={floor.Supplied}
          picked={form.value.supply}
          pick={(one) => form.put('supply', one)}
        />
        <OneOf
          label="How warm"
          words={floor.Warmth}
          picked={form.value.warmth}
          pick={(one) => form.put('warmth', one)}
        />
      </Box>
      {unit && !goodUnit && (
        <Means
          modelId={unit.modelId}
          component={body?.componentId}
          pick={(component) => form.put('component', component)}
          verdict={verdict}
          off={off}
          say={keep}
        />
      )}
      <Act look="main" keyName="S" disabled={off} onClick={() => keep()}>
        Keep it in {unit?.tag ?? 'the job'}
      </Act>
      {form.sent && (
        <Box role="status" color="mat" fontWeight={700}>
          Kept{measured.data?.rows.at(-1)?.means !== undefined && ', and it counts in the odds'}: it stands in
          the story of <Link to={`/jobs/${job}`}>{unit?.tag}</Link>.
        </Box>
      )}
      {now.data &&
        now.data.table.titles.length > 1 &&
        under &&
        createPortal(<Beside table={now.data.table} />, under)}
    </Form>
  );
}

export function useMeasured(job: number) {
  return useQuery({
    queryKey: answers.measurements(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/measurements', { params: { path: { job } } })),
  });
}

/** What is typed now: what it comes to, and the table beside what was kept before. */
function useMeasuredNow(job: number, body?: Schemas['Measured']) {
  return useQuery({
    queryKey: answers.beside(job, body?.asked, body?.place),
    queryFn: () =>
      answer(
        api.POST('/api/jobs/{job}/measurements/beside', {
          params: { path: { job } },
          body: body as Schemas['Measured'],
        }),
      ),
    enabled: body !== undefined,
    placeholderData: (before) => before,
    retry: false,
  });
}

function Beside({ table }: { table: Schemas['BesideTable'] }) {
  return (
    <Box aria-label="Beside" role="group" mt="14px">
      <BesideTable table={table} />
    </Box>
  );
}
