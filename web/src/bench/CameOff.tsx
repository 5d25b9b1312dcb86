import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { z } from 'zod';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form } from '../form/Form';
import { PickIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { type Fields, useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { TakePhoto } from '../parts/TakePhoto';
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
  caution: string;
  closeUp: string;
  exposes: string;
  photos: string[];
};
const BLANK: Said = {
  title: '',
  side: 'TOP',
  tool: '',
  screws: false,
  plugs: '',
  pieces: '',
  caution: '',
  closeUp: '',
  exposes: '',
  photos: [],
};

const off = z.object({
  title: said.words('Say what came off, or was folded up'),
  side: z.custom<Off['side']>(),
  tool: z.string(),
  head: z.custom<Said['head']>().optional(),
  count: z.number().optional(),
  screws: z.boolean(),
  plugs: said.listed,
  pieces: said.listed,
  caution: z.string(),
  closeUp: z.string(),
  exposes: said.listed,
  photos: z.array(z.string()),
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
  const { value } = form;
  const nothing = !value.screws && !value.plugs.trim() && !value.pieces.trim();
  const [more, setMore] = useState(
    Boolean(value.caution || value.closeUp || value.exposes || value.photos.length > 0),
  );
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
      {more ? (
        <Besides form={form} />
      ) : (
        <Act look="bench" minH="44px" onClick={() => setMore(true)}>
          Also: what lies open now, a caution, the way back, a picture
        </Act>
      )}
      <Act look="benchMain" type="submit" minH="56px" disabled={busy || form.pending}>
        {nothing ? 'Done, nothing off, into the notes' : 'Off to tray, and into the notes'}
      </Act>
    </Form>
  );
}

/** What else is known of the step while it is before one's eyes. */
function Besides({ form }: { form: Fields<Said> }) {
  const { photos } = form.value;
  return (
    <Box display="grid" gap="8px">
      <TextIn
        of={form}
        at="exposes"
        label="What lies open now, with commas"
        compact
        placeholder="belt, laser"
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <TextIn of={form} at="caution" label="What can hurt here" compact />
        <TextIn of={form} at="closeUp" label="To remember on the way back" compact />
      </Box>
      <Box display="flex" gap="8px" flexWrap="wrap">
        {photos.map((photo) => (
          <chakra.img
            key={photo}
            src={`/api/photos/${photo}`}
            alt="Of this step"
            maxH="110px"
            borderRadius="sm"
          />
        ))}
      </Box>
      <Box bg="card" color="ink" borderRadius="sm" p="8px">
        <TakePhoto taken={(kept) => form.put('photos', [...photos, kept.hash])} />
      </Box>
    </Box>
  );
}
