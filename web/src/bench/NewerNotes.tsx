import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { DarkChip } from './DarkChip';
import type { Bench, Presses } from './press';

type Newer = Schemas['NewerView'];
const LOOKS_AGAIN_MS = 60_000;

/** The notes were made better while this unit lies open: it goes on by them with one key, once what they lack is said; or stays with its own. */
export function NewerNotes({ bench, press, busy }: { bench: Bench; press: Presses; busy: boolean }) {
  const job = bench.unit.jobId;
  const [left, setLeft] = useState(0);
  const query = useQuery({
    queryKey: answers.newerNotes(job, bench.unit.notes),
    queryFn: () => answer(api.GET('/api/jobs/{job}/bench/notes/newer', { params: { path: { job } } })),
    refetchInterval: LOOKS_AGAIN_MS,
  });
  const newer = query.data?.newer;
  if (!newer || newer.number === left) {
    return null;
  }
  return (
    <Box
      role="group"
      aria-label="Newer notes"
      borderLeft="5px solid"
      borderColor="brassLight"
      pl="12px"
      display="grid"
      gap="7px"
    >
      <chakra.b fontSize="lg">The notes are better now than when this was opened.</chakra.b>
      <chakra.ul listStyleType="none" m={0} p={0} fontSize="sm" maxH="92px" overflowY="auto">
        {newer.changes.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </chakra.ul>
      {newer.trouble ? <Box>It cannot go on by them: {newer.trouble}</Box> : null}
      <Answers newer={newer} press={press} busy={busy} leave={() => setLeft(newer.number)} />
    </Box>
  );
}

/** What the newer notes lack, each with what it may be in them. */
function Answers({
  newer,
  press,
  busy,
  leave,
}: {
  newer: Newer;
  press: Presses;
  busy: boolean;
  leave: () => void;
}) {
  const [said, setSaid] = useState<Record<string, string>>({});
  const of = (step: boolean) =>
    Object.fromEntries(
      newer.asks
        .filter((ask) => ask.step === step && said[ask.id] !== undefined)
        .map((ask) => [ask.id, said[ask.id] as string]),
    );
  return (
    <>
      {newer.asks.map((ask) => (
        <Box key={`${ask.step} ${ask.id}`} role="group" aria-label={ask.words}>
          <Box fontSize="md">{ask.words}: what is it in the newer notes?</Box>
          <Box display="flex" gap="6px" flexWrap="wrap" maxH="150px" overflowY="auto">
            {ask.choices.map((choice) => (
              <DarkChip
                key={choice.id}
                on={said[ask.id] === choice.id}
                pick={() => setSaid({ ...said, [ask.id]: choice.id })}
              >
                {choice.words}
              </DarkChip>
            ))}
          </Box>
        </Box>
      ))}
      <Box display="flex" gap="9px">
        {!newer.trouble && (
          <Act
            look="bench"
            minH="48px"
            disabled={busy || newer.asks.some((ask) => said[ask.id] === undefined)}
            onClick={() => press({ act: 'newer', said: { steps: of(true), things: of(false) } })}
          >
            Go on by them
          </Act>
        )}
        <Act look="bench" minH="48px" onClick={leave}>
          Stay with its own
        </Act>
      </Box>
    </>
  );
}
