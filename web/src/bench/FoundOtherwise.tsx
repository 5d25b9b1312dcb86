import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Act } from '../parts/Buttons';
import { Counter } from './Counter';
import { DarkChip } from './DarkChip';
import { inAccount } from './heaps';

type Found = Schemas['FoundThing'];
type Basis = NonNullable<Schemas['InSaid']['basis']>;

const BASES: [Basis, string][] = [
  ['COUNTED', 'counted'],
  ['TOLD', 'open when it came: told'],
  ['UNKNOWN', 'not counted'],
];

/** Counted otherwise than the notes say: what is missing or broken is said, the rest is off. */
export function FoundOtherwise({
  step,
  busy,
  leave,
  enter,
}: {
  step: Schemas['StepView'];
  busy: boolean;
  leave: () => void;
  enter: (found: Found[], basis: Basis) => void;
}) {
  const there = (thing: Schemas['ThingView']) => inAccount(thing, 'FITTED') + inAccount(thing, 'REPLACED');
  const things = step.things.filter((thing) => there(thing) > 0);
  const [found, setFound] = useState<Found[]>(
    things.map((thing) => ({
      thing: thing.id,
      toTray: thing.usedUp ? 0 : there(thing),
      missing: 0,
      broken: 0,
      destroyed: thing.usedUp ? there(thing) : 0,
    })),
  );
  const [basis, setBasis] = useState<Basis>('COUNTED');
  function say(id: string, of: number, part: Partial<Found>) {
    setFound((now) =>
      now.map((one) => {
        if (one.thing !== id) {
          return one;
        }
        const next = { ...one, ...part };
        // What is neither missing, broken nor used up is off, unless there turn out to be more.
        const rest = of - next.missing - next.broken - (next.destroyed ?? 0);
        return { ...next, toTray: part.toTray ?? rest };
      }),
    );
  }
  return (
    <Box display="grid" gap="10px">
      {things.map((thing) => {
        const one = found.find((each) => each.thing === thing.id) as Found;
        const of = there(thing);
        return (
          <Box key={thing.id} border="1px solid" borderColor="matEdge" borderRadius="sm" p="8px 12px">
            <chakra.b fontSize="md">{thing.label}</chakra.b>
            {!thing.counted && <chakra.span color="brassLight"> nobody has counted these</chakra.span>}
            {thing.counted && one.toTray + one.missing + one.broken + (one.destroyed ?? 0) > of && (
              <chakra.span color="brassLight"> more than the notes say: it is proposed for them</chakra.span>
            )}
            <Box display="grid" gridTemplateColumns="repeat(4, 1fr)" gap="8px" alignItems="end">
              <Counter
                label="off"
                value={one.toTray}
                most={99}
                set={(toTray) => say(thing.id, of, { toTray })}
              />
              <Counter
                label="missing"
                value={one.missing}
                most={of - one.broken - (one.destroyed ?? 0)}
                set={(missing) => say(thing.id, of, { missing })}
              />
              <Counter
                label="broken"
                value={one.broken}
                most={of - one.missing - (one.destroyed ?? 0)}
                set={(broken) => say(thing.id, of, { broken })}
              />
              <Counter
                label="used up"
                value={one.destroyed ?? 0}
                most={of - one.missing - one.broken}
                set={(destroyed) => say(thing.id, of, { destroyed })}
              />
            </Box>
          </Box>
        );
      })}
      <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="How it is known">
        {BASES.map(([one, words]) => (
          <DarkChip key={one} on={basis === one} pick={() => setBasis(one)}>
            {words}
          </DarkChip>
        ))}
      </Box>
      <Box display="flex" gap="9px">
        <Act
          look="benchMain"
          flex="1"
          minH="56px"
          fontSize="lg"
          disabled={busy}
          onClick={() =>
            enter(
              // What nobody had counted and nobody counted now stays so.
              found.map((one) => {
                const thing = things.find(({ id }) => id === one.thing);
                return {
                  ...one,
                  basis: thing && !thing.counted && one.toTray === there(thing) ? 'UNKNOWN' : basis,
                };
              }),
              basis,
            )
          }
        >
          That is what I found
        </Act>
        <Act look="bench" minH="56px" onClick={leave}>
          Leave it
        </Act>
      </Box>
    </Box>
  );
}
