import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Counter } from './Counter';
import { DarkChip } from './DarkChip';
import type { Bench, Presses } from './press';

type Step = Schemas['StepView'];

/** A step that is open had all opened that it needs. */
function withNeeds(steps: Step[], id: string): string[] {
  const step = steps.find((one) => one.id === id);
  return [id, ...(step?.needs ?? []).flatMap((need) => (need === id ? [] : withNeeds(steps, need)))];
}

/** The unit came half apart: which steps were done already, and how many of each thing lie there. */
export function FoundOpen({
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
  const steps = bench.way.steps;
  const [open, setOpen] = useState<string[]>([]);
  const [lying, setLying] = useState<Record<string, number>>({});
  const toggle = (id: string) => {
    if (open.includes(id)) {
      // What lies under what is closed is closed as well.
      setOpen(open.filter((one) => !withNeeds(steps, one).includes(id)));
    } else {
      setOpen(
        [...new Set([...open, ...withNeeds(steps, id)])].filter((one) => steps.some((s) => s.id === one)),
      );
    }
  };
  const things = steps.filter((step) => open.includes(step.id)).flatMap((step) => step.things);
  const enter = () =>
    press({
      act: 'foundOpen',
      said: {
        steps: open,
        lying: Object.fromEntries(things.flatMap(({ id }) => (id in lying ? [[id, lying[id] ?? 0]] : []))),
      },
    }).then((ok) => ok && leave());
  useKeys([
    { key: 'Escape', label: 'It is closed', act: leave },
    { key: 'Space', label: 'So it lies', act: enter, off: busy || open.length === 0 },
    ...steps.slice(0, 9).map((step, n) => ({
      key: String(n + 1),
      label: `Open already: ${step.title}`,
      act: () => toggle(step.id),
    })),
  ]);
  return (
    <Box display="grid" gap="9px">
      <chakra.h1 fontSize="3xl">What of it is open already?</chakra.h1>
      <Box display="flex" flexWrap="wrap" gap="6px" role="group" aria-label="Open already">
        {steps.map((step, n) => (
          <DarkChip key={step.id} on={open.includes(step.id)} pick={() => toggle(step.id)}>
            {n < 9 ? `${n + 1} · ` : ''}
            {step.title}
          </DarkChip>
        ))}
      </Box>
      {things.length > 0 && (
        <Box display="flex" flexWrap="wrap" gap="10px 20px" role="group" aria-label="How many lie there">
          {things.map((thing) => (
            <Box key={thing.id} display="flex" gap="6px" alignItems="end">
              <Counter
                label={`${thing.label}${thing.counted ? `, of ${thing.accounts.FITTED ?? 0}` : ''}`}
                value={lying[thing.id] ?? (thing.counted ? (thing.accounts.FITTED ?? 0) : 0)}
                most={99}
                set={(count) => setLying({ ...lying, [thing.id]: count })}
              />
              <chakra.span fontSize="sm" color="chalkDust" pb="8px">
                {thing.id in lying ? 'counted' : thing.counted ? 'by the notes' : 'not counted'}
              </chakra.span>
            </Box>
          ))}
        </Box>
      )}
      <Box display="grid" gap="9px" position="sticky" bottom="-18px" bg="matSurface" py="9px">
        <Act
          look="benchMain"
          minH="62px"
          keyName="Space"
          disabled={busy || open.length === 0}
          onClick={enter}
        >
          So it lies: onto the mat
        </Act>
        <Act look="bench" minH="48px" keyName="Escape" onClick={leave}>
          It is closed
        </Act>
      </Box>
    </Box>
  );
}
