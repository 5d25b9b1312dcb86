import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';

type Photo = Schemas['Photo'];
type Kind = Schemas['Mark']['kind'];

/** Colour, letter and word of each kind of mark: never the colour alone. */
export const MARKS: Record<Kind, [string, string, string]> = {
  FASTENER: ['brassLight', 'onBrass', 'fastener'],
  CONNECTOR: ['chalk', 'onMat', 'connector'],
  CAUTION: ['hazard', 'onMat', 'caution'],
};

/** A photo with its marks; a mark says what it is when it is pointed at. */
export function MarkedPhoto({
  photo,
  place,
}: {
  photo: Photo;
  /** called with a place, 0 to 1 each way, when somebody points at the picture itself */
  place?: (x: number, y: number) => void;
}) {
  const [said, say] = useState<number>();
  const mark = said === undefined ? undefined : photo.marks[said];
  return (
    <Box>
      <Box position="relative" lineHeight={0}>
        <chakra.img
          src={`/api/photos/${photo.hash}`}
          alt={photo.words || 'Photo of this step'}
          w="100%"
          borderRadius="sm"
          border="1px solid"
          borderColor="line"
          loading="lazy"
        />
        {place && (
          <chakra.button
            type="button"
            aria-label="Mark a place on the photo"
            position="absolute"
            inset={0}
            cursor="crosshair"
            onClick={(event) => {
              const box = event.currentTarget.getBoundingClientRect();
              // Pressed by a key there is no place: the middle, to be moved from there.
              const key = event.detail === 0;
              place(
                key ? 0.5 : Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)),
                key ? 0.5 : Math.min(1, Math.max(0, (event.clientY - box.top) / box.height)),
              );
            }}
          />
        )}
        {photo.marks.map((one, n) => (
          <chakra.button
            key={n}
            type="button"
            aria-label={`${MARKS[one.kind][2]}: ${one.words}`}
            aria-pressed={said === n}
            position="absolute"
            left={`${one.at.x * 100}%`}
            top={`${one.at.y * 100}%`}
            transform="translate(-50%, -50%)"
            w="30px"
            h="30px"
            borderRadius={one.kind === 'CAUTION' ? '3px' : '50%'}
            border="2px solid white"
            bg={MARKS[one.kind][0]}
            color={MARKS[one.kind][1]}
            fontFamily="mono"
            fontWeight={600}
            fontSize="sm"
            lineHeight={1}
            cursor="pointer"
            onClick={() => say(n)}
            onFocus={() => say(n)}
          >
            {one.kind === 'CAUTION' ? '!' : n + 1}
          </chakra.button>
        ))}
      </Box>
      <Box fontSize="sm" minH="22px" aria-live="polite">
        {mark ? (
          <>
            <b>{MARKS[mark.kind][2]}:</b> {mark.words}
          </>
        ) : (
          photo.words
        )}
      </Box>
    </Box>
  );
}
