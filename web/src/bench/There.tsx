import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { SayFound } from '../diagnosis/SayFound';
import { useThere } from '../diagnosis/useThere';
import { FindingForm } from '../job/FindingForm';
import { Loaded } from '../parts/States';
import { useGloves } from './device';
import { FoundNow } from './FoundNow';
import { Watch } from './GatePanel';
import type { Bench, Presses } from './press';

/** Where one wanted to get: what is it, what was done, with which part. */
export function There({
  bench,
  press,
  busy,
  unsent,
  title,
  choosing,
}: {
  bench: Bench;
  press: Presses;
  busy: boolean;
  /** what is offered is asked for once all is answered: it goes by what is open */
  unsent: number;
  title: string;
  choosing?: (now: boolean) => void;
}) {
  const job = bench.unit.jobId;
  const there = useThere(job, unsent === 0 ? bench.version : undefined);
  const gloved = useGloves();
  const [typing, setTyping] = useState(false);
  return (
    <>
      <Box>
        <chakra.h1 fontSize="3xl" lineHeight={1.18}>
          {typing ? 'What was found?' : 'What is it?'}
        </chakra.h1>
        <Box fontSize="sm" color="chalkDust">
          {title} Bars: likely; line: how sure we can be; dashed: not in reach.
        </Box>
      </Box>
      {typing ? (
        <Box bg="card" color="ink" borderRadius="sm" p="12px" data-paper="">
          <FindingForm job={job} modelId={bench.unit.modelId} done={() => setTyping(false)} />
        </Box>
      ) : (
        <Loaded query={there}>
          {(now) => (
            <SayFound
              bench
              large={gloved}
              there={now}
              off={busy}
              settling={unsent > 0}
              found={(said) => press({ act: 'finding', said })}
              told={(answers) => {
                for (const said of answers) {
                  press({ act: 'told', said });
                }
              }}
              typed={() => setTyping(true)}
              choosing={choosing}
            />
          )}
        </Loaded>
      )}
      {there.data && !typing && <FoundNow found={there.data.found} />}
      {!typing && <Watch bench={bench} press={press} busy={busy} />}
    </>
  );
}
