import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useTitle } from '../app/useTitle';
import { IntervalBar, JobSquares } from '../drawing/IntervalBar';
import { MonthLine } from '../drawing/MonthLine';
import { Empty, Loaded } from '../parts/States';
import { FaultTable } from './FaultTable';
import { Narrow } from './Narrow';
import { StepsToCorrect } from './StepsToCorrect';
import { type Looked, useLooked } from './useLooked';
import { WhatLasts } from './WhatLasts';
import { WorthWatching } from './WorthWatching';

type Fault = Schemas['FaultPattern'];
const MOST_DRAWN = 14;

/** What keeps failing, on what, and how sure the shop can be of it. */
export default function PatternsPage() {
  useTitle('Patterns');
  const looked = useLooked();
  const patterns = useQuery({
    queryKey: answers.patterns('all', looked.asTable),
    queryFn: () => answer(api.GET('/api/patterns', { params: { query: looked.query } })),
    placeholderData: (before) => before,
  });
  return <Loaded query={patterns}>{(now) => <PatternsOf patterns={now} looked={looked} />}</Loaded>;
}

function keyOf(fault: { revisionId: number; faultId: number }): string {
  return `${fault.revisionId} ${fault.faultId}`;
}

function PatternsOf({ patterns, looked }: { patterns: Schemas['Patterns']; looked: Looked }) {
  const { faults } = patterns;
  const fault =
    faults.find((one) => one.revisionId === looked.picked?.on && one.faultId === looked.picked.fault) ??
    faults[0];
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '720px 1fr' }} flex="1">
      <Box
        p="14px 22px"
        borderRight="1px solid"
        borderColor="line"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 48px)' }}
      >
        <Narrow looked={looked} owner={patterns.owner} />
        <Box color="muted" fontSize="sm" mb="4px">
          Of the jobs that had such a unit open ({patterns.jobs} in all), in how many it was found; units in
          use nobody can count. The line is where the truth lies, nineteen times in twenty. Squares:{' '}
          <chakra.b color="mat">customers’</chakra.b> and <chakra.b color="brassInk">resale</chakra.b>.
        </Box>
        <Batches batches={patterns.batches} looked={looked} />
        {faults.length === 0 && <Nothing looked={looked} />}
        {faults.length > 0 && <Scale />}
        {faults.slice(0, MOST_DRAWN).map((one) => (
          <ChartRow key={keyOf(one)} fault={one} on={one === fault} choose={() => looked.pick(one)} />
        ))}
        {faults.length > MOST_DRAWN && (
          <Empty>
            The surest {MOST_DRAWN} are drawn; {patterns.all} there are, in numbers beside.
          </Empty>
        )}
      </Box>
      <Box
        p="14px 22px"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 48px)' }}
        role="region"
        aria-label="The fault in numbers"
        tabIndex={0}
      >
        {fault && <WhatLasts key={keyOf(fault)} fault={fault} looked={looked} months={patterns.months} />}
        <WorthWatching />
        {fault && <StepsToCorrect fault={fault} />}
        {faults.length > 0 && <FaultTable patterns={patterns} looked={looked} />}
        <Upkeep done={patterns.upkeep} />
      </Box>
    </Box>
  );
}

function Nothing({ looked }: { looked: Looked }) {
  return looked.narrowed ? (
    <Empty>Nothing of that was found in this time: look further back, or at all of it.</Empty>
  ) : (
    <Empty to="/past" go="Or bring past jobs in from a spreadsheet.">
      No fault on record in this time. Findings on units that were handed over are counted here.
    </Empty>
  );
}

/** Whose parts keep coming back: said once, in the order of how sure it is. */
function Batches({ batches, looked }: { batches: Schemas['BatchTold'][]; looked: Looked }) {
  return batches.map((one) => (
    <Box
      key={`${keyOf(one)} ${one.supplier}`}
      role="note"
      borderLeft="5px solid"
      borderColor="hazard"
      bg="card"
      px="10px"
      py="4px"
      mb="6px"
      fontSize="sm"
    >
      <chakra.button
        type="button"
        fontWeight={700}
        textDecoration="underline"
        cursor="pointer"
        minH="28px"
        onClick={() => looked.pick(one)}
      >
        {one.component}, {one.wrong}, {one.on}
      </chakra.button>
      <Box>{one.said}</Box>
    </Box>
  ));
}

const MOST_UPKEEP = 12;

/** What was done on principle while units were open: no failure of anything, and counted apart. */
function Upkeep({ done }: { done: Schemas['UpkeepDone'][] }) {
  if (done.length === 0) {
    return null;
  }
  return (
    <Box mt="14px" role="group" aria-label="Upkeep">
      <chakra.h2>Upkeep, no failure</chakra.h2>
      {done.slice(0, MOST_UPKEEP).map((one) => (
        <Box
          key={one.words}
          display="flex"
          justifyContent="space-between"
          borderTop="1px solid"
          borderColor="line"
          py="2px"
        >
          <span>{one.words}</span>
          <chakra.span fontFamily="mono">
            {one.jobs} {one.jobs === 1 ? 'job' : 'jobs'}
          </chakra.span>
        </Box>
      ))}
    </Box>
  );
}

const COLUMNS = '218px 1fr 96px';

function ChartRow({ fault, on, choose }: { fault: Fault; on: boolean; choose: () => void }) {
  return (
    <chakra.button
      type="button"
      aria-pressed={on}
      display="grid"
      gridTemplateColumns={COLUMNS}
      gap="14px"
      alignItems="center"
      w="100%"
      textAlign="left"
      px="6px"
      bg={on ? 'card' : undefined}
      outline={on ? '2px solid' : undefined}
      outlineColor="mat"
      py="3px"
      cursor="pointer"
      onClick={choose}
    >
      <Box py="3px">
        <b>
          {fault.component}, {fault.wrong}
        </b>
        <Box color="muted" fontSize="sm">
          {fault.model} {fault.revision}
          {fault.rising && (
            <chakra.b color="hazard" ml="6px">
              rising
            </chakra.b>
          )}
          {fault.few && <chakra.span ml="6px">few jobs: not ranked</chakra.span>}
        </Box>
      </Box>
      <IntervalBar share={fault.share} height={46} />
      <Box>
        <JobSquares customer={fault.customer} resale={fault.resale} />
        <MonthLine months={fault.byMonth} rising={fault.rising} />
      </Box>
    </chakra.button>
  );
}

function Scale() {
  return (
    <Box display="grid" gridTemplateColumns={COLUMNS} gap="14px" px="6px" aria-hidden="true">
      <span />
      <Box display="flex" justifyContent="space-between" fontFamily="mono" fontSize="xs" color="muted">
        {['0 %', '25 %', '50 %', '75 %', '100 %'].map((mark) => (
          <span key={mark}>{mark}</span>
        ))}
      </Box>
    </Box>
  );
}
