import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { z } from 'zod';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Counter } from './Counter';
import { type Bench, type Presses, through } from './press';
import { Question } from './Question';

type Props = { bench: Bench; press: Presses; busy: boolean };

const forTest = z.object({ words: said.words('Say what is so for now') });
const broke = z.object({
  what: said.words('Say which pieces'),
  expected: z.number(),
  found: z.number(),
});

/** What is so for a test only, and pieces of what broke: entered here, and in the way of closing until put right. */
export function OpenEnds({ bench, press, busy, leave }: Props & { leave: () => void }) {
  const { jobId } = bench.unit;
  const temporary = useSending({
    blank: { words: '' },
    check: forTest,
    kept: `temporary ${jobId}`,
    send: ({ words }) => through(press({ act: 'temporary', words })),
    leave,
  });
  const broken = useSending({
    blank: { what: '', expected: 1, found: 0 },
    check: broke,
    kept: `broken ${jobId}`,
    send: (now) => through(press({ act: 'broken', said: { ...now, explained: '' } })),
    leave,
  });
  const { expected, found } = broken.value;
  return (
    <Box display="grid" gap="12px" role="group" aria-label="Open ends">
      <Form of={temporary} quiet>
        <chakra.h2 fontSize="xl">For the test only</chakra.h2>
        <TextIn of={temporary} at="words" label="What is so for now" placeholder="magnet holds the disc" />
        <Act look="bench" type="submit" minH="48px" disabled={busy}>
          List it until it is put right
        </Act>
      </Form>
      <Form of={broken} quiet first={false}>
        <chakra.h2 fontSize="xl">Something broke into pieces</chakra.h2>
        <TextIn of={broken} at="what" label="Which pieces" placeholder="teeth of the loading gear" />
        <Box display="flex" gap="20px">
          <Counter
            label="missing from it"
            value={expected}
            most={99}
            set={(n) => broken.set({ expected: Math.max(1, n), found: Math.min(found, Math.max(1, n)) })}
          />
          <Counter label="found" value={found} most={expected} set={(n) => broken.put('found', n)} />
        </Box>
        <Act look="bench" type="submit" minH="48px" disabled={busy}>
          Ask for the rest before closing
        </Act>
      </Form>
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
  press: Presses;
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
        enter={(why) => press({ act: 'stays', temporary: one.id, why })}
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

const rest = z.object({ where: said.words('Say where the rest is') });

function FragmentsLeft({
  id,
  tally,
  press,
  busy,
}: {
  id: number;
  tally: Bench['gate']['fragments'][number]['tally'];
  press: Presses;
  busy: boolean;
}) {
  const form = useSending({
    blank: { where: '' },
    check: rest,
    send: ({ where }) =>
      through(press({ act: 'found', fragment: id, said: { found: tally.found, explained: where } })),
  });
  return (
    <Form
      of={form}
      name={tally.what}
      quiet
      first={false}
      border="1px solid"
      borderColor="matLine"
      borderRadius="sm"
      p="8px 12px"
      gap="6px"
    >
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
          <TextIn of={form} at="where" label="Or where the rest is" compact />
        </Box>
        <Act look="bench" type="submit" minH="44px" disabled={busy}>
          That is where
        </Act>
      </Box>
    </Form>
  );
}
