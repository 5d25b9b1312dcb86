import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { span } from '../api/words';

type Advice = Schemas['CheckAdvice'];

/** What tells most for each minute: three at most, each with why. */
export function NextChecks({
  next,
  atCounter,
  act,
}: {
  next: Advice[];
  atCounter?: boolean;
  act: (advice: Advice) => ReactNode;
}) {
  return (
    <Box role="group" aria-label="Look at first">
      <chakra.h2>{atCounter ? 'Ask or look at first' : 'Look at next'}</chakra.h2>
      {next.length === 0 && (
        <Box color="muted" fontSize="sm">
          Nothing cheap would tell more now.
        </Box>
      )}
      {next.map((advice) => (
        <Box key={advice.what} borderLeft="4px solid" borderColor="tape" pl="10px" py="3px" mt="6px">
          <Box display="flex" gap="10px" justifyContent="space-between" alignItems="center">
            <Box minW={0}>
              <b>{words(advice, atCounter)}</b> · {span(advice.minutes)}
              {advice.onTheWay.length > 0 && (
                <Box fontSize="sm">on the way, look at the {advice.onTheWay.join(' and the ')}</Box>
              )}
              <Box color="muted" fontSize="xs">
                {why(advice)}
              </Box>
            </Box>
            <Box display="flex" gap="4px" flexShrink={0}>
              {act(advice)}
            </Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function words({ what, ask, how }: Advice, atCounter?: boolean): string {
  if (ask) {
    return atCounter ? `Ask: ${what}?` : `Try: ${what}?`;
  }
  return `${how === 'MEASURED' ? 'Measure' : 'Look at'} the ${what}`;
}

function why({ settles, likely, ask }: Advice): string {
  const [first, second] = settles;
  const of = first && second && first.component !== second.component;
  const splits = of
    ? `tells ${first.component} from ${second.component}`
    : first
      ? `settles the ${first.component}`
      : '';
  return `${splits}${splits && '; '}${ask ? 'so' : 'bad'} in ${Math.round(100 * likely)} of 100`;
}
