import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { figures } from '../api/shopWide';
import { Act } from '../parts/Buttons';

/** Longer ones are folded to what is lit, where room is scarce. */
const SHORT = 8;

/** A unit by stage of the work beside a good one: what differs is lit, and says so. */
export function BesideTable({ table, folded = false }: { table: Schemas['BesideTable']; folded?: boolean }) {
  const [all, setAll] = useState(false);
  const lit = table.rows.filter((row) => row.cells.some((cell) => cell.differs || cell.verdict === 'BAD'));
  const rows =
    folded && !all && table.rows.length > SHORT
      ? lit.length > 0
        ? lit
        : table.rows.slice(0, 3)
      : table.rows;
  return (
    <Box overflowX="auto">
      <chakra.table
        w="100%"
        fontSize="sm"
        borderCollapse="collapse"
        css={{ '& td, & th': { padding: '2px 8px', textAlign: 'left' } }}
      >
        <thead>
          <tr>
            <th aria-label="What" />
            {table.titles.map((title, at) => (
              <chakra.th
                key={title}
                scope="col"
                fontSize="xs"
                bg={at === table.good ? 'goodPaper' : undefined}
              >
                {title}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <chakra.tr key={row.what} borderTop="1px solid" borderColor="line">
              <chakra.th scope="row" fontWeight={400}>
                {row.what}
              </chakra.th>
              {row.cells.map((cell, at) => (
                <chakra.td
                  key={at}
                  fontFamily="mono"
                  whiteSpace="nowrap"
                  bg={at === table.good ? 'goodPaper' : cell.differs ? 'differs' : undefined}
                  fontWeight={cell.differs ? 700 : 400}
                >
                  {figures(cell.words) || '·'}
                  {cell.differs && ' ≠'}
                  {cell.limits && at === row.cells.length - 1 && (
                    <chakra.span color="muted" fontWeight={400} fontSize="xs">
                      {' '}
                      ({figures(cell.limits)})
                    </chakra.span>
                  )}
                  {cell.verdict === 'BAD' && (
                    <chakra.span color="hazard" fontFamily="body">
                      {' '}
                      bad
                    </chakra.span>
                  )}
                </chakra.td>
              ))}
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      {rows.length < table.rows.length && (
        <Act look="quiet" minH="32px" onClick={() => setAll(true)}>
          {table.rows.length - rows.length} more, as they should be or open
        </Act>
      )}
    </Box>
  );
}
