import { chakra } from '@chakra-ui/react';

/** A unit's tag: a strip of masking tape with hand-sized letters. */
export function Tag({
  text,
  size = 15,
  flag,
  danger,
}: {
  text: string;
  size?: number;
  flag?: string;
  /** what came with it and can hurt */
  danger?: string;
}) {
  const strip = (
    <chakra.span
      display="inline-block"
      justifySelf="start"
      bg="tape"
      color="onTape"
      fontFamily="mono"
      fontWeight={600}
      whiteSpace="nowrap"
      lineHeight={1.35}
      style={{
        fontSize: size,
        padding: `${size * 0.2}px ${size * 0.66}px`,
        clipPath:
          'polygon(0 12%,3% 0,6% 9%,94% 0,100% 10%,97% 52%,100% 94%,95% 100%,5% 93%,2% 100%,0 88%,2% 50%)',
      }}
    >
      {text}
    </chakra.span>
  );
  const hangs = danger || flag;
  return hangs ? (
    <chakra.span display="inline-grid" justifyItems="start">
      {strip}
      <chakra.span
        bg={danger ? 'hazard' : 'amber'}
        color="onMat"
        fontFamily="mono"
        fontSize="xs"
        fontWeight={600}
        px="6px"
        whiteSpace="nowrap"
        ml="8px"
        borderRadius="0 0 3px 3px"
      >
        {hangs}
      </chakra.span>
    </chakra.span>
  ) : (
    strip
  );
}
