import { Box, chakra } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { Schemas } from '../api/client';
import { useKeys } from '../app/keys';
import { Strokes } from '../drawing/DrawnOn';
import { Act } from '../parts/Buttons';

type Stroke = Schemas['Stroke'];
type Spot = Schemas['Spot'];

/** A finger moves in finer steps than anybody sees. */
const APART = 0.008;
const MOST_PLACES = 200;
const MOST_STROKES = 20;

/** A picture that was just taken: a finger draws over what is to be minded. */
export function PhotoPanel({
  hash,
  strokes,
  set,
}: {
  hash: string;
  strokes: Stroke[];
  set: (strokes: Stroke[]) => void;
}) {
  const [drawing, setDrawing] = useState<Spot[]>();
  const area = useRef<HTMLDivElement>(null);
  useKeys([
    {
      key: 'Backspace',
      label: 'Take the last line back',
      act: () => set(strokes.slice(0, -1)),
      off: strokes.length === 0,
    },
  ]);
  const spot = (event: React.PointerEvent): Spot => {
    const box = (area.current as HTMLDivElement).getBoundingClientRect();
    const share = (at: number, from: number, size: number) => Math.min(1, Math.max(0, (at - from) / size));
    return { x: share(event.clientX, box.left, box.width), y: share(event.clientY, box.top, box.height) };
  };
  const end = () => {
    if (drawing && drawing.length > 1 && strokes.length < MOST_STROKES) {
      set([...strokes, { through: drawing }]);
    }
    setDrawing(undefined);
  };
  return (
    <Box>
      <Box
        ref={area}
        position="relative"
        lineHeight={0}
        touchAction="none"
        cursor="crosshair"
        role="img"
        aria-label="The picture; draw over it"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setDrawing([spot(event)]);
        }}
        onPointerMove={(event) => {
          const last = drawing?.at(-1);
          const now = spot(event);
          if (
            drawing &&
            last &&
            drawing.length < MOST_PLACES &&
            Math.hypot(now.x - last.x, now.y - last.y) > APART
          ) {
            setDrawing([...drawing, now]);
          }
        }}
        onPointerUp={end}
        onPointerCancel={() => setDrawing(undefined)}
      >
        <chakra.img
          src={`/api/photos/${hash}`}
          alt="What was just taken"
          w="100%"
          borderRadius="sm"
          draggable={false}
        />
        <Strokes strokes={drawing ? [...strokes, { through: drawing }] : strokes} />
      </Box>
      <Box
        display="flex"
        justifyContent="space-between"
        alignItems="center"
        fontSize="sm"
        color="chalkDust"
        mt="4px"
      >
        Draw round what is to be minded.
        {strokes.length > 0 && (
          <Act look="bench" minH="56px" onClick={() => set(strokes.slice(0, -1))}>
            Take the last line back
          </Act>
        )}
      </Box>
    </Box>
  );
}
