import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { percent } from '../drawing/IntervalBar';
import { SurvivalCurves } from '../drawing/SurvivalCurves';
import { Loaded } from '../parts/States';

/** One fault that was picked: how often it is found, and how long what was done about it lasts. */
export function WhatLasts({ fault }: { fault: Schemas['FaultPattern'] }) {
  const picked = useQuery({
    queryKey: answers.patterns('picked', fault.revisionId, fault.faultId),
    queryFn: () =>
      answer(
        api.GET('/api/patterns/picked', {
          params: { query: { revision: fault.revisionId, fault: fault.faultId } },
        }),
      ),
  });
  return (
    <Box mb="16px">
      <chakra.h1>
        {fault.component}, {fault.wrong}
      </chakra.h1>
      <Box color="muted" mb="6px">
        {`${fault.model} ${fault.revision}`.trim()}: {fault.share.count} of {fault.share.outOf} jobs, truth
        between {percent(fault.share.low)} and {percent(fault.share.high)}. {fault.customer} customers’,{' '}
        {fault.resale} resale.
        {fault.rising && (
          <chakra.b color="hazard"> Rising: more of it in the last months than chance explains.</chakra.b>
        )}
      </Box>
      <chakra.h2>How long it lasts, by what was done</chakra.h2>
      <Loaded query={picked}>{(now) => <Lasts picked={now} />}</Loaded>
    </Box>
  );
}

/** Half a year: what most shops stand in for. */
const READ = 183;

function Lasts({ picked }: { picked: Schemas['PickedFault'] }) {
  const done = picked.remedies.filter((one) => one.done > 0);
  return (
    <>
      {done.length === 0 && <Box color="muted">Nothing that was done about it has left the shop yet.</Box>}
      <SurvivalCurves remedies={picked.remedies} days={Math.min(picked.longestDays, 400)} />
      {picked.remedies.map((one) => {
        const read = one.readAt.find((at) => at.day === READ);
        return (
          <Box key={one.remedy} borderTop="1px solid" borderColor="line" py="4px" fontSize="sm">
            <b>{floor.Remedy[one.remedy]}</b>: {one.done} done, {one.cameBack} came back
            {one.failed > 0 && `, ${one.failed} changed nothing`}.{' '}
            {read?.point?.survival === 1
              ? 'After half a year none is back.'
              : read?.point
                ? `After half a year ${percent(read.point.survival)} are not back (${percent(read.point.low)} to ${percent(read.point.high)}).`
                : one.done > 0 && 'Too few have lasted half a year to say.'}
          </Box>
        );
      })}
      {picked.differ !== undefined && (
        <Box fontSize="sm" color="muted" mt="4px">
          {picked.differ
            ? 'They last differently, as far as anybody can tell.'
            : 'That they last differently cannot be told yet.'}
        </Box>
      )}
    </>
  );
}
