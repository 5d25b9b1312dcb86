import { Box, chakra } from '@chakra-ui/react';

/** A count with a large target either side: no typing with dirty hands. */
export function Counter({
  label,
  value,
  most,
  set,
}: {
  label: string;
  value: number;
  most: number;
  set: (value: number) => void;
}) {
  const knob = {
    type: 'button',
    w: '44px',
    h: '44px',
    fontSize: '2xl',
    border: '1px solid',
    borderColor: 'matLine',
    borderRadius: 'sm',
    cursor: 'pointer',
    _disabled: { opacity: 0.35 },
  } as const;
  return (
    <Box textAlign="center" role="group" aria-label={label}>
      <Box fontSize="sm" color="chalkDust">
        {label}
      </Box>
      <Box display="flex" alignItems="center" gap="4px" justifyContent="center">
        <chakra.button
          {...knob}
          aria-label={`one less ${label}`}
          disabled={value <= 0}
          onClick={() => set(value - 1)}
        >
          −
        </chakra.button>
        <chakra.span fontFamily="mono" fontWeight={600} fontSize="xl" w="34px" aria-live="polite">
          {value}
        </chakra.span>
        <chakra.button
          {...knob}
          aria-label={`one more ${label}`}
          disabled={value >= most}
          onClick={() => set(value + 1)}
        >
          +
        </chakra.button>
      </Box>
    </Box>
  );
}
