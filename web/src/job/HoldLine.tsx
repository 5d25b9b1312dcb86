import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { moment } from '../api/words';
import { WaitRing } from '../drawing/WaitRing';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { Line, Who } from './Line';

type Answer = NonNullable<Schemas['EndSaid']['answer']>;

/** A wait: how long it lasts, what it asks when its time is over, and how a lead ends it before. */
export function HoldLine({ hold, active, asks, here }: Schemas['HoldOnSheet'] & { here: boolean }) {
  const [early, setEarly] = useState(false);
  const [why, setWhy] = useState('');
  const end = useJobWrite((answered: Answer) =>
    answer(
      api.POST('/api/holds/{hold}/end', {
        params: { path: { hold: hold.id } },
        body: { answer: answered, why },
      }),
    ),
  );
  const timed = hold.until !== undefined;
  return (
    <>
      <Line
        act={
          here && active && !hold.caution ? (
            <Act
              minH="32px"
              disabled={end.isPending}
              onClick={() => (timed ? setEarly(true) : end.mutate('YES'))}
            >
              {timed ? 'End it early' : 'It is over'}
            </Act>
          ) : undefined
        }
      >
        <chakra.span color={active || asks ? 'amber' : 'muted'} fontWeight={active || asks ? 700 : 400}>
          {floor.HoldKind[hold.kind]}
        </chakra.span>
        : {hold.why}
        {active ? hold.until && `, until ${moment(hold.until)}` : asks ? '' : ', over'}
        {active && hold.caution && ' (a caution: it cannot be shortened)'}{' '}
        {active && hold.until && <WaitRing from={hold.from} until={hold.until} size={44} />}
        <Who by={hold.by} at={hold.from} />
      </Line>
      {asks && here && (
        <Box
          role="group"
          aria-label={asks}
          display="flex"
          gap="8px"
          alignItems="center"
          flexWrap="wrap"
          pb="6px"
        >
          <b>{asks}</b>
          {(['YES', 'NOT_YET', 'NO'] as Answer[]).map((one) => (
            <Act
              key={one}
              look={one === 'YES' ? 'main' : 'plain'}
              minH="44px"
              disabled={end.isPending}
              onClick={() => end.mutate(one)}
            >
              {floor.HoldAnswer[one]}
            </Act>
          ))}
        </Box>
      )}
      {early && active && (
        <chakra.form
          display="flex"
          gap="8px"
          alignItems="end"
          pb="6px"
          aria-label="End it early"
          onSubmit={(event) => {
            event.preventDefault();
            end.mutate('YES');
          }}
        >
          <Text
            label="A lead ends it before its time, because"
            compact
            autoFocus
            value={why}
            onChange={(event) => setWhy(event.target.value)}
          />
          <Act type="submit" disabled={end.isPending || !why.trim()}>
            End it
          </Act>
        </chakra.form>
      )}
      <Trouble error={end.error} />
    </>
  );
}
