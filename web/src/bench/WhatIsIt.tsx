import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { floor, rules } from '../api/enumWords';
import { figures } from '../api/shopWide';
import { Form, Sends } from '../form/Form';
import { QuantityIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { DarkChip } from './DarkChip';
import type { Bench, Presses } from './press';

type Head = NonNullable<Schemas['FastenerGroup']['head']>;
type Finish = NonNullable<Schemas['FastenerGroup']['finish']>;
export const HEADS = (Object.keys(floor.Head) as Head[]).filter(
  (head) => !(rules.threadless as readonly Head[]).includes(head),
);
export const FINISHES: Finish[] = ['BLACK', 'SILVER', 'BRASS'];

type Seen = {
  head?: Head;
  finish?: Finish;
  lengthMm: string;
  diameterMm: string;
  threads: string;
  overMm: string;
};
const SEEN: Seen = { lengthMm: '', diameterMm: '', threads: '', overMm: '' };
const measured = z.object({
  head: z.custom<Head>().optional(),
  finish: z.custom<Finish>().optional(),
  lengthMm: said.quantityIfAny('mm'),
  diameterMm: said.quantityIfAny('mm'),
  threads: said.quantityIfAny(''),
  overMm: said.quantityIfAny('mm'),
});

/** A screw is left over: say what is seen and measured, and the open places that it may belong to are ranked. */
export function WhatIsIt({
  bench,
  press,
  busy,
  leave,
}: {
  bench: Bench;
  press: Presses;
  busy: boolean;
  leave: () => void;
}) {
  const [fits, setFits] = useState<Schemas['Answer']>();
  // What was asked fills the screen: the answer comes into sight by itself.
  const answered = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (fits) {
      answered.current?.scrollIntoView({ block: 'start' });
    }
  }, [fits]);
  const form = useSending({
    blank: SEEN,
    check: measured,
    send: (body) =>
      answer(
        api.POST('/api/jobs/{job}/bench/what-is-it', { params: { path: { job: bench.unit.jobId } }, body }),
      ),
    done: setFits,
    leave,
  });
  const { head, finish } = form.value;
  return (
    <Form of={form} name="What is this screw?" gap="9px">
      <chakra.h1 fontSize="3xl">What is this screw?</chakra.h1>
      <Box color="chalkDust" fontSize="md">
        Say what you see; what you do not know stays empty.
      </Box>
      <Dark
        all={HEADS}
        words={(one) => floor.Head[one]}
        picked={head}
        pick={(one) => form.put('head', one)}
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <QuantityIn of={form} at="lengthMm" label="Length under the head, mm" compact unit="mm" />
        <QuantityIn of={form} at="diameterMm" label="Diameter, mm" compact unit="mm" />
        <QuantityIn of={form} at="threads" label="Threads counted" compact unit="" />
        <QuantityIn of={form} at="overMm" label="over how many mm" compact unit="mm" />
      </Box>
      <Dark
        all={FINISHES}
        words={(one) => floor.Finish[one]}
        picked={finish}
        pick={(one) => form.put('finish', one)}
      />
      <Sends of={form} bench go="Where does it belong?" />
      {fits && (
        <Box ref={answered} aria-live="polite" display="grid" gap="7px">
          <Box fontSize="lg" fontWeight={700}>
            {figures(fits.words)}
          </Box>
          {fits.fits.map((match) => (
            <Fit key={match.group.id} match={match} bench={bench} press={press} busy={busy} />
          ))}
        </Box>
      )}
    </Form>
  );
}

export function Dark<T extends string>({
  all,
  words,
  picked,
  pick,
}: {
  all: T[];
  words: (one: T) => string;
  picked?: T;
  pick: (one?: T) => void;
}) {
  return (
    <Box display="flex" flexWrap="wrap" gap="6px">
      {all.map((one) => (
        <DarkChip key={one} on={picked === one} pick={() => pick(picked === one ? undefined : one)}>
          {words(one)}
        </DarkChip>
      ))}
    </Box>
  );
}

/** One place it may belong to; if one of that place lies in the tray or is lost, it goes in with one key. */
function Fit({
  match,
  bench,
  press,
  busy,
}: {
  match: Schemas['Match'];
  bench: Bench;
  press: Presses;
  busy: boolean;
}) {
  const thing = bench.way.steps.flatMap((step) => step.things).find((one) => one.id === match.group.id);
  const from = (['LOST', 'TRAY', 'MISSING_ON_ARRIVAL'] as const).find(
    (account) => (thing?.accounts[account] ?? 0) > 0,
  );
  return (
    <Box border="1px solid" borderColor="matLine" borderRadius="sm" p="8px 12px">
      <b>{match.group.label}</b>, {match.open} open
      <Box fontSize="sm" color="chalkDust">
        {match.agrees.length > 0 && figures(`agrees: ${match.agrees.join(', ')}`)}
        {match.differs.length > 0 && figures(` · differs: ${match.differs.join(', ')}`)}
      </Box>
      {from && (
        <Act
          look="bench"
          minH="44px"
          mt="5px"
          disabled={busy}
          onClick={() =>
            press({
              act: 'move',
              move: {
                thing: match.group.id,
                from,
                to: from === 'TRAY' ? 'FITTED' : 'TRAY',
                count: 1,
                reason: 'known by its measures',
              },
            })
          }
        >
          {from === 'TRAY' ? 'It goes in there now' : 'It is that one: to the mat'}
        </Act>
      )}
    </Box>
  );
}
