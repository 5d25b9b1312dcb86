import { Box } from '@chakra-ui/react';
import { z } from 'zod';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { benchName, useBenchName } from './device';

const named = z.object({ name: said.words('Say what this bench is called') });

/** A browser at a bench is named once; what is opened here then stands by its name. */
export function BenchName() {
  const name = useBenchName();
  if (name) {
    return (
      <Box fontSize="md" color="muted" display="flex" gap="8px" alignItems="center">
        This device stands at <b>{name}</b>.
        <Act look="quiet" onClick={() => benchName.set('')}>
          It does not
        </Act>
      </Box>
    );
  }
  return <Naming />;
}

function Naming() {
  const form = useSending({
    blank: { name: '' },
    check: named,
    send: async ({ name }) => benchName.set(name.trim()),
  });
  return (
    <Box display="flex" gap="8px" alignItems="end" flexWrap="wrap">
      {['bench 1', 'bench 2', 'bench 3'].map((one) => (
        <Act key={one} minH="56px" onClick={() => benchName.set(one)}>
          This is {one}
        </Act>
      ))}
      <Form of={form} name="What this bench is called" quiet first={false}>
        <Box display="flex" gap="8px" alignItems="end">
          <TextIn of={form} at="name" label="or it is called" compact />
          <Sends of={form} go="So" />
        </Box>
      </Form>
    </Box>
  );
}
