import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { behindWords, hereWords } from '../api/words';
import { OddsBar } from '../drawing/OddsBar';

/** A fault as one large target: its digit, the shop's own picture of it, how likely, and the jobs behind that. */
export function FaultRow({
  fault,
  bench,
  large,
  keyName,
  chosen,
  off,
  pick,
}: {
  fault: Schemas['LikelyHere'];
  bench?: boolean;
  large?: boolean;
  keyName: string;
  chosen?: boolean;
  off?: boolean;
  pick: () => void;
}) {
  const [edge, ground, faint] = bench ? ['matLine', 'matDeep', 'chalkDust'] : ['line', 'card', 'muted'];
  const [on, onIt] = bench ? ['brassLight', 'onBrass'] : ['mat', 'onMat'];
  return (
    <chakra.button
      type="button"
      display="grid"
      gridTemplateColumns={`40px ${fault.photo ? '52px ' : ''}1fr 34%`}
      gap="12px"
      alignItems="center"
      w="100%"
      minH="58px"
      h={large ? '112px' : undefined}
      px="10px"
      py="5px"
      textAlign="left"
      border={chosen ? '2px solid' : fault.inReach ? '1px solid' : '1px dashed'}
      borderColor={chosen ? on : edge}
      bg={chosen ? ground : 'transparent'}
      borderRadius="sm"
      cursor="pointer"
      aria-pressed={chosen}
      disabled={off}
      _hover={{ bg: ground }}
      _disabled={{ opacity: 0.6 }}
      onClick={pick}
    >
      <chakra.kbd
        fontFamily="mono"
        fontSize={keyName.length > 1 ? 'sm' : 'xl'}
        lineHeight="38px"
        textAlign="center"
        border="1px solid"
        borderColor={chosen ? on : edge}
        bg={chosen ? on : 'transparent'}
        color={chosen ? onIt : undefined}
        borderRadius="sm"
        aria-hidden="true"
      >
        {keyName}
      </chakra.kbd>
      {fault.photo && (
        <chakra.img
          src={`/api/photos/${fault.photo}`}
          alt={`What ${hereWords(fault)} looked like here`}
          w="52px"
          h="44px"
          objectFit="cover"
          borderRadius="sm"
        />
      )}
      <Box minW={0}>
        <chakra.b fontSize={large ? '2xl' : bench ? 'lg' : 'md'} lineHeight={1.2}>
          {hereWords(fault)}
        </chakra.b>
        <Box fontSize="sm" color={faint}>
          {fault.behind ? behindWords(fault.behind) : 'nothing found wrong with it yet'}
          {!fault.inReach && ', not in reach'}
        </Box>
      </Box>
      {fault.behind ? (
        <OddsBar
          probability={fault.probability}
          low={fault.low}
          high={fault.high}
          faint={fault.behind.level === 'SHIPPED'}
          bench={bench}
        />
      ) : (
        <Box h="20px" border="1px dashed" borderColor={edge} borderRadius="sm" aria-hidden="true" />
      )}
    </chakra.button>
  );
}
