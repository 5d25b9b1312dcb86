import { Box, chakra } from '@chakra-ui/react';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { CheckKeys } from './CheckKeys';
import { GatePanel } from './GatePanel';
import type { Bench, Presses } from './press';
import { There } from './There';
import { Unfinished } from './Unfinished';
import type { Way } from './way';

/** No step left this way: what that means, and what comes next. */
export function EndOfWay({
  bench,
  way,
  press,
  busy,
  unsent,
  again,
  choosing,
}: {
  bench: Bench;
  way: Way;
  press: Presses;
  busy: boolean;
  unsent: number;
  /** to open it again, if it is closed */
  again?: () => void;
  choosing?: (now: boolean) => void;
}) {
  if (bench.stand.closed && again) {
    return <Closed bench={bench} press={press} busy={busy} again={again} />;
  }
  if (way === 'OUT' && unsent > 0) {
    // What is in the way of closing only the shop knows: nothing older is shown in its place.
    return (
      <Box role="status">
        <chakra.h1 fontSize="3xl">Back, as pressed</chakra.h1>
        <Box fontSize="lg">
          What still stands in the way of closing is told once the shop has heard of it.
        </Box>
      </Box>
    );
  }
  if (way === 'OUT') {
    return <GatePanel bench={bench} press={press} busy={busy} />;
  }
  const aimed = bench.run && bench.run.targets.length > 0;
  return (
    <There
      bench={bench}
      press={press}
      busy={busy}
      unsent={unsent}
      choosing={choosing}
      title={aimed ? 'There: what you came for is open.' : 'Open as far as it goes.'}
    />
  );
}

/** Closed: what the plan says to try now, and the way back in if it fails. */
function Closed({
  bench,
  press,
  busy,
  again,
}: {
  bench: Bench;
  press: Presses;
  busy: boolean;
  again: () => void;
}) {
  useKeys([{ key: 'A', label: 'Open it again', act: again }]);
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
      <Box fontSize="xl">Try it with the covers on, and say how it went.</Box>
      <Planned planned={bench.gate.planned} />
      <CheckKeys bench={bench} stage="AFTER_CLOSING" press={press} busy={busy} />
      <Act look="bench" minH="56px" mt="auto" keyName="A" onClick={again}>
        Open it again
      </Act>
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
