import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Chip } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { toggled } from './toggled';

type Step = Schemas['StepSaid'];

/** What can be reached once a step is done; a new component is made by writing its name. */
export function Exposes({
  step,
  model,
  components,
  set,
}: {
  step: Step;
  model: number;
  components: Schemas['ModelComponent'][];
  set: (part: Partial<Step>) => void;
}) {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const add = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/models/{model}/components', { params: { path: { model } }, body: { name } })),
    onSuccess: async (added) => {
      await client.invalidateQueries({ queryKey: answers.model(model) });
      set({ exposes: [...step.exposes.filter((one) => one !== added.id), added.id] });
      setName('');
    },
  });
  return (
    <Box display="flex" gap="6px" flexWrap="wrap">
      {components.map((component) => (
        <Chip
          key={component.id}
          on={step.exposes.includes(component.id)}
          onClick={() => set({ exposes: toggled(step.exposes, component.id) })}
        >
          {component.name}
        </Chip>
      ))}
      <chakra.input
        aria-label="Another component"
        placeholder="another component, Enter"
        value={name}
        w="210px"
        px="6px"
        minH="34px"
        border="1px dashed"
        borderColor="edge"
        borderRadius="sm"
        bg="field"
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && name.trim()) {
            event.preventDefault();
            add.mutate();
          }
        }}
      />
      <Trouble error={add.error} />
    </Box>
  );
}
