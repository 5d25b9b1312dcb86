import { Box, chakra } from '@chakra-ui/react';
import { z } from 'zod';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form } from '../form/Form';
import { PickIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Counter } from './Counter';
import { DarkChip } from './DarkChip';
import { type Presses, through } from './press';

type Off = Schemas['CameOffSaid'];
type Said = {
  title: string;
  side: Off['side'];
  tool: string;
  head?: Off['screws'][number]['head'];
  count?: number;
  screws: boolean;
  plugs: string;
  pieces: string;
};
const BLANK: Said = { title: '', side: 'TOP', tool: '', screws: false, plugs: '', pieces: '' };

const off = z
  .object({
    title: said.words('Say what came off'),
    side: z.custom<Off['side']>(),
    tool: z.string(),
    head: z.custom<Said['head']>().optional(),
    count: z.number().optional(),
    screws: z.boolean(),
    plugs: said.listed,
    pieces: said.listed,
  })
  .refine((now) => now.screws || now.plugs.length > 0 || now.pieces.length > 0, {
    path: ['pieces'],
    message: 'Screws, a plug or a loose piece: what came off with it?',
  });

/** Where the notes end: what comes off next is entered as it comes, and becomes their next step. */
export function CameOff({ job, press, busy }: { job: number; press: Presses; busy: boolean }) {
  const form = useSending({
    blank: BLANK,
    check: off,
    kept: `came off ${job}`,
    send: ({ head, count, screws, ...rest }) =>
      through(press({ act: 'cameOff', said: { ...rest, screws: screws ? [{ head, count }] : [] } })),
  });
  return (
    <Form of={form} name="Came off" quiet first={false} gap="9px">
      <chakra.h2 fontSize="xl">The notes end here. What comes off next?</chakra.h2>
      <TextIn of={form} at="title" label="What came off" placeholder="back cover" />
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="8px" alignItems="end">
        <PickIn of={form} at="side" label="Side up" compact>
          {Object.entries(floor.Side).map(([side, words]) => (
            <option key={side} value={side}>
              {words}
            </option>
          ))}
        </PickIn>
        <PickIn of={form} at="head" label="Heads" compact>
          <option value="">not looked</option>
          {Object.entries(floor.Head).map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </PickIn>
        <TextIn of={form} at="tool" label="Driver" compact />
      </Box>
      <Box display="grid" gridTemplateColumns="auto 1fr 1fr" gap="8px" alignItems="end">
        <Box display="flex" gap="6px" alignItems="end">
          <DarkChip
            on={form.value.screws && form.value.count === undefined}
            pick={() => {
              form.put('screws', !form.value.screws || form.value.count !== undefined);
              form.put('count', undefined);
            }}
          >
            not counted
          </DarkChip>
          <Counter
            label="screws"
            value={form.value.count ?? 0}
            most={99}
            set={(count) => {
              form.put('screws', count > 0);
              form.put('count', count > 0 ? count : undefined);
            }}
          />
        </Box>
        <TextIn of={form} at="plugs" label="Plugs, with commas" compact />
        <TextIn of={form} at="pieces" label="Loose pieces, with commas" compact />
      </Box>
      <Act look="benchMain" type="submit" minH="52px" disabled={busy || form.pending}>
        Off to tray, and into the notes
      </Act>
    </Form>
  );
}
