import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { TakePhoto } from '../parts/TakePhoto';
import { PhotoPanel } from './PhotoPanel';
import { type Presses, through } from './press';

type Noted = { words: string; photo?: string; strokes: Schemas['Stroke'][] };

/** A remark or a picture of what is before the bench: it stays with the step in hand, and is shown there on the way back. */
export function NoteForm({
  job,
  step,
  press,
  busy,
  leave,
}: {
  job: number;
  /** that is in hand */
  step?: string;
  press: Presses;
  busy: boolean;
  leave: () => void;
}) {
  const form = useSending({
    blank: { words: '', photo: undefined, strokes: [] } as Noted,
    kept: `note ${job}`,
    send: ({ words, photo, strokes }) =>
      through(
        press({ act: 'note', said: { words: words.trim(), photo, step, strokes: photo ? strokes : [] } }),
      ),
    leave,
  });
  const { words, photo, strokes } = form.value;
  return (
    <Form of={form} name="Note" quiet gap="10px">
      <TextIn of={form} at="words" label="Note" />
      {photo ? (
        <PhotoPanel hash={photo} strokes={strokes} set={(next) => form.put('strokes', next)} />
      ) : (
        <Box>
          <TakePhoto bench taken={(kept) => form.put('photo', kept.hash)} />
        </Box>
      )}
      <Sends of={form} bench go="Into the story" off={busy || (!words.trim() && photo === undefined)} />
    </Form>
  );
}
