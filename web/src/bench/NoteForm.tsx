import { Box, chakra } from '@chakra-ui/react';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { TakePhoto } from '../parts/TakePhoto';
import { type Presses, through } from './press';

/** A remark or a picture of what is before the bench, for the story of this unit. */
export function NoteForm({
  job,
  press,
  busy,
  leave,
}: {
  job: number;
  press: Presses;
  busy: boolean;
  leave: () => void;
}) {
  const form = useSending({
    blank: { words: '', photo: undefined } as { words: string; photo?: string },
    kept: `note ${job}`,
    send: ({ words, photo }) => through(press({ act: 'note', said: { words: words.trim(), photo } })),
    leave,
  });
  const { words, photo } = form.value;
  return (
    <Form of={form} name="Note" quiet gap="10px">
      <TextIn of={form} at="words" label="Note" />
      {photo ? (
        <chakra.img src={`/api/photos/${photo}`} alt="What was just taken" maxH="220px" borderRadius="sm" />
      ) : (
        <Box bg="card" color="ink" borderRadius="sm" p="8px">
          <TakePhoto taken={(kept) => form.put('photo', kept.hash)} />
        </Box>
      )}
      <Sends of={form} bench go="Into the story" off={busy || (!words.trim() && photo === undefined)} />
    </Form>
  );
}
