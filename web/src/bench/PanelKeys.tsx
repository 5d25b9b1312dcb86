import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Act, KeyCap } from '../parts/Buttons';
import { useGloves } from './device';
import type { MainKey, MoreKey } from './moreKeys';

/** As many as stand in one line; with gloves on, as many as a thumb tells apart. */
const SMALL = 3;
const GLOVED = 2;

/** The keys of the bench: one large, some beside it, and the seldom ones below, folded. Every key works, whether its target is shown or not. */
export function PanelKeys({ main, more }: { main?: MainKey; more: MoreKey[] }) {
  const gloved = useGloves();
  const [unfolded, setUnfolded] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: whoever puts gloves on sees the large ones.
  useEffect(() => setUnfolded(false), [gloved]);
  const often = more.filter((one) => !one.small);
  const seldom = more.filter((one) => one.small);
  const shown = gloved && !unfolded ? often.slice(0, GLOVED) : often;
  const small = unfolded ? [...seldom] : gloved ? [] : seldom.slice(0, SMALL);
  const folded = often.length + seldom.length - shown.length - small.length;
  return (
    <Box
      mt="auto"
      display="grid"
      gridTemplateColumns="1fr 1fr"
      gap="7px"
      position="sticky"
      bottom="-18px"
      bg="matSurface"
      pt="6px"
      pb="2px"
    >
      {main && (
        <Act
          look="benchMain"
          gridColumn="1 / -1"
          minH="60px"
          h={gloved ? '128px' : undefined}
          fontSize={gloved ? '3xl' : 'xl'}
          keyName={main.also ? `${main.key} or ${main.also}` : main.key}
          disabled={main.off}
          onClick={main.act}
        >
          {main.words}
        </Act>
      )}
      {shown.map((one) => (
        <Act
          key={one.words}
          look="bench"
          minH="56px"
          h={gloved ? '112px' : undefined}
          fontSize={gloved ? '2xl' : undefined}
          keyName={one.key || undefined}
          disabled={one.off}
          onClick={one.act}
        >
          {one.words}
        </Act>
      ))}
      <Box gridColumn="1 / -1" display="flex" flexWrap={unfolded ? 'wrap' : 'nowrap'} gap="0 4px">
        {small.map((one) => (
          <Small key={one.words} keyName={one.key} words={one.words} off={one.off} act={one.act} />
        ))}
        {(folded > 0 || unfolded) && (
          <Small
            words={unfolded ? 'fewer' : gloved ? 'more keys' : `${folded} more`}
            off={false}
            act={() => setUnfolded(!unfolded)}
            large={gloved}
          />
        )}
      </Box>
    </Box>
  );
}

function Small({
  keyName,
  words,
  off,
  act,
  large,
}: {
  keyName?: string;
  words: string;
  off: boolean;
  act: () => void;
  large?: boolean;
}) {
  return (
    <chakra.button
      type="button"
      display="inline-flex"
      alignItems="center"
      gap="5px"
      minH="56px"
      h={large ? '80px' : undefined}
      px="6px"
      fontSize={large ? 'xl' : 'sm'}
      color="bone"
      borderRadius="sm"
      cursor="pointer"
      whiteSpace="nowrap"
      _hover={{ bg: 'matGrid' }}
      _disabled={{ opacity: 0.5 }}
      disabled={off}
      onClick={act}
    >
      {keyName && <KeyCap name={keyName} />}
      {words}
    </chakra.button>
  );
}
