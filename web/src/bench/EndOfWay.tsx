import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { useKeys } from '../app/keys';
import { CheckForm } from '../job/CheckForm';
import { Act } from '../parts/Buttons';
import { GatePanel, Watch } from './GatePanel';
import type { Bench, Presses } from './press';
import { Unfinished } from './Unfinished';
import type { Way } from './way';

/** No step left this way: what that means, and what comes next. */
export function EndOfWay({
  bench,
  way,
  press,
  busy,
  again,
}: {
  bench: Bench;
  way: Way;
  press: Presses;
  busy: boolean;
  /** to open it again, if it is closed */
  again?: () => void;
}) {
  if (bench.stand.closed && again) {
    return <Closed bench={bench} again={again} />;
  }
  if (way === 'OUT') {
    return <GatePanel bench={bench} press={press} busy={busy} />;
  }
  const there = bench.run && bench.run.targets.length > 0;
  return (
    <>
      <chakra.h1 fontSize="3xl">
        {there ? 'There: what you came for is open' : 'Open as far as it goes'}
      </chakra.h1>
      <Box fontSize="xl">Find what is wrong, mend it, and turn round for the way out.</Box>
      <Watch bench={bench} press={press} busy={busy} />
    </>
  );
}

/** Closed: what the plan says to try now, and the way back in if it fails. */
function Closed({ bench, again }: { bench: Bench; again: () => void }) {
  const [checking, setChecking] = useState(false);
  const { planned } = bench.gate;
  useKeys([
    { key: 'K', label: 'Enter a check', act: () => setChecking(true), off: checking },
    { key: 'A', label: 'Open it again', act: again, off: checking },
  ]);
  return (
    <>
      <chakra.h1 fontSize="3xl">
        {bench.stand.status.standing === 'CLOSED_FOR_NOW' ? 'It is closed for now' : 'It is closed'}
      </chakra.h1>
      {bench.stand.status.standing === 'CLOSED_FOR_NOW' && (
        <Box fontSize="lg">{bench.stand.status.words}</Box>
      )}
      <Unfinished bench={bench} />
      {bench.stand.reworks.length > 0 && (
        <Box fontSize="md" color="brassLight">
          Opened again {bench.stand.reworks.length === 1 ? 'once' : `${bench.stand.reworks.length} times`}:{' '}
          {bench.stand.reworks.join('; ')}
        </Box>
      )}
      {checking ? (
        <Box bg="card" color="ink" borderRadius="sm" p="12px">
          <CheckForm
            job={bench.unit.jobId}
            stage="AFTER_CLOSING"
            planned={planned}
            done={() => setChecking(false)}
          />
        </Box>
      ) : (
        <>
          <Box fontSize="xl">Try it with the covers on, and say how it went.</Box>
          <Planned planned={planned} />
          <Box mt="auto" display="grid" gap="9px">
            <Act look="benchMain" minH="62px" fontSize="xl" keyName="K" onClick={() => setChecking(true)}>
              Enter a check
            </Act>
            <Act look="bench" minH="48px" keyName="A" onClick={again}>
              Open it again
            </Act>
          </Box>
        </>
      )}
    </>
  );
}

/** The plan, each check with how it stands. */
function Planned({ planned }: { planned: Bench['gate']['planned'] }) {
  if (planned.length === 0) {
    return null;
  }
  return (
    <chakra.ul listStyleType="none" m={0} p={0} fontSize="lg" display="grid" gap="6px" aria-label="The plan">
      {planned.map(({ planned: check, missing }) => (
        <li key={check.what}>
          {missing === '' ? '✓ ' : '· '}
          {check.what}
          {check.times > 1 && `, ${check.times} times`}
          {check.load && `, with ${check.load}`}
        </li>
      ))}
    </chakra.ul>
  );
}
