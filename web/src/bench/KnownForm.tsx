import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { z } from 'zod';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { howMany } from '../drawing/howMany';
import { Form, Sends } from '../form/Form';
import { QuantityIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { DarkChip } from './DarkChip';
import { inAccount } from './heaps';
import { type Bench, type Presses, through } from './press';
import { Dark, FINISHES, HEADS } from './WhatIsIt';

type Thing = Schemas['ThingView'];
type Known = Schemas['KnownSaid'];
const THREADS: NonNullable<Known['thread']>[] = ['MACHINE', 'TAPPING'];

/** What lies on the mat, what nobody has counted or measured first, and then what came off last. */
function onTheMat(bench: Bench): Thing[] {
  const lying = [...bench.way.steps]
    .reverse()
    .filter((step) => step.open)
    .flatMap((step) => step.things.filter((thing) => inAccount(thing, 'TRAY') > 0));
  return [...lying].sort((one, other) => Number(other.notKnown.length > 0) - Number(one.notKnown.length > 0));
}

/** Count and measure what lies there: the ledger goes by the count, and both are proposed for the notes. */
export function KnownForm({ bench, press, leave }: { bench: Bench; press: Presses; leave: () => void }) {
  const things = onTheMat(bench);
  const [picked, setPicked] = useState(things[0]?.id);
  const thing = things.find((one) => one.id === picked);
  return (
    <Box display="grid" gap="9px">
      <chakra.h1 fontSize="3xl">Count and measure</chakra.h1>
      {things.length === 0 && <Box fontSize="lg">Nothing lies on the mat.</Box>}
      <Box display="flex" flexWrap="wrap" gap="6px" role="group" aria-label="Which?">
        {things.map((one) => (
          <DarkChip key={one.id} on={one.id === picked} pick={() => setPicked(one.id)}>
            {howMany(one, inAccount(one, 'TRAY'))}
          </DarkChip>
        ))}
      </Box>
      {thing && <Values key={thing.id} bench={bench} thing={thing} press={press} leave={leave} />}
    </Box>
  );
}

type Typed = Omit<Known, 'thing' | 'lying' | 'diameterMm' | 'lengthMm'> & {
  lying: string;
  diameterMm: string;
  lengthMm: string;
};
const NOTHING: Typed = { lying: '', diameterMm: '', lengthMm: '' };

const known = z.object({
  lying: said.quantityIfAny(''),
  head: z.custom<Known['head']>().optional(),
  thread: z.custom<Known['thread']>().optional(),
  finish: z.custom<Known['finish']>().optional(),
  diameterMm: said.quantityIfAny('mm'),
  lengthMm: said.quantityIfAny('mm'),
});

function Values({
  bench,
  thing,
  press,
  leave,
}: {
  bench: Bench;
  thing: Thing;
  press: Presses;
  leave: () => void;
}) {
  const lies = inAccount(thing, 'TRAY');
  const form = useSending({
    blank: NOTHING,
    check: known,
    kept: `known ${bench.unit.jobId} ${thing.id}`,
    send: (body) => through(press({ act: 'known', said: { ...body, thing: thing.id } })),
    done: leave,
    leave,
  });
  const asks = (what: Thing['notKnown'][number]) => thing.notKnown.includes(what);
  const { value } = form;
  return (
    <Form of={form} name={thing.label} gap="9px">
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="8px" alignItems="start">
        <QuantityIn
          of={form}
          at="lying"
          label="How many lie there"
          unit=""
          hint={thing.counted ? `${lies} by the notes` : 'nobody has counted'}
        />
        {asks('DIAMETER') && <QuantityIn of={form} at="diameterMm" label="Diameter, mm" unit="mm" />}
        {asks('LENGTH') && <QuantityIn of={form} at="lengthMm" label="Length under the head, mm" unit="mm" />}
      </Box>
      {thing.counted && (
        <Box>
          <DarkChip on={false} pick={() => form.put('lying', String(lies + 1))}>
            one more than the notes say
          </DarkChip>
        </Box>
      )}
      {asks('HEAD') && (
        <Dark
          all={HEADS}
          words={(one) => floor.Head[one]}
          picked={value.head}
          pick={(one) => form.put('head', one)}
        />
      )}
      {asks('THREAD') && (
        <Dark
          all={THREADS}
          words={(one) => floor.ThreadForm[one]}
          picked={value.thread}
          pick={(one) => form.put('thread', one)}
        />
      )}
      {asks('FINISH') && (
        <Dark
          all={FINISHES}
          words={(one) => floor.Finish[one]}
          picked={value.finish}
          pick={(one) => form.put('finish', one)}
        />
      )}
      <Sends of={form} bench go="Enter it, and propose it for the notes" />
    </Form>
  );
}
