import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useJobWrite } from '../api/useJobWrite';
import { day, moment } from '../api/words';
import { WaitRing } from '../drawing/WaitRing';
import { WhyForm } from '../form/WhyForm';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { Line, Who } from './Line';

type Answer = NonNullable<Schemas['EndSaid']['answer']>;

/** A wait: how long it lasts, what it asks when its time is over, and how a lead ends it before. */
export function HoldLine({ hold, active, asks, expected, here }: Schemas['HoldOnSheet'] & { here: boolean }) {
  const [early, setEarly] = useState(false);
  const over = (answered: Answer, why: string) =>
    answer(
      api.POST('/api/holds/{hold}/end', {
        params: { path: { hold: hold.id } },
        body: { answer: answered, why },
      }),
    );
  const end = useJobWrite((answered: Answer) => over(answered, ''));
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
        <chakra.span color={active || asks ? 'amberInk' : 'muted'} fontWeight={active || asks ? 700 : 400}>
          {floor.HoldKind[hold.kind]}
        </chakra.span>
        : {hold.why}
        {active ? hold.until && `, until ${moment(hold.until)}` : asks ? '' : ', over'}
        {active && expected && `. ${expectedWords(expected)}`}
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
        <WhyForm
          name="End it early"
          label="A lead ends it before its time, because"
          go="End it"
          send={(why) => over('YES', why)}
          leave={() => setEarly(false)}
        />
      )}
      <Trouble error={end.error} />
    </>
  );
}

/** "The supplier says 4 December; half of such orders came by 5 December, four in five by 9 December". */
function expectedWords({ said, half, fourFifths }: NonNullable<Schemas['HoldOnSheet']['expected']>): string {
  const usual = `half of such orders came by ${day(half)}, four in five by ${day(fourFifths)}`;
  return said ? `The supplier says ${day(said)}; ${usual}` : `Ordered: ${usual}`;
}
