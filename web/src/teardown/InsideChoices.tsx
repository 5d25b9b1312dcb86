import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { Chip } from '../parts/Buttons';

/** Parts that are models of their own: which variant to plan with, or not to go into it. */
export function InsideChoices({
  choices,
  choose,
}: {
  choices: Schemas['Choice'][];
  choose: (component: number, revision?: number) => void;
}) {
  return (
    <>
      {choices.map((choice) => (
        <Box key={choice.component} mt="14px" role="group" aria-label={`Inside the ${choice.name}`}>
          <chakra.h2>Inside the {choice.name}</chakra.h2>
          <Box color="muted" fontSize="sm">
            It is a {choice.model}. Say which, and the way goes on into it.
          </Box>
          <Box display="flex" flexWrap="wrap" gap="5px" mt="4px">
            <Chip on={choice.fitted === undefined} onClick={() => choose(choice.component)}>
              as one piece
            </Chip>
            {choice.variants.map((variant) => (
              <Chip
                key={variant.revision}
                on={choice.fitted === variant.revision}
                disabled={variant.notes === 0}
                onClick={() => choose(choice.component, variant.revision)}
              >
                {variant.name}
                {variant.notes === 0 ? ' · no notes yet' : variant.tellApart && ` · ${variant.tellApart}`}
              </Chip>
            ))}
          </Box>
        </Box>
      ))}
    </>
  );
}
