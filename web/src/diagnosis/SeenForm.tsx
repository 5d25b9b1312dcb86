import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { OneOf } from '../parts/OneOf';
import { Trouble } from '../parts/States';
import { useModel } from '../teardown/useModel';

type Means = Schemas['ComponentSeen']['means'];

/** A component seen good or bad, and how one knows: a look is not a measurement. */
export function SeenForm({ job, modelId, done }: { job: number; modelId: number; done: () => void }) {
  const model = useModel(modelId);
  const [component, setComponent] = useState<number>();
  const [means, setMeans] = useState<Means>('LOOKED');
  const [words, setWords] = useState('');
  const write = useJobWrite(
    (good: boolean) =>
      answer(
        api.POST('/api/jobs/{job}/looks', {
          params: { path: { job } },
          body: { componentId: component as number, good, means, words },
        }),
      ),
    done,
  );
  return (
    <chakra.form
      aria-label="Seen good or bad"
      border="2px solid"
      borderColor="mat"
      borderRadius="sm"
      p="10px"
      my="6px"
      bg="card"
      display="grid"
      gap="6px"
      onSubmit={(event) => event.preventDefault()}
    >
      <Box display="flex" gap="4px" flexWrap="wrap" role="group" aria-label="Component">
        {model.data?.components.map((one) => (
          <Chip key={one.id} on={component === one.id} onClick={() => setComponent(one.id)}>
            {one.name}
          </Chip>
        ))}
      </Box>
      <OneOf label="How one knows" words={floor.Means} picked={means} pick={(one) => one && setMeans(one)} />
      <Text
        label="Reading or remark"
        compact
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <Box display="flex" gap="6px">
        <Act
          look="main"
          disabled={component === undefined || write.isPending}
          onClick={() => write.mutate(true)}
        >
          Good
        </Act>
        <Act disabled={component === undefined || write.isPending} onClick={() => write.mutate(false)}>
          Bad
        </Act>
        <Act look="quiet" onClick={done}>
          Leave it
        </Act>
      </Box>
      <Trouble error={write.error} />
    </chakra.form>
  );
}
