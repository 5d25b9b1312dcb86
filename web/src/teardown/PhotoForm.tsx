import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { MARKS, MarkedPhoto } from '../drawing/MarkedPhoto';
import { Act } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Text } from '../parts/Fields';

type Photo = Schemas['Photo'];
type Kind = Schemas['Mark']['kind'];

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
        <Choice
          label="What is marked"
          words={{ FASTENER: MARKS.FASTENER[2], CONNECTOR: MARKS.CONNECTOR[2], CAUTION: MARKS.CAUTION[2] }}
          picked={kind}
          pick={setKind}
        />
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
