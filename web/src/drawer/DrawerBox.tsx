import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { PartDrawing } from '../drawing/PartDrawing';
import { colours } from '../theme';
import { lay } from './lay';

const WIDTH = 212;
const HEIGHT = 96;

/** One drawer as it stands in the wall: what lies in it to scale, lit if something is low. */
export function DrawerBox({ drawer, open }: { drawer: Schemas['Drawer']; open: () => void }) {
  const { scale, laid } = lay(drawer.lies, WIDTH, HEIGHT);
  const more = drawer.parts - laid.length;
  const words = [
    drawer.kinds[0] ?? 'not known what',
    drawer.low > 0 && `${drawer.low} low`,
    drawer.promised > 0 && `${drawer.promised} promised`,
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <chakra.button
      type="button"
      onClick={open}
      aria-label={`Drawer ${drawer.name}: ${drawer.parts} sorts, ${words}`}
      bg="card"
      border="1px solid"
      borderColor={drawer.low > 0 ? 'amber' : 'chipEdge'}
      outline={drawer.low > 0 ? '1px solid' : undefined}
      outlineColor="amber"
      borderRadius="sm"
      textAlign="left"
      cursor="pointer"
      p="5px"
    >
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" aria-hidden="true" style={{ display: 'block' }}>
        <rect width={WIDTH} height={HEIGHT} fill={colours.paper} stroke={colours.line} />
        {laid.map(({ lies, x, y, shrunk }) => (
          <PartDrawing key={lies.part.id} lies={lies} scale={scale * shrunk} x={x} y={y} />
        ))}
      </svg>
      <Box display="flex" alignItems="center" gap="8px" pt="5px" px="4px">
        <chakra.b fontFamily="mono">{drawer.name}</chakra.b>
        <chakra.span
          w="11px"
          h="11px"
          borderRadius="full"
          bg="brass"
          border="1px solid"
          borderColor="brassInk"
          aria-hidden="true"
        />
        <chakra.span
          fontSize="xs"
          color={drawer.low > 0 ? 'amberInk' : 'muted'}
          flex="1"
          textAlign="right"
          whiteSpace="nowrap"
          overflow="hidden"
          textOverflow="ellipsis"
        >
          {words}
          {more > 0 && ` · +${more}`}
        </chakra.span>
      </Box>
    </chakra.button>
  );
}
