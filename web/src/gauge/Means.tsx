import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Pick } from '../parts/Fields';
import { useModel } from '../teardown/useModel';
import type { Judged } from './Frame';

/**
 * What a reading speaks of, and by one key what it means: kept, it is evidence. What cannot be told of it is no evidence, and has no
 * key.
 */
export function Means({
  modelId,
  component,
  pick,
  verdict,
  off,
  say,
}: {
  modelId: number;
  component?: number;
  pick: (component: string) => void;
  verdict?: Judged;
  off: boolean;
  say: (good: boolean) => void;
}) {
  const model = useModel(modelId);
  const components: Schemas['ModelComponent'][] = model.data?.components ?? [];
  const name = components.find((one) => one.id === component)?.name;
  const good = verdict === 'GOOD';
  const told = name !== undefined && (good || verdict === 'BAD');
  const key = good ? 'G' : 'B';
  useKeys(
    told ? [{ key, label: `It means: ${name} ${good ? 'good' : 'bad'}`, act: () => say(good), off }] : [],
  );
  return (
    <Box display="grid" gridTemplateColumns="1fr 1fr" gap="6px" alignItems="end">
      <Pick
        label="It speaks of"
        compact
        value={component ?? ''}
        onChange={(event) => pick(event.target.value)}
      >
        <option value="">nothing said</option>
        {components.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </Pick>
      {told && (
        <Act
          keyName={key}
          disabled={off}
          borderColor={good ? 'mat' : 'hazard'}
          color={good ? 'mat' : 'hazard'}
          onClick={() => say(good)}
        >
          {name} {good ? 'good' : 'bad'}
        </Act>
      )}
    </Box>
  );
}
