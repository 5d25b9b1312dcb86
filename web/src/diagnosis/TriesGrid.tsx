import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { useJobWrite } from '../api/useJobWrite';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { TableBar } from '../parts/TableBar';
import { useModel } from '../teardown/useModel';

type Grid = Schemas['CrossedTries'];
type Tried = Schemas['Tried'];

const MOST = 6;
const WHOLE = '*';
const STATES = [undefined, true, false] as const;
const MARKS = { true: '✓ works', false: '✗ fails', undefined: '·' };

const START: Grid = {
  down: [
    { name: 'disc one', whole: false },
    { name: 'disc two', whole: false },
  ],
  across: [
    { name: 'this unit', whole: true },
    { name: 'a good one', whole: false },
  ],
  tries: [],
};

/** Things tried with one another: a tap on a pair goes from untried to works to fails. */
export function TriesForm({ job, modelId, done }: { job: number; modelId: number; done: () => void }) {
  const [grid, setGrid] = useState<Grid>(START);
  const model = useModel(modelId);
  const write = useJobWrite(
    () => answer(api.POST('/api/jobs/{job}/tries', { params: { path: { job } }, body: grid })),
    done,
  );
  const good = (down: number, across: number) =>
    grid.tries.find((one) => one.down === down && one.across === across)?.good;
  function turn(down: number, across: number) {
    const next = STATES[(STATES.indexOf(good(down, across)) + 1) % STATES.length];
    const others = grid.tries.filter((one) => one.down !== down || one.across !== across);
    setGrid({ ...grid, tries: next === undefined ? others : [...others, { down, across, good: next }] });
  }
  const name = (side: 'down' | 'across', at: number, part: Partial<Tried>) =>
    setGrid({ ...grid, [side]: grid[side].map((one, n) => (n === at ? { ...one, ...part } : one)) });
  const field = (side: 'down' | 'across', one: Tried, at: number) => (
    <Box key={at}>
      <chakra.input
        aria-label={side === 'down' ? `Row ${at + 1}` : `Column ${at + 1}`}
        value={one.name}
        w="100%"
        px="6px"
        bg="field"
        border="1px solid"
        borderColor="edge"
        onChange={(event) => name(side, at, { name: event.target.value })}
      />
      <chakra.select
        aria-label={`${one.name} is which part of this unit`}
        value={one.whole ? WHOLE : (one.component ?? '')}
        w="100%"
        fontSize="xs"
        bg="field"
        border="1px solid"
        borderColor="edge"
        onChange={(event) => {
          const picked = event.target.value;
          const whole = picked === WHOLE;
          name(side, at, { whole, component: whole ? undefined : picked || undefined });
        }}
      >
        <option value="">not of this unit</option>
        <option value={WHOLE}>this unit as a whole</option>
        {model.data?.components.map((component) => (
          <option key={component.id} value={component.name}>
            this unit’s {component.name}
          </option>
        ))}
      </chakra.select>
    </Box>
  );
  return (
    <Box
      role="group"
      aria-label="Crossed tries"
      border="2px solid"
      borderColor="mat"
      borderRadius="sm"
      p="10px"
      my="6px"
      bg="card"
      overflowX="auto"
    >
      <Box
        display="grid"
        gap="6px"
        gridTemplateColumns={`150px repeat(${grid.across.length}, minmax(110px, 1fr))`}
      >
        <span />
        {grid.across.map((one, at) => field('across', one, at))}
        {grid.down.map((row, down) => [
          field('down', row, down),
          ...grid.across.map((column, across) => {
            const state = good(down, across);
            return (
              <Act
                key={`${down}-${across}`}
                look={state === true ? 'main' : 'plain'}
                minH="48px"
                aria-label={`${row.name} in ${column.name}: ${MARKS[`${state}`]}`}
                onClick={() => turn(down, across)}
              >
                {MARKS[`${state}`]}
              </Act>
            );
          }),
        ])}
      </Box>
      <Box display="flex" gap="6px" mt="8px" flexWrap="wrap">
        <Act look="main" disabled={grid.tries.length === 0 || write.isPending} onClick={() => write.mutate()}>
          Enter the tries
        </Act>
        <Act
          disabled={grid.down.length >= MOST}
          onClick={() =>
            setGrid({ ...grid, down: [...grid.down, { name: `disc ${grid.down.length + 1}`, whole: false }] })
          }
        >
          A row more
        </Act>
        <Act
          disabled={grid.across.length >= MOST}
          onClick={() =>
            setGrid({
              ...grid,
              across: [...grid.across, { name: `unit ${grid.across.length + 1}`, whole: false }],
            })
          }
        >
          A column more
        </Act>
        <Act look="quiet" onClick={done}>
          Leave it
        </Act>
      </Box>
      <Trouble error={write.error} />
    </Box>
  );
}

/** Tries as they were entered. */
export function TriesTable({ job, grid, strike }: { job: number; grid: Grid; strike?: () => void }) {
  return (
    <Box borderTop="1px solid" borderColor="line" py="4px">
      <chakra.table fontSize="sm" aria-label="Crossed tries">
        <thead>
          <tr>
            <td />
            {grid.across.map((one) => (
              <chakra.th key={one.name} px="8px" fontWeight={400} color="muted">
                {one.name}
              </chakra.th>
            ))}
          </tr>
        </thead>
        <tbody>
          {grid.down.map((row, down) => (
            <tr key={row.name}>
              <chakra.th fontWeight={400} color="muted" textAlign="left" pr="8px">
                {row.name}
              </chakra.th>
              {grid.across.map((column, across) => {
                const one = grid.tries.find((tried) => tried.down === down && tried.across === across);
                return (
                  <chakra.td key={column.name} px="8px" color={one && !one.good ? 'hazard' : undefined}>
                    {MARKS[`${one?.good}`]}
                  </chakra.td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </chakra.table>
      <TableBar path={`/api/jobs/${job}/tries/table.csv`} />
      {strike && (
        <Act look="quiet" minH="28px" onClick={strike}>
          strike these tries
        </Act>
      )}
    </Box>
  );
}
