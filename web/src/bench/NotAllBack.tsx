import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Counter } from './Counter';
import { FromDrawer } from './FromDrawer';
import { type Account, inAccount, OWED } from './heaps';
import { ReasonChips } from './ReasonChips';

type Settled = Schemas['ThingOut'];

const OFF: Account[] = ['TRAY', ...OWED];

function off(thing: Schemas['ThingView']): number {
  return OFF.reduce((sum, account) => sum + inAccount(thing, account), 0);
}

/** Whether somebody has still to say what fills its place. */
function owed(thing: Schemas['ThingView']): boolean {
  return OWED.some((account) => inAccount(thing, account) > 0);
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
  enter: (settled: Settled[]) => Promise<unknown>;
}) {
  // What is owed is asked first; screws simply go back beside it, unless somebody says otherwise.
  const asked = step.things.filter(owed);
  const things = [...asked, ...step.things.filter((thing) => off(thing) > 0 && !owed(thing))];
  const [opened, setOpened] = useState<string[]>([]);
  const form = useSending({
    blank: {
      settled: things.map<Settled>((thing) => ({
        thing: thing.id,
        // Plugs and loose pieces are said one by one.
        back: thing.kind === 'FASTENER' ? inAccount(thing, 'TRAY') : 0,
        // What was used up by opening has another in its place, unless somebody says why not.
        replaced: thing.usedUp ? inAccount(thing, 'DESTROYED') : 0,
        leftOut: 0,
        reason: '',
      })),
    },
    send: ({ settled }) =>
      enter(settled.map(({ instead, ...one }) => ({ ...one, instead: instead?.trim() || undefined }))),
    leave,
  });
  return (
    <Form of={form} name="What went back" quiet first={false} gap="10px">
      {things.map((thing, n) => {
        const one = form.value.settled[n] as Settled;
        const say = (part: Partial<Settled>) => form.put(`settled.${n}`, { ...one, ...part });
        if (asked.length > 0 && thing.kind === 'FASTENER' && !owed(thing) && !opened.includes(thing.id)) {
          return (
            <Box key={thing.id} display="flex" alignItems="center" gap="10px" fontSize="md" px="12px">
              <Box flex="1">
                {thing.label}: {one.back} of {off(thing)} back in
              </Box>
              <Act
                look="bench"
                minH="44px"
                aria-label={`${thing.label}: otherwise`}
                onClick={() => setOpened([...opened, thing.id])}
              >
                otherwise
              </Act>
            </Box>
          );
        }
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
                set={(back) => say({ back })}
              />
              <Counter
                label="replaced"
                value={one.replaced}
                most={one.replaced + rest}
                set={(replaced) => say({ replaced })}
              />
              <Counter
                label="left out"
                value={one.leftOut}
                most={one.leftOut + rest}
                set={(leftOut) => say({ leftOut })}
              />
              <Counter
                label="out for now"
                value={one.forNow ?? 0}
                most={(one.forNow ?? 0) + rest}
                set={(forNow) => say({ forNow })}
              />
            </Box>
            {one.replaced > 0 && (
              <FromDrawer
                job={job}
                thing={thing.id}
                count={one.replaced}
                picked={one.partId}
                pick={(partId) => say({ partId })}
                suggests={thing.usedUp}
              />
            )}
            {one.replaced > 0 && (
              <TextIn
                of={form}
                at={`settled.${n}.instead`}
                label="If it is not the same again: what went in"
                compact
                placeholder="M3 × 8 screw and nut"
              />
            )}
            {one.leftOut + (one.forNow ?? 0) > 0 && (
              <>
                <ReasonChips
                  picked={form.value.settled[n]?.reason ?? ''}
                  pick={(words) => form.put(`settled.${n}.reason`, words)}
                />
                <TextIn of={form} at={`settled.${n}.reason`} label="Why is it left out" compact />
              </>
            )}
          </Box>
        );
      })}
      <Sends of={form} go="That is what went back" bench off={busy} />
    </Form>
  );
}
