import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { MARKS, MarkedPhoto } from '../drawing/MarkedPhoto';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { FilePick } from '../parts/FilePick';
import { Trouble } from '../parts/States';

type Photo = Schemas['Photo'];
type Kind = Schemas['Mark']['kind'];

/** Takes a picture file into the shop. */
export function TakePhoto({ taken }: { taken: (photo: Photo) => void }) {
  const take = useMutation({
    mutationFn: (file: File) =>
      answer(
        api.POST('/api/photos', {
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSuccess: (kept) => taken({ hash: kept.hash, words: '', marks: [] }),
  });
  return (
    <>
      <FilePick name="Photo file" accept="image/*" busy={take.isPending} picked={(file) => take.mutate(file)}>
        {take.isPending ? 'Taking it in…' : 'A photo'}
      </FilePick>
      <Trouble error={take.error} />
    </>
  );
}

/** A photo with its marks, to be changed. */
export function PhotoForm({
  photo,
  change,
  remove,
}: {
  photo: Photo;
  change: (photo: Photo) => void;
  remove: () => void;
}) {
  const [kind, setKind] = useState<Kind>('FASTENER');
  const [words, setWords] = useState('');
  return (
    <Box border="1px solid" borderColor="line" borderRadius="sm" p="8px" mb="8px" bg="paper">
      <MarkedPhoto
        photo={photo}
        place={
          words.trim()
            ? (x, y) => {
                change({ ...photo, marks: [...photo.marks, { kind, at: { x, y }, words: words.trim() }] });
                setWords('');
              }
            : undefined
        }
      />
      <Box display="flex" gap="6px" flexWrap="wrap" alignItems="end" mt="6px">
        {(Object.keys(MARKS) as Kind[]).map((one) => (
          <Chip key={one} on={kind === one} onClick={() => setKind(one)}>
            {MARKS[one][2]}
          </Chip>
        ))}
        <Box flex="1" minW="180px">
          <Text
            label="Say what it is, then point at it"
            compact
            placeholder="the long one; stripe to the edge"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
        </Box>
        {photo.marks.length > 0 && (
          <Act look="quiet" onClick={() => change({ ...photo, marks: photo.marks.slice(0, -1) })}>
            last mark off
          </Act>
        )}
        <Act look="quiet" onClick={remove}>
          remove the photo
        </Act>
      </Box>
      <Text
        label="What is to be seen"
        compact
        value={photo.words}
        onChange={(event) => change({ ...photo, words: event.target.value })}
      />
    </Box>
  );
}
