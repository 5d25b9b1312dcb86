import { Box } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Trouble } from '../parts/States';
import { DarkChip } from './DarkChip';
import type { Bench } from './press';

type AimSaid = Schemas['AimSaid'];

/** Where to: some components, by the way that is offered for them, or the whole of it. */
export function Aim({ bench, aim, set }: { bench: Bench; aim: AimSaid; set: (aim: AimSaid) => void }) {
  const fitted = bench.inside.flatMap((one) =>
    one.fitted === undefined ? [] : [`${one.component}:${one.fitted}`],
  );
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
  const reachable = new Set(whole.data?.steps.flatMap((step) => step.exposes));
  const components = whole.data?.components.filter((one) => reachable.has(one.id)) ?? [];
  const offers = aim.targets.length > 0 ? access.data : undefined;
  const way = aim.offer === 'UNDO' ? offers?.undo : aim.offer === 'PARTS' ? offers?.parts : offers?.time;
  const pick = (id: number) =>
    set({
      targets: aim.targets.includes(id) ? aim.targets.filter((one) => one !== id) : [...aim.targets, id],
    });
  return (
    <Box role="group" aria-label="Where to">
      <Box fontSize="md" color="chalkDust" mb="6px">
        Where to?
      </Box>
      <Box display="flex" flexWrap="wrap" gap="6px">
        <DarkChip on={aim.targets.length === 0} pick={() => set({ targets: [] })}>
          the whole of it
        </DarkChip>
        {components.map((one) => (
          <DarkChip key={one.id} on={aim.targets.includes(one.id)} pick={() => pick(one.id)}>
            {one.name}
          </DarkChip>
        ))}
      </Box>
      <Trouble error={access.error} />
      {offers && way && (
        <Box mt="10px" fontSize="md">
          <b>
            {way.plan.order.length} steps, {Math.round(way.likely.half)} min
          </b>
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
