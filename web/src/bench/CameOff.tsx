import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Act } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { Counter } from './Counter';
import type { Press } from './press';

type Said = Schemas['CameOffSaid'];
type Head = Said['screws'][number]['head'];
const BLANK: Said = { title: '', side: 'TOP', tool: '', screws: [], plugs: [], pieces: [] };

/** Where the notes end: what comes off next is entered as it comes, and becomes their next step. */
export function CameOff({ press, busy }: { press: (press: Press) => void; busy: boolean }) {
  const [said, say] = useState<Said>(BLANK);
  const [head, setHead] = useState<Head>('CROSS');
  const [count, setCount] = useState(0);
  const [plug, setPlug] = useState('');
  const [piece, setPiece] = useState('');
  const listed = (text: string) =>
    text
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean);
  const body: Said = {
    ...said,
    screws: count > 0 ? [{ head, count }] : [],
    plugs: listed(plug),
    pieces: listed(piece),
  };
  const nothing = count === 0 && body.plugs.length === 0 && body.pieces.length === 0;
  return (
    <chakra.form
      display="grid"
      gap="9px"
      aria-label="Came off"
      onSubmit={(event) => {
        event.preventDefault();
        press({ act: 'cameOff', said: body });
      }}
    >
      <chakra.h2 fontSize="xl">The notes end here. What comes off next?</chakra.h2>
      <Text
        label="What came off"
        placeholder="back cover"
        value={said.title}
        onChange={(event) => say({ ...said, title: event.target.value })}
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="8px" alignItems="end">
        <Pick
          label="Side up"
          compact
          value={said.side}
          onChange={(event) => say({ ...said, side: event.target.value as Said['side'] })}
        >
          {Object.entries(floor.Side).map(([side, words]) => (
            <option key={side} value={side}>
              {words}
            </option>
          ))}
        </Pick>
        <Pick label="Heads" compact value={head} onChange={(event) => setHead(event.target.value as Head)}>
          {Object.entries(floor.Head).map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </Pick>
        <Text
          label="Driver"
          compact
          value={said.tool}
          onChange={(event) => say({ ...said, tool: event.target.value })}
        />
      </Box>
      <Box display="grid" gridTemplateColumns="auto 1fr 1fr" gap="8px" alignItems="end">
        <Counter label="screws" value={count} most={99} set={setCount} />
        <Text
          label="Plugs, with commas"
          compact
          value={plug}
          onChange={(event) => setPlug(event.target.value)}
        />
        <Text
          label="Loose pieces, with commas"
          compact
          value={piece}
          onChange={(event) => setPiece(event.target.value)}
        />
      </Box>
      <Act look="benchMain" type="submit" minH="52px" disabled={busy || nothing || !said.title.trim()}>
        Off to tray, and into the notes
      </Act>
    </chakra.form>
  );
}
