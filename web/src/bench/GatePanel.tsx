import { Box, chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import { Act } from '../parts/Buttons';
import { CheckKeys } from './CheckKeys';
import { EndsList } from './OpenEnds';
import type { Bench, Presses } from './press';

/** All steps are back: what still stands between the unit and its closing, and what to look at once more. */
export function GatePanel({ bench, press, busy }: { bench: Bench; press: Presses; busy: boolean }) {
  const { gate } = bench;
  const clear = gate.reasons.length === 0;
  return (
    <>
      <chakra.h1 fontSize="3xl">{clear ? 'All back in' : 'Not yet'}</chakra.h1>
      {clear ? (
        <Box fontSize="xl">Everything is accounted for. Close it up.</Box>
      ) : (
        <chakra.ul
          listStyleType="none"
          m={0}
          p={0}
          fontSize="lg"
          display="grid"
          gap="7px"
          aria-label="In the way of closing"
        >
          {gate.reasons.map((reason) => (
            <chakra.li key={reason} borderLeft="5px solid" borderColor="hazardLight" pl="12px">
              {reason}
            </chakra.li>
          ))}
        </chakra.ul>
      )}
      {gate.planned.some((one) => one.missing !== '') && (
        <CheckKeys bench={bench} stage="BEFORE_CLOSING" press={press} busy={busy} />
      )}
      {gate.notTested.length > 0 && (
        <Box fontSize="md" color="brassLight" role="group" aria-label="Not tested">
          <b>Not tested</b>
          {gate.notTested.map((line) => (
            <Box key={line}>{line}</Box>
          ))}
        </Box>
      )}
      {gate.sinceArrival.length > 0 && (
        <Box fontSize="md" role="group" aria-label="Against how it came">
          {gate.sinceArrival.map((line) => (
            <Box key={line}>{line}</Box>
          ))}
        </Box>
      )}
      <EndsList bench={bench} press={press} busy={busy} />
      <Unsaid bench={bench} press={press} busy={busy} />
      <Watch bench={bench} press={press} busy={busy} />
      {gate.bothWays.length > 0 && (
        <Box fontSize="md" role="group" aria-label="The way out against the way in">
          <chakra.b color="brassLight">The way out against the way in</chakra.b>
          {gate.bothWays.map((line) => (
            <Box key={line}>{line}</Box>
          ))}
        </Box>
      )}
    </>
  );
}

/** What a finding and the ledger could not tell one another: asked once, and the notes know it from then on. */
export function Unsaid({ bench, press, busy }: { bench: Bench; press: Presses; busy: boolean }) {
  const { borneBy, brokenUnsaid } = bench.gate;
  return (
    <>
      {borneBy.map((asked) => (
        <Box key={asked.component} role="group" aria-label={`Which of these is the ${asked.name}?`}>
          <chakra.b color="brassLight" fontSize="md">
            The {asked.name} was replaced. Which of these is it?
          </chakra.b>
          <Box display="flex" gap="8px" flexWrap="wrap" mt="4px">
            {asked.things.map((one) => (
              <Act
                key={one.thing}
                look="bench"
                minH="44px"
                disabled={busy}
                onClick={() => press({ act: 'bears', component: asked.component, thing: one.thing })}
              >
                {one.label}
              </Act>
            ))}
            <Act
              look="bench"
              minH="44px"
              disabled={busy}
              onClick={() => press({ act: 'bears', component: asked.component })}
            >
              none of them
            </Act>
          </Box>
        </Box>
      ))}
      {brokenUnsaid.length > 0 && (
        <Box fontSize="md" role="group" aria-label="Broken, and no finding yet">
          <chakra.b color="brassLight">Broken, and nobody has said why</chakra.b>
          {brokenUnsaid.map((label) => (
            <Box key={label}>{label}</Box>
          ))}
          <Link to={`/jobs/${bench.unit.jobId}`}>
            <chakra.span textDecoration="underline">Write down the finding</chakra.span>
          </Link>
        </Box>
      )}
    </>
  );
}

/** What this shop often finds on this revision and nobody has looked at yet. */
export function Watch({ bench, press, busy }: { bench: Bench; press: Presses; busy: boolean }) {
  const open = bench.gate.watch.filter((one) => !one.looked);
  if (open.length === 0) {
    return null;
  }
  return (
    <Box display="grid" gap="6px" role="group" aria-label="Often wrong here">
      <chakra.b color="brassLight" fontSize="md">
        Often wrong on this one, not looked at yet
      </chakra.b>
      {open.map((one) => (
        <Box key={one.component} display="flex" alignItems="center" gap="10px" fontSize="md">
          <Box flex="1">{one.words}</Box>
          <Act
            look="bench"
            minH="44px"
            disabled={busy}
            aria-label={`Looked, good: ${one.words}`}
            onClick={() => press({ act: 'looked', component: one.component, good: true })}
          >
            Looked: good
          </Act>
          <Act
            look="bench"
            minH="44px"
            disabled={busy}
            aria-label={`Looked, bad: ${one.words}`}
            onClick={() => press({ act: 'looked', component: one.component, good: false })}
          >
            bad
          </Act>
        </Box>
      ))}
    </Box>
  );
}
