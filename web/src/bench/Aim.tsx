import { Box, chakra } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useKeys } from '../app/keys';
import { Trouble } from '../parts/States';
import { AimRow } from './AimRow';
import { DarkChip } from './DarkChip';
import type { Bench } from './press';

type AimSaid = Schemas['AimSaid'];

/** Where to: what is worth most a minute first, each by one digit; the whole of it last. The way that is offered for it stands below. */
export function Aim({
  bench,
  aim,
  set,
  digits,
}: {
  bench: Bench;
  aim: AimSaid;
  set: (aim: AimSaid) => void;
  /** whether the digits are free for it */
  digits: boolean;
}) {
  const job = bench.unit.jobId;
  const fitted = bench.inside.flatMap((one) =>
    one.fitted === undefined ? [] : [`${one.component}:${one.fitted}`],
  );
  const worth = useQuery({
    queryKey: answers.whereTo(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/where-to', { params: { path: { job } } })),
  });
  const whole = useQuery({
    queryKey: answers.whole(bench.unit.revisionId, fitted),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/whole', {
          params: { path: { revision: bench.unit.revisionId }, query: { fitted } },
        }),
      ),
  });
  const access = useQuery({
    queryKey: answers.access(bench.unit.revisionId, aim.targets, fitted),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/access', {
          params: { path: { revision: bench.unit.revisionId }, query: { targets: aim.targets, fitted } },
        }),
      ),
    enabled: aim.targets.length > 0,
    placeholderData: keepPreviousData,
  });
  const rows = worth.data ?? [];
  const reachable = new Set(whole.data?.steps.flatMap((step) => step.exposes));
  // What is worth most comes first, also in time: nothing takes its place while it is on its way.
  const others =
    (worth.data && whole.data?.components)?.filter(
      (one) => reachable.has(one.id) && !rows.some((row) => row.component === one.id),
    ) ?? [];
  const offers = aim.targets.length > 0 ? access.data : undefined;
  const way = aim.offer === 'UNDO' ? offers?.undo : aim.offer === 'PARTS' ? offers?.parts : offers?.time;
  const pick = (id: number) =>
    set({
      targets: aim.targets.includes(id) ? aim.targets.filter((one) => one !== id) : [...aim.targets, id],
    });
  useKeys([
    ...rows.map((row, n) => ({
      key: String(n + 1),
      label: `To the ${row.name}`,
      act: () => pick(row.component),
      off: !digits,
    })),
    { key: '0', label: 'To the whole of it', act: () => set({ targets: [] }), off: !digits },
  ]);
  return (
    <Box role="group" aria-label="Where to" display="grid" gap="6px">
      <Box fontSize="md" color="chalkDust">
        Where to? Worth most a minute first.
      </Box>
      {worth.isPending && (
        <Box role="status" data-page="fetching" color="chalkDust">
          Fetching…
        </Box>
      )}
      <Trouble error={worth.error} />
      {rows.map((row, n) => (
        <AimRow
          key={row.component}
          to={row}
          on={aim.targets.includes(row.component)}
          keyName={digits ? String(n + 1) : undefined}
          pick={() => pick(row.component)}
        />
      ))}
      {others.length > 0 && (
        <Box display="flex" flexWrap="wrap" gap="6px">
          {others.map((one) => (
            <DarkChip key={one.id} on={aim.targets.includes(one.id)} pick={() => pick(one.id)}>
              {one.name}
            </DarkChip>
          ))}
        </Box>
      )}
      <DarkChip
        on={aim.targets.length === 0}
        pick={() => set({ targets: [] })}
        keyName={digits ? '0' : undefined}
      >
        the whole of it, {bench.way.stepsInAll} steps
      </DarkChip>
      <Trouble error={access.error} />
      {offers && way && (
        <Box mt="4px" fontSize="md">
          <chakra.b color="brassLight">
            {way.plan.order.length} steps, {Math.round(way.likely.half)} min
          </chakra.b>
          {way.tools.length > 0 && ` · lay out ${way.tools.join(', ')}`}
          {!way.plan.reversible && ' · breaks something'}
          {offers.undo && offers.undo.plan.order.join() !== offers.time.plan.order.join() && (
            <Box display="flex" flexWrap="wrap" gap="6px" mt="6px">
              <DarkChip on={aim.offer !== 'UNDO'} pick={() => set({ ...aim, offer: 'TIME' })}>
                quickest, {Math.round(offers.time.likely.half)} min
              </DarkChip>
              <DarkChip on={aim.offer === 'UNDO'} pick={() => set({ ...aim, offer: 'UNDO' })}>
                can be undone, {Math.round(offers.undo.likely.half)} min
              </DarkChip>
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
