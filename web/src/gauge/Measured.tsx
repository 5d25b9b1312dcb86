import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { figures } from '../api/shopWide';
import { moment } from '../api/words';
import { WhyForm } from '../form/WhyForm';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { BesideTable } from './BesideTable';
import { useMeasured } from './KeepBar';

type Row = Schemas['MeasurementRow'];

/** What was measured on this stay: by gauge and place, each stage beside the good unit. */
export function Measured({ job, here }: { job: number; here: boolean }) {
  const measured = useMeasured(job);
  if (!measured.data?.rows.length) {
    return <Trouble error={measured.error} again={() => measured.refetch()} />;
  }
  const { rows, compared } = measured.data;
  return (
    <Box mb="12px">
      <Box display="flex" justifyContent="space-between" alignItems="center">
        <chakra.h2>Measured</chakra.h2>
        <TableBar path={`/api/jobs/${job}/measurements/table.csv`} />
      </Box>
      {compared.map(({ gauge, place, table }) => (
        <Box key={`${gauge} ${place}`} role="group" aria-label={`${gauge} ${place}`} mb="6px">
          <Box fontWeight={700} fontSize="sm">
            {gauge.charAt(0) + gauge.slice(1).toLowerCase()}
            {place && `, ${place}`}
          </Box>
          <BesideTable table={table} folded />
        </Box>
      ))}
      {rows.map((row) => (
        <One key={row.id} row={row} here={here} />
      ))}
    </Box>
  );
}

function under({ supply, warmth }: Schemas['Conditions']): string[] {
  return [supply && floor.Supplied[supply], warmth && floor.Warmth[warmth]].filter(
    (one) => one !== undefined,
  );
}

/** One of them: opened again as it was typed, or struck with a reason. */
function One({ row, here }: { row: Row; here: boolean }) {
  const [striking, setStriking] = useState(false);
  const struck = row.struckWhy !== undefined;
  return (
    <Box borderTop="1px solid" borderColor="line" py="3px" fontSize="sm">
      <Box display="flex" gap="10px" alignItems="baseline">
        <Box
          flex="1"
          textDecoration={struck ? 'line-through' : undefined}
          color={struck ? 'muted' : undefined}
        >
          {[row.goodUnit ? 'On a good unit' : row.stage, ...under(row.conditions)].join(', ')}:{' '}
          {figures(row.words)} {row.means !== undefined && <b>It counts in the odds. </b>}
          <chakra.span color="muted" fontSize="xs">
            {row.by}, {moment(row.at)}
            {row.instrument && `, with ${row.instrument}`}
          </chakra.span>
        </Box>
        {!struck && here && (
          <>
            <Link to={`/gauges/${row.gauge.toLowerCase()}?job=${row.jobId}`} state={{ typed: row.typed }}>
              <chakra.span color="chalk" textDecoration="underline">
                open
              </chakra.span>
            </Link>
            <Act look="quiet" minH="32px" onClick={() => setStriking(!striking)}>
              strike
            </Act>
          </>
        )}
      </Box>
      {struck && <Box color="muted">Struck: {row.struckWhy}</Box>}
      {striking && !struck && (
        <WhyForm
          label="Why is it struck"
          go="Strike it"
          send={(why) =>
            answer(
              api.POST('/api/measurements/{measurement}/strike', {
                params: { path: { measurement: row.id } },
                body: { why },
              }),
            )
          }
          leave={() => setStriking(false)}
        />
      )}
    </Box>
  );
}
