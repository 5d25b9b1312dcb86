import { Box, chakra } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { Form } from '../form/Form';
import { PickIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { TableBar } from '../parts/TableBar';
import { useModel } from '../teardown/useModel';

type Grid = Schemas['CrossedTries'];
type Tried = Schemas['Tried'];

const MOST = 6;
const WHOLE = '*';
const STATES = [undefined, true, false] as const;
const MARKS = { true: '✓ works', false: '✗ fails', undefined: '·' };

type Row = { name: string; as: string };

const START: { down: Row[]; across: Row[]; tries: Grid['tries'] } = {
  down: [
    { name: 'disc one', as: '' },
    { name: 'disc two', as: '' },
  ],
  across: [
    { name: 'this unit', as: WHOLE },
    { name: 'a good one', as: '' },
  ],
  tries: [],
};

function tried({ name, as }: Row): Tried {
  return as === WHOLE ? { name, whole: true } : { name, whole: false, component: as || undefined };
}

/** Things tried with one another: a tap on a pair goes from untried to works to fails. */
export function TriesForm({ job, modelId, done }: { job: number; modelId: number; done: () => void }) {
  const model = useModel(modelId);
  const form = useSending({
    blank: START,
    kept: `tries ${job}`,
    send: ({ down, across, tries }) =>
      answer(
        api.POST('/api/jobs/{job}/tries', {
          params: { path: { job } },
          body: { down: down.map(tried), across: across.map(tried), tries },
        }),
      ),
    done,
    leave: done,
  });
  const grid = form.value;
  const good = (down: number, across: number) =>
    grid.tries.find((one) => one.down === down && one.across === across)?.good;
  function turn(down: number, across: number) {
    const next = STATES[(STATES.indexOf(good(down, across)) + 1) % STATES.length];
    const others = grid.tries.filter((one) => one.down !== down || one.across !== across);
    form.put('tries', next === undefined ? others : [...others, { down, across, good: next }]);
  }
  const field = (side: 'down' | 'across', one: Row, at: number) => (
    <Box key={`${side}${at}`}>
      <TextIn
        of={form}
        at={`${side}.${at}.name`}
        label={side === 'down' ? `Row ${at + 1}` : `Column ${at + 1}`}
        compact
      />
      <PickIn
        of={form}
        at={`${side}.${at}.as`}
        label="is"
        aria-label={`${one.name} is which part of this unit`}
        compact
      >
        <option value="">not of this unit</option>
        <option value={WHOLE}>this unit as a whole</option>
        {model.data?.components.map((component) => (
          <option key={component.id} value={component.name}>
            this unit’s {component.name}
          </option>
        ))}
      </PickIn>
    </Box>
  );
  return (
    <Form
      of={form}
      role="group"
      name="Crossed tries"
      still
      first={false}
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
        <Act
          look="main"
          disabled={grid.tries.length === 0 || form.pending}
          onClick={() => form.send(undefined)}
        >
          Enter the tries
        </Act>
        <Act
          disabled={grid.down.length >= MOST}
          onClick={() => form.put('down', [...grid.down, { name: `disc ${grid.down.length + 1}`, as: '' }])}
        >
          A row more
        </Act>
        <Act
          disabled={grid.across.length >= MOST}
          onClick={() =>
            form.put('across', [...grid.across, { name: `unit ${grid.across.length + 1}`, as: '' }])
          }
        >
          A column more
        </Act>
        <Act look="quiet" onClick={form.leave}>
          Leave it
        </Act>
      </Box>
    </Form>
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
