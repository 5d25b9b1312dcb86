import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { percent } from '../drawing/IntervalBar';
import { MonthBars } from '../drawing/MonthLine';
import { SurvivalCurves } from '../drawing/SurvivalCurves';
import { Text } from '../parts/Fields';
import { Loaded } from '../parts/States';
import { money } from '../typed/sum';
import { JobsBehind } from './JobsBehind';
import type { Looked } from './useLooked';

type Props = { fault: Schemas['FaultPattern']; looked: Looked; months: string[] };

/** One fault that was picked: how often it is found, how long what was done about it lasts, and which jobs say so. */
export function WhatLasts({ fault, looked, months }: Props) {
  const [month, setMonth] = useState<number>();
  const query = { ...looked.query, on: fault.revisionId, fault: fault.faultId };
  const picked = useQuery({
    queryKey: answers.patterns('picked', fault.revisionId, fault.faultId, looked.asTable),
    queryFn: () => answer(api.GET('/api/patterns/picked', { params: { query } })),
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
      <MonthBars
        months={fault.byMonth}
        rising={fault.rising}
        starts={months}
        picked={month}
        pick={setMonth}
      />
      <JobsBehind query={query} looked={looked} month={month} />
      <chakra.h2>How long it lasts, by what was done</chakra.h2>
      <Loaded query={picked}>{(now) => <Lasts picked={now} looked={looked} />}</Loaded>
    </Box>
  );
}

/** Half a year: what most shops stand in for. */
const READ = 183;

function Lasts({ picked, looked }: { picked: Schemas['PickedFault']; looked: Looked }) {
  const done = picked.remedies.filter((one) => one.done > 0);
  return (
    <>
      {done.length === 0 && <Box color="muted">Nothing that was done about it has left the shop yet.</Box>}
      <SurvivalCurves remedies={picked.remedies} days={Math.min(picked.longestDays, 400)} />
      {picked.remedies.map((one) => (
        <RemedyLine key={one.remedy} one={one} />
      ))}
      {picked.differ !== undefined && (
        <Box fontSize="sm" color="muted" mt="4px">
          {picked.differ
            ? 'They last differently, as far as anybody can tell.'
            : 'That they last differently cannot be told yet.'}
        </Box>
      )}
      <Compared title="How often it came back, within a quarter" told={picked.cameBack} />
      <Compared title="How often it is found" told={picked.found}>
        <Box w="170px">
          <Text
            label="Before and since"
            compact
            type="date"
            value={looked.query.since ?? ''}
            onChange={(event) => looked.narrow({ since: event.target.value })}
          />
        </Box>
      </Compared>
      <OutThere picked={picked} />
    </>
  );
}

function RemedyLine({ one }: { one: Schemas['RemedyLasts'] }) {
  const currency = useCurrency();
  const read = one.readAt.find((at) => at.day === READ);
  return (
    <Box borderTop="1px solid" borderColor="line" py="4px" fontSize="sm">
      <b>{floor.Remedy[one.remedy]}</b>: {one.done} done, {one.cameBack} came back
      {one.failed > 0 && `, ${one.failed} changed nothing`}
      {one.minutes !== undefined &&
        `; ${one.minutes} min and ${money(one.partsMinor, currency)} of parts a job`}
      .{' '}
      {read?.point?.survival === 1
        ? 'After half a year none is back.'
        : read?.point
          ? `After half a year ${percent(read.point.survival)} are not back (${percent(read.point.low)} to ${percent(read.point.high)}).`
          : one.done > 0 && 'Too few have lasted half a year to say.'}
    </Box>
  );
}

function Compared({
  title,
  told,
  children,
}: {
  title: string;
  told: Schemas['Comparison'][];
  children?: React.ReactNode;
}) {
  if (told.length === 0) {
    return null;
  }
  return (
    <Box mt="10px" role="group" aria-label={title}>
      <Box display="flex" justifyContent="space-between" alignItems="end">
        <chakra.h2>{title}</chakra.h2>
        {children}
      </Box>
      {told.map((one) => (
        <Box
          key={one.said}
          fontSize="sm"
          borderTop="1px solid"
          borderColor="line"
          py="3px"
          color={one.tells ? 'ink' : 'muted'}
          fontWeight={one.tells ? 700 : 400}
        >
          {one.said}
        </Box>
      ))}
    </Box>
  );
}

/** What is out there with a warranty that runs, and how often units came back in all. */
function OutThere({ picked }: { picked: Schemas['PickedFault'] }) {
  const currency = useCurrency();
  const { warranty, often } = picked;
  return (
    <Box mt="10px" fontSize="sm">
      <chakra.h2>Out there</chakra.h2>
      {warranty.units === 0
        ? `No unit that was mended so has been out for less than ${warranty.days} days.`
        : `${warranty.units} out with a warranty that runs (${warranty.days} days). What they may still cost: about ${money(warranty.reserveMinor, currency)}, give or take ${money(warranty.deviationMinor, currency)}, at ${money(warranty.eachMinor, currency)} a comeback.`}
      {often.map((one) => (
        <Box key={one.day}>
          After {one.day} days a unit has been back {one.times.toFixed(2)} times on average ({one.followed}{' '}
          followed so long).
        </Box>
      ))}
    </Box>
  );
}
