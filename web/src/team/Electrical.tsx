import { Box } from '@chakra-ui/react';
import type { FieldValues, Path } from 'react-hook-form';
import { QuantityIn, TextIn } from '../form/fields';
import type { Fields } from '../form/useSending';
import { Choice } from '../parts/Choice';

const FIELDS = [
  ['earthOhm', 'Earth, most', 'Ω'],
  ['earthedMohm', 'Insulation, earthed, least', 'MΩ'],
  ['doubleMohm', 'Insulation, double, least', 'MΩ'],
] as const;

const ASKED = { yes: 'asked for before it leaves', no: 'not done here' };

type Limits = {
  electrical: { asked: boolean; earthOhm: string; earthedMohm: string; doubleMohm: string; rule: string };
};

/** What the gate asks for after work on the mains side; what local rules ask for decides. */
export function Electrical<In extends FieldValues & Limits>({ of, off }: { of: Fields<In>; off: boolean }) {
  const at = (name: keyof Limits['electrical']) => `electrical.${name}` as Path<In>;
  return (
    <>
      <Choice
        mb="4px"
        label="Electrical check after work on the mains side"
        words={ASKED}
        picked={of.value.electrical.asked ? 'yes' : 'no'}
        pick={(one) => of.put(at('asked'), (one === 'yes') as never)}
        off={off}
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="8px">
        {FIELDS.map(([name, label, unit]) => (
          <QuantityIn key={name} of={of} at={at(name)} label={label} compact unit={unit} />
        ))}
      </Box>
      <TextIn of={of} at={at('rule')} label="By which rule, as it stands on papers" compact />
    </>
  );
}
