import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { percent } from '../drawing/IntervalBar';
import { TableBar } from '../parts/TableBar';
import type { Looked } from './useLooked';

/** All of them in numbers, to read and to take away. */
export function FaultTable({ patterns, looked }: { patterns: Schemas['Patterns']; looked: Looked }) {
  return (
    <>
      <Box display="flex" justifyContent="space-between" alignItems="center">
        <chakra.h2>
          {patterns.all > patterns.faults.length
            ? `The first ${patterns.faults.length} of ${patterns.all} in numbers`
            : 'All of them in numbers'}
        </chakra.h2>
        <TableBar path={`/api/patterns/table.csv?${looked.asTable}`} />
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
          {patterns.faults.map((fault) => (
            <tr key={`${fault.revisionId} ${fault.faultId}`}>
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
              <td>{fault.cameBack}</td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
      <Box fontSize="sm" mt="8px">
        Every finished repair as{' '}
        <chakra.a href="/api/patterns/repairs.csv" download color="chalk" textDecoration="underline">
          open repair data
        </chakra.a>
        , without anybody’s name.
      </Box>
    </>
  );
}
