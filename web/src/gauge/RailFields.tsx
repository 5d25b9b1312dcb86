import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { Act, Chip } from '../parts/Buttons';
import { bareField } from '../parts/Fields';
import { Beware } from './Measure';
import { MeterInput } from './meter';

type Kind = Schemas['Rail']['kind'];
type Rectifier = NonNullable<Schemas['Rail']['rectifier']>;
/** A rail as it is typed. */
export type RailLine = {
  name: string;
  from: string;
  kind: Kind;
  nominal: string;
  measured: string;
  /** how a raw rail comes from its winding; empty if nobody said */
  rectifier?: Rectifier | '';
  /** what its regulator needs above its output */
  above?: string;
  unloaded?: boolean;
  /** where they go, as the notes have it */
  probes?: string;
};

const RECTIFIERS: Record<Rectifier, string> = {
  BRIDGE: 'bridge',
  FULL_WAVE: 'two diodes, middle tap',
  HALF_WAVE: 'one diode',
  DOUBLER: 'doubler',
};
const KINDS: Record<Kind, string> = {
  SECONDARY_AC: 'winding',
  UNREGULATED: 'raw',
  REGULATED: 'regulated',
};

/** One rail: what it is made from, what it should be, what it reads; beneath it what is asked of its kind alone. */
export function RailFields({
  line,
  others,
  caution,
  set,
  remove,
}: {
  line: RailLine;
  others: RailLine[];
  caution?: string;
  set: (part: Partial<RailLine>) => void;
  remove: () => void;
}) {
  const small = { ...bareField, minH: '34px', minW: 0, px: '4px' };
  const fromWinding = others.some((one) => one.name === line.from && one.kind === 'SECONDARY_AC');
  return (
    <Box
      role="group"
      aria-label={line.name || 'new rail'}
      display="grid"
      gridTemplateColumns="70px 82px 96px 42px minmax(0, 1fr) 24px"
      gap="4px"
      borderTop="1px solid"
      borderColor="line"
      py="4px"
    >
      {caution && (
        <Box gridColumn="1 / -1">
          <Beware>{caution}</Beware>
        </Box>
      )}
      <chakra.input
        {...small}
        aria-label="Name"
        placeholder="name"
        value={line.name}
        onChange={(e) => set({ name: e.target.value })}
      />
      <chakra.select
        {...small}
        aria-label={`${line.name} comes from`}
        value={line.from}
        onChange={(e) => set({ from: e.target.value })}
      >
        <option value="">mains</option>
        {others.map(({ name }) => (
          <option key={name}>{name}</option>
        ))}
      </chakra.select>
      <chakra.select
        {...small}
        aria-label={`Kind of ${line.name}`}
        value={line.kind}
        onChange={(e) => set({ kind: e.target.value as Kind })}
      >
        {Object.entries(KINDS).map(([kind, words]) => (
          <option key={kind} value={kind}>
            {words}
          </option>
        ))}
      </chakra.select>
      <chakra.input
        {...small}
        aria-label={`${line.name} should be, ± percent if not as usual`}
        title="5, or 5 ±2 for 2 %"
        placeholder="V"
        value={line.nominal}
        onChange={(e) => set({ nominal: e.target.value })}
      />
      <MeterInput
        {...small}
        label={`${line.name} measured`}
        metered={{ fn: line.kind === 'SECONDARY_AC' ? 'VOLTS_AC' : 'VOLTS_DC', at: `rails/${line.name}` }}
        placeholder="read"
        fontWeight={700}
        value={line.measured}
        set={(measured) => set({ measured })}
      />
      <Act look="quiet" minH="32px" px="4px" aria-label={`Leave ${line.name} out`} onClick={remove}>
        ×
      </Act>
      {line.probes && (
        <Box gridColumn="1 / -1" fontSize="xs" color="muted">
          {line.probes}
        </Box>
      )}
      {line.kind === 'UNREGULATED' && (
        <Box gridColumn="2 / -1" display="flex" gap="4px">
          {fromWinding && (
            <chakra.select
              {...small}
              aria-label={`How ${line.name} is rectified`}
              value={line.rectifier ?? ''}
              onChange={(e) => set({ rectifier: e.target.value as Rectifier | '' })}
            >
              <option value="">rectified: not said</option>
              {Object.entries(RECTIFIERS).map(([kind, words]) => (
                <option key={kind} value={kind}>
                  {words}
                </option>
              ))}
            </chakra.select>
          )}
          <Chip on={line.unloaded ?? false} onClick={() => set({ unloaded: !line.unloaded })}>
            load off
          </Chip>
        </Box>
      )}
      {line.kind === 'REGULATED' && line.from && (
        <Box gridColumn="2 / -1" display="flex" gap="6px" alignItems="center" fontSize="xs" color="muted">
          needs above its output
          <chakra.input
            {...small}
            w="64px"
            aria-label={`${line.name} needs above its output`}
            placeholder="2 V"
            value={line.above ?? ''}
            onChange={(e) => set({ above: e.target.value })}
          />
        </Box>
      )}
    </Box>
  );
}
