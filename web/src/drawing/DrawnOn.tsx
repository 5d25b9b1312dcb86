import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { colours } from '../theme';

type Stroke = Schemas['Stroke'];

/** A picture with what was drawn over it by finger. */
export function DrawnOn({ hash, strokes, words }: { hash: string; strokes: Stroke[]; words: string }) {
  return (
    <Box>
      <Box position="relative" lineHeight={0}>
        <chakra.img
          src={`/api/photos/${hash}`}
          alt={words}
          w="100%"
          borderRadius="sm"
          border="1px solid"
          borderColor="line"
        />
        <Strokes strokes={strokes} />
      </Box>
      <Box fontSize="sm">{words}</Box>
    </Box>
  );
}

/** In the measure of the picture: 0 to 1 each way. */
export function Strokes({ strokes }: { strokes: Stroke[] }) {
  return (
    <chakra.svg
      viewBox="0 0 1 1"
      preserveAspectRatio="none"
      position="absolute"
      inset={0}
      w="100%"
      h="100%"
      pointerEvents="none"
      aria-hidden="true"
    >
      {[
        [colours.onBrass, 7],
        [colours.brassPale, 4],
      ].flatMap(([colour, width]) =>
        strokes.map((stroke, n) => (
          <path
            key={`${n} ${colour}`}
            d={stroke.through.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x} ${y}`).join('')}
            fill="none"
            stroke={colour as string}
            strokeWidth={width as number}
            strokeLinecap="round"
            strokeLinejoin="round"
            vectorEffect="non-scaling-stroke"
          />
        )),
      )}
    </chakra.svg>
  );
}
