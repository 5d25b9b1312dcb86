import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { FoundAgain } from '../parts/FoundAgain';
import { TakePhoto } from '../parts/TakePhoto';
import { useDraft } from '../parts/useDraft';
import type { Press } from './press';

/** A remark or a picture of what is before the bench, for the story of this unit. */
export function NoteForm({
  job,
  press,
  busy,
  leave,
}: {
  job: number;
  press: (press: Press) => void;
  busy: boolean;
  leave: () => void;
}) {
  const draft = useDraft(`note ${job}`, '');
  const words = draft.value;
  const sent = useRef(false);
  const { forget } = draft;
  // The panel goes when the press went through; what was refused stays to be read.
  useEffect(
    () => () => {
      if (sent.current) {
        forget();
      }
    },
    [forget],
  );
  const [photo, setPhoto] = useState<string>();
  return (
    <chakra.form
      display="grid"
      gap="10px"
      aria-label="Note"
      onSubmit={(event) => {
        event.preventDefault();
        sent.current = true;
        press({ act: 'note', said: { words: words.trim(), photo } });
      }}
    >
      <FoundAgain draft={draft} />
      <Text label="Note" autoFocus value={words} onChange={(event) => draft.set(event.target.value)} />
      {photo ? (
        <chakra.img src={`/api/photos/${photo}`} alt="What was just taken" maxH="220px" borderRadius="sm" />
      ) : (
        <Box bg="card" color="ink" borderRadius="sm" p="8px">
          <TakePhoto taken={(kept) => setPhoto(kept.hash)} />
        </Box>
      )}
      <Box display="flex" gap="9px">
        <Act
          look="benchMain"
          type="submit"
          flex="1"
          minH="52px"
          disabled={busy || (!words.trim() && photo === undefined)}
        >
          Into the story
        </Act>
        <Act look="bench" minH="52px" onClick={leave}>
          Leave it
        </Act>
      </Box>
    </chakra.form>
  );
}
