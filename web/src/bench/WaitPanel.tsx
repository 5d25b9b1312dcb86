import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { z } from 'zod';
import type { Schemas } from '../api/client';
import { moment, momentOf, wallClock } from '../api/shopWide';
import { useKeys } from '../app/keys';
import { WaitRing } from '../drawing/WaitRing';
import { Form } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { through } from './press';

/** A caution with a wait: since when the unit is off, and from when on it may be opened further. */
export function WaitPanel({
  wait,
  known,
  busy,
  off,
  live,
}: {
  wait: Schemas['Wait'];
  /** whether somebody has said since when it is unplugged: only a lead makes that earlier */
  known: boolean;
  busy: boolean;
  /** said since when it is without power */
  off: (since: string) => Promise<boolean>;
  /** it had power after all: it has to be said to be off again, and the time begins anew */
  live: () => void;
}) {
  const [asked, setAsked] = useState(!known);
  const form = useSending({
    blank: { since: '' },
    check: z.object({ since: said.words('Say since when') }),
    send: ({ since }) => through(off(momentOf(since))),
  });
  const usual: [string, string, Date][] = [
    ['0', 'Unplugged just now', new Date()],
    ['1', 'Since yesterday evening', evening(1)],
    ['2', 'Since the evening before that', evening(2)],
  ];
  useKeys(
    usual.map(([key, label, time]) => ({
      key,
      label,
      act: () => off(time.toISOString()),
      off: !asked || busy,
    })),
  );
  useKeys([{ key: '0', label: 'It was under power since', act: live, off: asked || busy }]);
  if (!asked && wait.since && wait.until) {
    return (
      <Box display="flex" gap="16px" alignItems="center" fontSize="lg" aria-label="The wait" role="group">
        <WaitRing from={wait.since} until={wait.until} size={76} />
        <Box>
          Off since {moment(wait.since)}.{' '}
          <b>Hands may go in from {moment(wait.until)}. This wait cannot be shortened.</b>
          <Box mt="6px">
            <Act look="bench" minH="44px" keyName="0" disabled={busy} onClick={live}>
              It was under power since
            </Act>{' '}
            <Act look="bench" minH="44px" disabled={busy} onClick={() => setAsked(true)}>
              Another time (a lead, if earlier)
            </Act>
          </Box>
        </Box>
      </Box>
    );
  }
  return (
    <Box display="grid" gap="9px" role="group" aria-label="Since when is it off">
      <chakra.h2 fontSize="xl">Since when is it without power? It must be {wait.hours} hours.</chakra.h2>
      {usual.map(([key, label, time]) => (
        <Act
          key={key}
          look="bench"
          minH="48px"
          keyName={key}
          disabled={busy}
          onClick={() => off(time.toISOString())}
        >
          {label}
        </Act>
      ))}
      <Form of={form} quiet first={false} gridTemplateColumns="1fr auto" gap="9px" alignItems="end">
        <TextIn of={form} at="since" label="Or since" compact type="datetime-local" />
        <Act look="bench" type="submit" minH="44px" disabled={busy}>
          Off since then
        </Act>
      </Form>
    </Box>
  );
}

/** Six in the evening, some days ago. */
function evening(days: number): Date {
  const day = wallClock(Date.now() - days * 24 * 3600_000).slice(0, 10);
  return new Date(momentOf(`${day}T18:00`));
}
