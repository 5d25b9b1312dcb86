import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Counter } from './Counter';
import type { Bench, Press } from './press';
import { Question } from './Question';

type Props = { bench: Bench; press: (press: Press) => void; busy: boolean };

/** What is so for a test only, and pieces of what broke: entered here, and in the way of closing until put right. */
export function OpenEnds({ bench, press, busy, leave }: Props & { leave: () => void }) {
  const [words, setWords] = useState('');
  const [what, setWhat] = useState('');
  const [expected, setExpected] = useState(1);
  const [found, setFound] = useState(0);
  return (
    <Box display="grid" gap="12px" role="group" aria-label="Open ends">
      <chakra.form
        display="grid"
        gap="8px"
        onSubmit={(event) => {
          event.preventDefault();
          press({ act: 'temporary', words: words.trim() });
        }}
      >
        <chakra.h2 fontSize="xl">For the test only</chakra.h2>
        <Text
          label="What is so for now"
          autoFocus
          placeholder="magnet holds the disc"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <Act look="bench" type="submit" minH="48px" disabled={busy || !words.trim()}>
          List it until it is put right
        </Act>
      </chakra.form>
      <chakra.form
        display="grid"
        gap="8px"
        onSubmit={(event) => {
          event.preventDefault();
          press({ act: 'broken', said: { what: what.trim(), expected, found, explained: '' } });
        }}
      >
        <chakra.h2 fontSize="xl">Something broke into pieces</chakra.h2>
        <Text
          label="Which pieces"
          placeholder="teeth of the loading gear"
          value={what}
          onChange={(event) => setWhat(event.target.value)}
        />
        <Box display="flex" gap="20px">
          <Counter
            label="missing from it"
            value={expected}
            most={99}
            set={(n) => {
              setExpected(Math.max(1, n));
              setFound(Math.min(found, Math.max(1, n)));
            }}
          />
          <Counter label="found" value={found} most={expected} set={setFound} />
        </Box>
        <Act look="bench" type="submit" minH="48px" disabled={busy || !what.trim()}>
          Ask for the rest before closing
        </Act>
      </chakra.form>
      <EndsList bench={bench} press={press} busy={busy} />
      <Act look="bench" minH="48px" onClick={leave}>
        Leave it
      </Act>
    </Box>
  );
}

/** What is still so, each with what puts it right. */
export function EndsList({ bench, press, busy }: Props) {
  const { temporary, fragments } = bench.gate;
  const open = fragments.filter(({ tally }) => tally.found < tally.expected && tally.explained === '');
  if (temporary.length === 0 && open.length === 0) {
    return null;
  }
  return (
    <Box display="grid" gap="7px" role="group" aria-label="To be put right">
      {temporary.map((one) => (
        <Temporary key={one.id} one={one} press={press} busy={busy} />
      ))}
      {open.map(({ id, tally }) => (
        <FragmentsLeft key={`${id} ${tally.found}`} id={id} tally={tally} press={press} busy={busy} />
      ))}
    </Box>
  );
}

/** Put right, or said to stay in until its part comes. */
function Temporary({
  one,
  press,
  busy,
}: {
  one: Bench['gate']['temporary'][number];
  press: (press: Press) => void;
  busy: boolean;
}) {
  const [asked, setAsked] = useState(false);
  if (asked) {
    return (
      <Question
        title={`${one.words}: why does it stay in for now?`}
        usual={['until its part comes', 'the owner needs it meanwhile']}
        go="It stays in for now"
        busy={busy}
        leave={() => setAsked(false)}
        enter={(why) => {
          setAsked(false);
          press({ act: 'stays', temporary: one.id, why });
        }}
      />
    );
  }
  return (
    <Box display="flex" alignItems="center" gap="10px" fontSize="md">
      <Box flex="1">
        {one.stays ? 'For now' : 'For the test only'}: {one.words}
        {one.stays && ` (${one.stays.why})`}
      </Box>
      <Act
        look="bench"
        minH="44px"
        disabled={busy}
        aria-label={`Stays in for now: ${one.words}`}
        onClick={() => setAsked(true)}
      >
        Stays in
      </Act>
      <Act
        look="bench"
        minH="44px"
        disabled={busy}
        aria-label={`Put right: ${one.words}`}
        onClick={() => press({ act: 'putRight', temporary: one.id })}
      >
        Put right
      </Act>
    </Box>
  );
}

function FragmentsLeft({
  id,
  tally,
  press,
  busy,
}: {
  id: number;
  tally: Bench['gate']['fragments'][number]['tally'];
  press: (press: Press) => void;
  busy: boolean;
}) {
  const [where, setWhere] = useState('');
  return (
    <Box border="1px solid" borderColor="matLine" borderRadius="sm" p="8px 12px" display="grid" gap="6px">
      <Box fontSize="md">
        {tally.what}: {tally.found} of {tally.expected} found
      </Box>
      <Box display="flex" gap="8px" flexWrap="wrap" alignItems="end">
        <Act
          look="bench"
          minH="44px"
          disabled={busy}
          onClick={() =>
            press({ act: 'found', fragment: id, said: { found: tally.found + 1, explained: '' } })
          }
        >
          One more found
        </Act>
        <Box flex="1" minW="160px">
          <Text
            label="Or where the rest is"
            compact
            value={where}
            onChange={(event) => setWhere(event.target.value)}
          />
        </Box>
        <Act
          look="bench"
          minH="44px"
          disabled={busy || !where.trim()}
          onClick={() =>
            press({ act: 'found', fragment: id, said: { found: tally.found, explained: where.trim() } })
          }
        >
          That is where
        </Act>
      </Box>
    </Box>
  );
}
