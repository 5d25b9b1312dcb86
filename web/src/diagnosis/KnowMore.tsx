import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { span } from '../api/words';
import { Act } from '../parts/Buttons';
import { bothWays, type Told } from './told';

/** The check that tells most a minute; its answer moves the bars. */
export function KnowMore({
  next,
  bench,
  large,
  off,
  told,
}: {
  next: Schemas['CheckAdvice'];
  bench?: boolean;
  large?: boolean;
  off?: boolean;
  told: (answers: Told[]) => void;
}) {
  const ways = bothWays(next);
  const verb = next.ask ? 'Try:' : next.how === 'MEASURED' ? 'Measure the' : 'Look at the';
  return (
    <Box
      role="group"
      aria-label="Or know more first"
      borderLeft="4px solid"
      borderColor="tape"
      pl="10px"
      display="grid"
      gridTemplateColumns="1fr auto"
      gap="10px"
      alignItems="center"
    >
      <Box>
        <b>
          Or know more first: {verb} {next.what}
          {next.ask && '?'}
        </b>
        <Box fontSize="sm" color={bench ? 'chalkDust' : 'muted'}>
          {span(next.minutes)}; {next.ask ? 'so' : 'bad'} in {Math.round(100 * next.likely)} of 100
        </Box>
      </Box>
      <Box display="flex" gap="6px">
        {ways.map((way, n) => (
          <Act
            key={way.label}
            look={bench ? 'bench' : 'plain'}
            minH="56px"
            h={large ? '96px' : undefined}
            keyName={n === 0 ? 'Y' : 'L'}
            disabled={off}
            onClick={() => told([way.told])}
          >
            {way.label}
          </Act>
        ))}
      </Box>
    </Box>
  );
}
