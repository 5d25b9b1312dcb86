import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Counter } from './Counter';
import { FromDrawer } from './FromDrawer';
import { type Account, inAccount, OWED } from './heaps';

type Settled = Schemas['ThingOut'];

const OFF: Account[] = ['TRAY', ...OWED];

function off(thing: Schemas['ThingView']): number {
  return OFF.reduce((sum, account) => sum + inAccount(thing, account), 0);
}

/** On the way out: how many go back, are replaced from a drawer, or stay out with a reason. */
export function NotAllBack({
  job,
  step,
  busy,
  leave,
  enter,
}: {
  job: number;
  step: Schemas['StepView'];
  busy: boolean;
  leave: () => void;
  enter: (settled: Settled[]) => void;
}) {
  const things = step.things.filter((thing) => off(thing) > 0);
  const [said, setSaid] = useState<Settled[]>(
    things.map((thing) => ({
      thing: thing.id,
      // Plugs and loose pieces are said one by one.
      back: thing.kind === 'FASTENER' ? inAccount(thing, 'TRAY') : 0,
      replaced: 0,
      leftOut: 0,
      reason: '',
    })),
  );
  const say = (id: string, part: Partial<Settled>) =>
    setSaid((now) => now.map((one) => (one.thing === id ? { ...one, ...part } : one)));
  return (
    <Box display="grid" gap="10px">
      {things.map((thing) => {
        const one = said.find((each) => each.thing === thing.id) as Settled;
        const rest = off(thing) - one.back - one.replaced - one.leftOut - (one.forNow ?? 0);
        return (
          <Box key={thing.id} border="1px solid" borderColor="matEdge" borderRadius="sm" p="8px 12px">
            <chakra.b fontSize="md">{thing.label}</chakra.b>
            <chakra.span color="chalkDust" fontSize="sm">
              {' '}
              {OFF.filter((account) => inAccount(thing, account) > 0)
                .map((account) => `${inAccount(thing, account)} ${floor.Account[account]}`)
                .join(', ')}
            </chakra.span>
            <Box display="grid" gridTemplateColumns="1fr 1fr" gap="6px">
              <Counter
                label="back in"
                value={one.back}
                most={Math.min(inAccount(thing, 'TRAY'), one.back + rest)}
                set={(back) => say(thing.id, { back })}
              />
              <Counter
                label="replaced"
                value={one.replaced}
                most={one.replaced + rest}
                set={(replaced) => say(thing.id, { replaced })}
              />
              <Counter
                label="left out"
                value={one.leftOut}
                most={one.leftOut + rest}
                set={(leftOut) => say(thing.id, { leftOut })}
              />
              <Counter
                label="out for now"
                value={one.forNow ?? 0}
                most={(one.forNow ?? 0) + rest}
                set={(forNow) => say(thing.id, { forNow })}
              />
            </Box>
            {one.replaced > 0 && (
              <FromDrawer
                job={job}
                thing={thing.id}
                count={one.replaced}
                picked={one.partId}
                pick={(partId) => say(thing.id, { partId })}
              />
            )}
            {one.replaced > 0 && (
              <Text
                label="If it is not the same again: what went in"
                compact
                placeholder="M3 × 8 screw and nut"
                value={one.instead ?? ''}
                onChange={(event) => say(thing.id, { instead: event.target.value || undefined })}
              />
            )}
            {one.leftOut + (one.forNow ?? 0) > 0 && (
              <Text
                label="Why is it left out"
                compact
                value={one.reason}
                onChange={(event) => say(thing.id, { reason: event.target.value })}
              />
            )}
          </Box>
        );
      })}
      <Box display="flex" gap="9px">
        <Act look="benchMain" flex="1" minH="56px" fontSize="lg" disabled={busy} onClick={() => enter(said)}>
          That is what went back
        </Act>
        <Act look="bench" minH="56px" onClick={leave}>
          Leave it
        </Act>
      </Box>
    </Box>
  );
}
