import { Box, chakra } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor, rules } from '../api/enumWords';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { quantity } from '../typed/quantity';
import { DarkChip } from './DarkChip';
import type { Bench, Press } from './press';

type Head = Schemas['FastenerGroup']['head'];
type Finish = Schemas['FastenerGroup']['finish'];
const HEADS = (Object.keys(floor.Head) as Head[]).filter(
  (head) => !(rules.threadless as readonly Head[]).includes(head),
);
const FINISHES: Finish[] = ['BLACK', 'SILVER', 'BRASS'];

/** A screw is left over: say what is seen and measured, and the open places that it may belong to are ranked. */
export function WhatIsIt({
  bench,
  press,
  busy,
  leave,
}: {
  bench: Bench;
  press: (press: Press) => void;
  busy: boolean;
  leave: () => void;
}) {
  const [head, setHead] = useState<Head>();
  const [finish, setFinish] = useState<Finish>();
  const [said, say] = useState({ lengthMm: '', diameterMm: '', threads: '', overMm: '' });
  const number = (text: string) => quantity(text, 'mm');
  const ask = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/jobs/{job}/bench/what-is-it', {
          params: { path: { job: bench.unit.jobId } },
          body: {
            head,
            finish,
            lengthMm: number(said.lengthMm),
            diameterMm: number(said.diameterMm),
            threads: number(said.threads),
            overMm: number(said.overMm),
          },
        }),
      ),
  });
  const field = (name: keyof typeof said, label: string, first = false) => (
    <Text
      label={label}
      compact
      inputMode="decimal"
      autoFocus={first}
      value={said[name]}
      onChange={(event) => say({ ...said, [name]: event.target.value })}
    />
  );
  return (
    <chakra.form
      display="grid"
      gap="9px"
      aria-label="What is this screw?"
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate();
      }}
    >
      <chakra.h1 fontSize="3xl">What is this screw?</chakra.h1>
      <Box color="chalkDust" fontSize="md">
        Say what you see; what you do not know stays empty.
      </Box>
      <Dark all={HEADS} words={(one) => floor.Head[one]} picked={head} pick={setHead} />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        {field('lengthMm', 'Length under the head, mm', true)}
        {field('diameterMm', 'Diameter, mm')}
        {field('threads', 'Threads counted')}
        {field('overMm', 'over how many mm')}
      </Box>
      <Dark all={FINISHES} words={(one) => floor.Finish[one]} picked={finish} pick={setFinish} />
      <Trouble error={ask.error} />
      <Box display="flex" gap="9px">
        <Act look="benchMain" type="submit" flex="1" minH="52px" disabled={ask.isPending}>
          Where does it belong?
        </Act>
        <Act look="bench" minH="52px" onClick={leave}>
          Leave it
        </Act>
      </Box>
      {ask.data && (
        <Box aria-live="polite" display="grid" gap="7px">
          <Box fontSize="lg" fontWeight={700}>
            {ask.data.words}
          </Box>
          {ask.data.fits.map((match) => (
            <Fit key={match.group.id} match={match} bench={bench} press={press} busy={busy} />
          ))}
        </Box>
      )}
    </chakra.form>
  );
}

function Dark<T extends string>({
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
  press: (press: Press) => void;
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
        {match.agrees.length > 0 && `agrees: ${match.agrees.join(', ')}`}
        {match.differs.length > 0 && ` · differs: ${match.differs.join(', ')}`}
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
