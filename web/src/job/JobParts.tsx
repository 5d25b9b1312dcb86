import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { useJobWrite } from '../api/useJobWrite';
import { PartPick, TestOnly } from '../drawer/PartPick';
import { Form, Sends } from '../form/Form';
import { CountIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { money } from '../typed/sum';

type JobPart = Schemas['JobPart'];
type Using = 'used' | 'aside';
const HOW = {
  used: { name: 'Used up', what: 'What was used', go: 'Used it' },
  aside: { name: 'Set aside', what: 'What is kept for it', go: 'Set it aside' },
};

/** What the job took, wherever it was told, and what that cost. What is used up beside any finding is entered here. */
export function JobParts({
  job,
  parts,
  aside,
  here,
}: {
  job: number;
  parts: JobPart[];
  aside: Schemas['SetAside'][];
  here: boolean;
}) {
  const [using, setUsing] = useState<Using>();
  return (
    <>
      {parts.length === 0 && <Box color="muted">No parts yet.</Box>}
      {parts.map((part) => (
        <PartLine key={`${part.partId} ${part.name}`} job={job} part={part} here={here} />
      ))}
      {aside.map((one) => (
        <AsideLine key={one.partId} job={job} one={one} here={here} />
      ))}
      {here && !using && (
        <Box display="flex" gap="10px">
          <Act look="quiet" minH="34px" onClick={() => setUsing('used')}>
            Used up: agent, grease, paste…
          </Act>
          <Act look="quiet" minH="34px" onClick={() => setUsing('aside')}>
            Set aside for it…
          </Act>
        </Box>
      )}
      {using && <FromDrawers key={using} job={job} how={using} done={() => setUsing(undefined)} />}
    </>
  );
}

function PartLine({ job, part, here }: { job: number; part: JobPart; here: boolean }) {
  const currency = useCurrency();
  const back = useJobWrite(() =>
    answer(
      api.DELETE('/api/jobs/{job}/parts/{used}', {
        params: { path: { job, used: part.used[part.used.length - 1] as number } },
      }),
    ),
  );
  return (
    <Box
      borderTop="1px solid"
      borderColor="line"
      py="4px"
      display="grid"
      gridTemplateColumns="38px 1fr auto auto"
      gap="8px"
      alignItems="baseline"
    >
      <chakra.span fontFamily="mono">{part.count} ×</chakra.span>
      <Box>
        {part.name}
        {part.marks.map((mark) => (
          <chakra.b key={mark} color="amberInk">
            {', '}
            {mark}
          </chakra.b>
        ))}
        <chakra.span color="muted" fontSize="xs">
          {' '}
          {part.told.join(', ')}
        </chakra.span>
        <Trouble error={back.error} />
      </Box>
      {here && part.used.length > 0 ? (
        <Act
          look="quiet"
          minH="28px"
          disabled={back.isPending}
          aria-label={`Not used: ${part.name}`}
          onClick={() => back.mutate()}
        >
          not used
        </Act>
      ) : (
        <span />
      )}
      <chakra.span fontFamily="mono">{money(part.costMinor, currency)}</chakra.span>
    </Box>
  );
}

/** Kept for this job, and not used yet. */
function AsideLine({ job, one, here }: { job: number; one: Schemas['SetAside']; here: boolean }) {
  const back = useJobWrite(() =>
    answer(api.DELETE('/api/jobs/{job}/aside/{part}', { params: { path: { job, part: one.partId } } })),
  );
  return (
    <Box
      borderTop="1px solid"
      borderColor="line"
      py="4px"
      display="grid"
      gridTemplateColumns="38px 1fr auto"
      gap="8px"
      alignItems="baseline"
    >
      <chakra.span fontFamily="mono">{one.count} ×</chakra.span>
      <Box>
        {one.name}
        <TestOnly is={one.temporary} />
        <chakra.span color="muted" fontSize="xs">
          {' '}
          set aside, not used yet
        </chakra.span>
        <Trouble error={back.error} />
      </Box>
      {here && (
        <Act
          look="quiet"
          minH="28px"
          disabled={back.isPending}
          aria-label={`Back in its drawer: ${one.name}`}
          onClick={() => back.mutate()}
        >
          to drawer {one.drawer}
        </Act>
      )}
    </Box>
  );
}

function FromDrawers({ job, how, done }: { job: number; how: Using; done: () => void }) {
  const usual = useRef(1);
  const form = useSending({
    blank: { partId: undefined as number | undefined, name: '', count: Number.NaN },
    send: async ({ partId, count }) => {
      const said = {
        params: { path: { job } },
        body: { partId: partId as number, count: Number.isNaN(count) ? usual.current : count },
      };
      how === 'used'
        ? await answer(api.POST('/api/jobs/{job}/parts', said))
        : await answer(api.POST('/api/jobs/{job}/aside', said));
    },
    done,
    leave: done,
  });
  const { partId } = form.value;
  const before = useQuery({
    queryKey: answers.usual(partId),
    queryFn: () =>
      answer(api.GET('/api/parts/{part}/usual-amount', { params: { path: { part: partId as number } } })),
    enabled: partId !== undefined,
  });
  usual.current = before.data?.amount ?? 1;
  return (
    <Form of={form} name={HOW[how].name}>
      <Box display="grid" gridTemplateColumns="1fr 110px" gap="8px" alignItems="start">
        {partId === undefined ? (
          <PartPick
            label={HOW[how].what}
            compact
            picked={(part) => {
              form.put('partId', part.id);
              form.put('name', part.name);
            }}
          />
        ) : (
          <Box>
            <b>{form.value.name}</b>{' '}
            <Act look="quiet" minH="30px" onClick={() => form.put('partId', undefined)}>
              another
            </Act>
          </Box>
        )}
        <CountIn
          of={form}
          at="count"
          label="How many"
          compact
          min={1}
          max={99}
          placeholder={`${usual.current}, as usual`}
        />
      </Box>
      <Sends of={form} go={HOW[how].go} />
    </Form>
  );
}
