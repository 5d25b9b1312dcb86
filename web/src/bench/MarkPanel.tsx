import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { useKeys } from '../app/keys';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { TakePhoto } from '../parts/TakePhoto';
import { type Presses, through } from './press';

const USUAL = ['line drawn across', 'scratched across', 'turns counted'];

/** Where something stands, before a step moves it: a digit says how it was marked, or words, or a picture do. */
export function MarkPanel({
  title,
  asked,
  press,
  busy,
}: {
  /** of the step that moves it */
  title: string;
  asked: Schemas['Adjusted'];
  press: Presses;
  busy: boolean;
}) {
  const { stays, step } = asked;
  const mark = (words: string, photo?: string) =>
    press({ act: 'mark', step, said: { stays: stays.id, words, photo } });
  const ways = [...new Set([stays.words, ...USUAL].filter(Boolean))];
  useKeys(
    ways.map((words, n) => ({
      key: String(n + 1),
      label: `Marked: ${words}`,
      act: () => mark(words),
      off: busy,
    })),
  );
  const form = useSending({
    blank: { words: '', photo: undefined } as { words: string; photo?: string },
    send: ({ words, photo }) => through(mark(words.trim(), photo)),
  });
  const { words, photo } = form.value;
  return (
    <Box display="grid" gap="9px" role="group" aria-label={`Mark the ${stays.label}`}>
      <chakra.h1 fontSize="3xl" lineHeight={1.18}>
        {title}
      </chakra.h1>
      <chakra.h2 fontSize="xl">This moves the {stays.label}. Mark first where it stands.</chakra.h2>
      {ways.map((way, n) => (
        <Act
          key={way}
          look="bench"
          minH="56px"
          keyName={String(n + 1)}
          disabled={busy}
          onClick={() => mark(way)}
        >
          {way}
        </Act>
      ))}
      <Form of={form} name="Marked otherwise" quiet first={false} gap="9px">
        <TextIn of={form} at="words" label="Or otherwise" compact />
        {photo ? (
          <chakra.img src={`/api/photos/${photo}`} alt="As it stands" maxH="180px" borderRadius="sm" />
        ) : (
          <Box>
            <TakePhoto bench taken={(kept) => form.put('photo', kept.hash)} />
          </Box>
        )}
        {(words.trim() || photo) && <Sends of={form} bench go="Marked so" off={busy} />}
      </Form>
    </Box>
  );
}

/** How it was marked on the way in, for whoever puts it back there. */
export function Marked({ asked }: { asked: Schemas['Adjusted'] }) {
  const mark = asked.mark;
  return (
    <Box role="group" aria-label={`As the ${asked.stays.label} stood`} fontSize="xl" color="brassLight">
      The {asked.stays.label} back where it stood{mark?.words ? `: ${mark.words}` : ''}.
      {mark?.photo && (
        <chakra.img
          src={`/api/photos/${mark.photo}`}
          alt={`The ${asked.stays.label} as it stood`}
          maxH="220px"
          borderRadius="sm"
          mt="6px"
        />
      )}
    </Box>
  );
}
