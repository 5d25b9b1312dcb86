import { Box, chakra } from '@chakra-ui/react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form, Sends } from '../form/Form';
import { ChoiceIn, QuantityIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Caution } from '../parts/States';

const LEAD = { sound: 'lead and plug are sound', not: 'they are not' };

const rest = {
  insulation: said.quantity('MΩ', 'Measure it, or write the end of the range'),
  lead: z.enum(['sound', 'not'], 'Say whether the lead and its plug are sound'),
  words: z.string(),
};
const measured = z.discriminatedUnion('protection', [
  z.object({ protection: z.literal('EARTHED'), earth: said.quantity('Ω', 'Measure it'), ...rest }),
  z.object({ protection: z.literal('DOUBLE_INSULATED'), earth: z.string(), ...rest }),
]);

type Said = {
  protection: Schemas['ElectricalSaid']['protection'];
  earth: string;
  insulation: string;
  lead: '' | keyof typeof LEAD;
  words: string;
};

/** Earth, insulation and lead, measured closed after work on the mains side. */
export function ElectricalForm({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const job = sheet.job.id;
  const form = useSending({
    blank: { protection: 'EARTHED', earth: '', insulation: '', lead: '', words: '' } as Said,
    check: measured as unknown as z.ZodType<z.output<typeof measured>, Said>,
    kept: `electrical ${job}`,
    send: (now) =>
      answer(
        api.POST('/api/jobs/{job}/electrical', {
          params: { path: { job } },
          body: {
            protection: now.protection,
            earthOhm: now.protection === 'EARTHED' ? now.earth : undefined,
            insulationMohm: now.insulation,
            leadSound: now.lead === 'sound',
            words: now.words,
          },
        }),
      ),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Electrical check">
      <chakra.h2>Electrical check</chakra.h2>
      {sheet.mains && <Box fontSize="sm">{sheet.mains}</Box>}
      <Caution>
        Only by somebody who may measure this where you are. Closed, unplugged, hands off the unit while the
        tester puts its voltage on. Your local rules decide.
      </Caution>
      <ChoiceIn of={form} at="protection" label="How it protects" words={floor.Protection} />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        {form.value.protection === 'EARTHED' && (
          <QuantityIn of={form} at="earth" label="Earth, plug to metal" unit="Ω" />
        )}
        <QuantityIn
          of={form}
          at="insulation"
          label="Insulation, poles to metal"
          unit="MΩ"
          hint="MΩ; over the range: its end"
        />
      </Box>
      <ChoiceIn of={form} at="lead" label="Lead, plug and strain relief" words={LEAD} />
      <TextIn of={form} at="words" label="Instrument, remark (may be empty)" />
      <Sends of={form} go="That is what was measured" />
    </Form>
  );
}
