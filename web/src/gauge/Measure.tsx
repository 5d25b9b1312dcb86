import { Box, chakra } from '@chakra-ui/react';
import { useId } from 'react';
import { short } from '../drawing/short';
import { readQuantity } from '../typed/quantity';
import { type Metered, MeterInput } from './meter';

/** One measured value: what was typed stays as it was typed; another unit is said in ours beside it. */
export function Measure({
  label,
  unit = '',
  value,
  set,
  problem,
  metered,
  caution,
}: {
  label: string;
  unit?: string;
  value: string;
  set: (typed: string) => void;
  problem?: string;
  /** what a bench meter would be asked for it */
  metered?: Metered;
  /** what comes before a probe touches it */
  caution?: string;
}) {
  const id = useId();
  const typed = readQuantity(value, unit);
  const read = 'read' in typed ? typed.read : undefined;
  const typedUnit = value.replace(/^[\s\d.,-]+/, '').trim();
  const other = read !== undefined && typedUnit !== '' && typedUnit !== unit;
  return (
    <Box borderTop="1px solid" borderColor="line" py="5px">
      {caution && <Beware>{caution}</Beware>}
      <Box display="grid" gridTemplateColumns="1fr 110px 34px" gap="6px" alignItems="center">
        <chakra.label htmlFor={id}>{label}</chakra.label>
        <MeterInput
          id={id}
          metered={metered}
          value={value}
          set={set}
          inputMode="decimal"
          aria-invalid={problem ? true : undefined}
          fontWeight={600}
          fontSize="lg"
          textAlign="right"
          minH="36px"
          minW={0}
        />
        <chakra.span color="muted">{unit}</chakra.span>
      </Box>
      {other && read !== undefined && (
        <Box fontSize="xs" color="chalk" textAlign="right">
          taken as {short(read, 5)} {unit}
        </Box>
      )}
      {value.trim() !== '' && 'problem' in typed && (
        <Box fontSize="xs" color="hazard" role="alert">
          {typed.problem}
        </Box>
      )}
      {problem && (
        <Box fontSize="xs" color="hazard" role="alert">
          {problem}
        </Box>
      )}
    </Box>
  );
}

/** Beside the field that is to be measured: what can hurt there. */
export function Beware({ children }: { children: string }) {
  return (
    <Box fontSize="xs" color="ink" borderLeft="4px solid" borderColor="hazard" pl="6px" mb="3px">
      {children}
    </Box>
  );
}
