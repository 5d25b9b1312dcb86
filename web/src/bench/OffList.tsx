import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { fastenerWords } from '../api/words';
import { Fastener, fastenerWidthMm } from '../drawing/Fastener';

type Thing = Schemas['ThingView'];
const SCALE = 5;
const WIDEST = 170;

/** What a step takes off or puts back, drawn to scale with its words beside it. */
export function OffList({
  step,
  way,
  count,
  named,
}: {
  step: Schemas['StepView'];
  way: 'IN' | 'OUT';
  count: (thing: Thing) => number;
  /** ids of what is asked for by name beside it */
  named: string[];
}) {
  const things = step.things.filter((thing) => count(thing) > 0 && !named.includes(thing.id));
  if (things.length === 0 && named.length > 0) {
    return null;
  }
  if (step.things.length === 0) {
    return <Box color="chalkDust">Nothing comes off in this step.</Box>;
  }
  return (
    <Box bg="matDeep" border="1px solid" borderColor="matEdge" borderRadius="sm" p="10px 14px">
      <Box color="chalkDust" fontSize="sm" mb="4px">
        {way === 'IN' ? 'Comes off' : things.length > 0 ? 'Goes back' : 'Nothing of this step is in the tray'}
      </Box>
      {things.map((thing) => (
        <Line key={thing.id} thing={thing} count={count(thing)} />
      ))}
    </Box>
  );
}

function Line({ thing, count }: { thing: Thing; count: number }) {
  const width = thing.shape ? fastenerWidthMm(thing.shape) * SCALE + 10 : 0;
  const height = thing.shape ? Math.max(34, thing.shape.headDiameterMm * SCALE + 8) : 30;
  return (
    <Box display="flex" alignItems="center" gap="12px" py="3px">
      <chakra.span
        fontFamily="mono"
        fontWeight={600}
        fontSize="lg"
        color="brassPale"
        w="48px"
        whiteSpace="nowrap"
      >
        {thing.counted ? `${count} ×` : '? ×'}
      </chakra.span>
      {thing.group && thing.shape && (
        // Whole, point and all: a long one is drawn smaller, and the words beside it give way.
        <svg
          width={Math.min(WIDEST, width)}
          height={height}
          viewBox={`0 0 ${width} ${height}`}
          style={{ flexShrink: 0 }}
          aria-hidden="true"
        >
          <Fastener group={thing.group} shape={thing.shape} scale={SCALE} x={3} y={height / 2} />
        </svg>
      )}
      <Box fontSize="md" minW={0}>
        {thing.label}
        {thing.altered && <chakra.b color="brassLight"> here: {thing.altered}</chakra.b>}
        <Box color="chalkDust" fontSize="sm">
          {thing.group
            ? fastenerWords(thing.group)
            : thing.hint || (thing.kind === 'CONNECTOR' ? 'plug' : 'loose piece')}
        </Box>
      </Box>
    </Box>
  );
}
