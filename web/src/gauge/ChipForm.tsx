import { Box } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { Act, Chip } from '../parts/Buttons';
import { Pick, Text, Words } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { quantity } from '../typed/quantity';

type Function = Schemas['LogicChip']['function'];
const FUNCTIONS: Function[] = ['NAND', 'NOR', 'AND', 'OR', 'XOR', 'NOT', 'BUFFER'];

/** "1 2 13 > 12; 3 4 > 6 nor": the inputs of each gate, an arrow, its output, and what it does if it is not what the others do. */
function gates(typed: string): Schemas['LogicGate'][] {
  return typed
    .split(/[;\n]/)
    .filter((one) => one.trim())
    .map((one) => {
      const [inputs = '', rest = ''] = one.split(/>|→/);
      const [output = '', does = ''] = rest.trim().split(/[\s:]+/);
      return {
        inputs: inputs
          .trim()
          .split(/[\s,]+/)
          .map(Number),
        output: Number(output),
        function: does ? (does.toUpperCase() as Function) : undefined,
      };
    });
}

/** A chip that does not ship with the application, as its data sheet has it. */
export function ChipForm({ done }: { done: (number: string) => void }) {
  const client = useQueryClient();
  const [said, say] = useState({ number: '', gates: '', pins: '14', ground: '7', supply: '14', bears: '' });
  const [does, setDoes] = useState<Function>('NAND');
  const [openCollector, setOpen] = useState(false);
  const put = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/chips', {
          body: {
            number: said.number.replace(/^74[A-Za-z]*/, ''),
            function: does,
            openCollector,
            openCollectorVolts: openCollector ? quantity(said.bears, 'V') : undefined,
            pins: Number(said.pins),
            ground: Number(said.ground),
            supply: Number(said.supply),
            gates: gates(said.gates),
          },
        }),
      ),
    onSuccess: () => {
      client.invalidateQueries({ queryKey: answers.gauge('logic') });
      done(said.number.replace(/^74[A-Za-z]*/, ''));
    },
  });
  const type = (field: keyof typeof said) => (event: { target: { value: string } }) =>
    say((now) => ({ ...now, [field]: event.target.value }));
  return (
    <Box role="group" aria-label="Another chip" bg="paper" p="8px" borderRadius="sm" display="grid" gap="6px">
      <Box display="grid" gridTemplateColumns="90px 1fr auto" gap="6px" alignItems="end">
        <Text label="74 …" compact placeholder="10" value={said.number} onChange={type('number')} />
        <Pick label="Each gate is" compact value={does} onChange={(e) => setDoes(e.target.value as Function)}>
          {FUNCTIONS.map((one) => (
            <option key={one} value={one}>
              {floor.LogicFunction[one]}
            </option>
          ))}
        </Pick>
        <Chip on={openCollector} onClick={() => setOpen(!openCollector)}>
          open collector
        </Chip>
      </Box>
      {openCollector && (
        <Text
          label="Its outputs bear, V"
          compact
          inputMode="decimal"
          placeholder="as its data sheet has it; its supply if empty"
          value={said.bears}
          onChange={type('bears')}
        />
      )}
      <Words
        label="Gates: inputs > output, and its kind if it is another"
        compact
        placeholder="1 2 13 > 12; 3 4 5 > 6; 9 10 11 > 8"
        value={said.gates}
        onChange={type('gates')}
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr auto" gap="6px" alignItems="end">
        <Text label="Pins" compact inputMode="numeric" value={said.pins} onChange={type('pins')} />
        <Text label="Ground" compact inputMode="numeric" value={said.ground} onChange={type('ground')} />
        <Text label="Supply" compact inputMode="numeric" value={said.supply} onChange={type('supply')} />
        <Act look="main" disabled={put.isPending || !said.number || !said.gates} onClick={() => put.mutate()}>
          Add it
        </Act>
      </Box>
      <Trouble error={put.error} />
    </Box>
  );
}
