import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useTitle } from '../app/useTitle';
import { IntervalBar, JobSquares, percent } from '../drawing/IntervalBar';
import { MonthLine } from '../drawing/MonthLine';
import { Choice } from '../parts/Choice';
import { Pick } from '../parts/Fields';
import { Empty, Loaded } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { WhatLasts } from './WhatLasts';

type Fault = Schemas['FaultPattern'];
const SPANS = { m3: '3 months', m6: '6 months', m18: '18 months', m60: '5 years' };
const MOST_DRAWN = 14;

/** What keeps failing, on what, and how sure the shop can be of it. */
export default function PatternsPage() {
  useTitle('Patterns');
  const [months, setMonths] = useState<number>(18);
  const patterns = useQuery({
    queryKey: answers.patterns('all', months),
    queryFn: () => answer(api.GET('/api/patterns', { params: { query: { months } } })),
    placeholderData: (before) => before,
  });
  return (
    <Loaded query={patterns}>
      {(now) => <PatternsOf patterns={now} months={months} look={setMonths} />}
    </Loaded>
  );
}

function keyOf(fault: Fault): string {
  return `${fault.revisionId} ${fault.faultId}`;
}

function PatternsOf({
  patterns,
  months,
  look,
}: {
  patterns: Schemas['Patterns'];
  months: number;
  look: (months: number) => void;
}) {
  const [model, setModel] = useState(0);
  const [chosen, setChosen] = useState<string>();
  const models = [...new Map(patterns.faults.map((fault) => [fault.modelId, fault.model]))].sort((a, b) =>
    a[1].localeCompare(b[1]),
  );
  const faults = patterns.faults.filter((fault) => model === 0 || fault.modelId === model);
  const fault = faults.find((one) => keyOf(one) === chosen) ?? faults[0];
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '720px 1fr' }} flex="1">
      <Box
        p="14px 22px"
        borderRight="1px solid"
        borderColor="line"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 48px)' }}
      >
        <Box display="flex" justifyContent="space-between" alignItems="end" gap="12px" flexWrap="wrap">
          <chakra.h1>What keeps failing</chakra.h1>
          <Box display="flex" gap="6px" alignItems="end">
            <Choice
              label="How far back"
              words={SPANS}
              picked={`m${months}` as keyof typeof SPANS}
              pick={(span) => look(Number(span.slice(1)))}
            />
            <Box w="170px">
              <Pick
                label="On"
                compact
                value={model}
                onChange={(event) => setModel(Number(event.target.value))}
              >
                <option value={0}>all models</option>
                {models.map(([id, name]) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </Pick>
            </Box>
          </Box>
        </Box>
        <Box color="muted" fontSize="sm" my="4px">
          Of the units of that revision that were handed over ({patterns.jobs} in all), how many had it. The
          line is where the truth lies, nineteen times in twenty. Squares:{' '}
          <chakra.b color="mat">customers’</chakra.b> and <chakra.b color="brassInk">resale</chakra.b>.
        </Box>
        {faults.length === 0 && (
          <Empty to="/past" go="Or bring past jobs in from a spreadsheet.">
            No fault on record in this time. Findings on units that were handed over are counted here.
          </Empty>
        )}
        {faults.length > 0 && <Scale />}
        {faults.slice(0, MOST_DRAWN).map((one) => (
          <ChartRow key={keyOf(one)} fault={one} on={one === fault} choose={() => setChosen(keyOf(one))} />
        ))}
        {faults.length > MOST_DRAWN && (
          <Empty>
            The surest {MOST_DRAWN} are drawn; the table has all {faults.length}.
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
        {fault && <WhatLasts fault={fault} />}
        {faults.length > 0 && <Table faults={faults} months={months} />}
        <Upkeep done={patterns.upkeep} />
      </Box>
    </Box>
  );
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

function Table({ faults, months }: { faults: Fault[]; months: number }) {
  return (
    <>
      <Box display="flex" justifyContent="space-between" alignItems="center">
        <chakra.h2>All of them in numbers</chakra.h2>
        <TableBar path={`/api/patterns/table.csv?months=${months}`} />
      </Box>
      <chakra.table
        w="100%"
        fontSize="sm"
        textAlign="left"
        css={{
          '& td, & th': { padding: '4px 6px', borderTop: '1px solid var(--chakra-colors-line)' },
          '& td + td + td': { textAlign: 'right', whiteSpace: 'nowrap' },
        }}
      >
        <thead>
          <tr>
            <th>Fault</th>
            <th>On</th>
            <th>Jobs</th>
            <th>Truth</th>
            <th>Cust.</th>
            <th>Resale</th>
            <th>Back</th>
          </tr>
        </thead>
        <tbody>
          {faults.slice(0, 200).map((fault) => (
            <tr key={keyOf(fault)}>
              <td>
                {fault.component}, {fault.wrong}
              </td>
              <td>
                {fault.model} {fault.revision}
              </td>
              <td>
                {fault.share.count}/{fault.share.outOf}
              </td>
              <td>
                {Math.round(fault.share.low * 100)}–{percent(fault.share.high)}
              </td>
              <td>{fault.customer}</td>
              <td>{fault.resale}</td>
              <td>{fault.comebacks}</td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </>
  );
}
