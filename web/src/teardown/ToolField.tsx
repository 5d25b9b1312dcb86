import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';

/** What is taken into the hand, several with commas between; the shop's own tools are offered, and what a tool must be besides is a press. */
export function ToolField({ tool, set }: { tool: string; set: (tool: string) => void }) {
  const { data: own = [] } = useQuery({
    queryKey: answers.tools(),
    queryFn: () => answer(api.GET('/api/tools')),
  });
  const words = tool.toLowerCase().split(/[\s,;]+/);
  const turned = (trait: string) =>
    words.includes(trait)
      ? tool.replace(new RegExp(`\\s*\\b${trait}\\b`, 'gi'), '')
      : `${tool.trim()} ${trait}`;
  return (
    <Box>
      <Text
        label="Tool (empty: bare hands)"
        compact
        placeholder="PH1 long, hook"
        list="tools"
        value={tool}
        onChange={({ target }) => set(target.value)}
      />
      <datalist id="tools">
        {own.map(({ called }) => (
          <option key={called} value={called} />
        ))}
      </datalist>
      {tool.trim() && (
        <Box display="flex" gap="4px" mt="4px" role="group" aria-label="What the tool must be besides">
          {Object.values(floor.Trait).map((trait) => (
            <Chip key={trait} on={words.includes(trait)} onClick={() => set(turned(trait))}>
              {trait}
            </Chip>
          ))}
        </Box>
      )}
    </Box>
  );
}
