import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { QuantityField } from '../parts/QuantityField';

type Limits = Schemas['ElectricalLimits'];

const FIELDS = [
  ['earthOhm', 'Earth, most', 'Ω'],
  ['earthedMohm', 'Insulation, earthed, least', 'MΩ'],
  ['doubleMohm', 'Insulation, double, least', 'MΩ'],
] as const;

/** What the gate asks for after work on the mains side; what local rules ask for decides. */
export function Electrical({ limits, set }: { limits: Limits; set: (limits: Limits) => void }) {
  return (
    <>
      <Box
        display="flex"
        gap="6px"
        mb="4px"
        role="group"
        aria-label="Electrical check after work on the mains side"
      >
        <Chip on={limits.asked} onClick={() => set({ ...limits, asked: true })}>
          asked for before it leaves
        </Chip>
        <Chip on={!limits.asked} onClick={() => set({ ...limits, asked: false })}>
          not done here
        </Chip>
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="8px">
        {FIELDS.map(([name, label, unit]) => (
          <QuantityField
            key={name}
            label={label}
            compact
            unit={unit}
            value={limits[name]}
            set={(value) => set({ ...limits, [name]: value })}
          />
        ))}
      </Box>
      <Text
        label="By which rule, as it stands on papers"
        compact
        value={limits.rule}
        onChange={(event) => set({ ...limits, rule: event.target.value })}
      />
    </>
  );
}
