import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { z } from 'zod';
import { answer, api, type Schemas, seen } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency, useMay } from '../api/session';
import { useTitle } from '../app/useTitle';
import { Form } from '../form/Form';
import { ChoiceIn, SumIn, TextIn, WordsIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Row } from '../parts/Fields';
import { Loaded } from '../parts/States';
import { plainSum } from '../typed/sum';
import { Electrical } from './Electrical';
import { Hours } from './Hours';
import { Slots } from './Slots';

type Settings = Schemas['ShopSettings'];

/** What holds for the whole shop: its money, its clock, its hours, its rack. */
export default function ShopPage() {
  useTitle('The shop');
  const shop = useQuery({ queryKey: answers.shop(), queryFn: () => answer(api.GET('/api/shop')) });
  const mayChange = useMay('SETTINGS');
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '660px 1fr' }} flex="1">
      <Loaded query={shop}>
        {(now) => (
          <>
            <Box bg="card" p="14px 22px" borderRight="1px solid" borderColor="line">
              <SettingsForm key={now.version} shop={now} changeable={mayChange} />
            </Box>
            <Box p="14px 22px" minW={0}>
              <Slots slots={now.slots} changeable={mayChange} />
            </Box>
          </>
        )}
      </Loaded>
    </Box>
  );
}

/** Settings as they are typed: sums and quantities in the words of whoever types them. */
function typed({ hourMinor, electrical, ...rest }: Settings, currency: string) {
  return {
    ...rest,
    hour: plainSum(hourMinor, currency),
    electrical: {
      ...electrical,
      earthOhm: String(electrical.earthOhm),
      earthedMohm: String(electrical.earthedMohm),
      doubleMohm: String(electrical.doubleMohm),
    },
  };
}

function SettingsForm({ shop, changeable }: { shop: Schemas['ShopView']; changeable: boolean }) {
  const currency = useCurrency();
  const blank = typed(shop.settings, currency);
  type Typed = typeof blank;
  const form = useSending({
    blank,
    check: z.looseObject({
      name: said.words('Say what the shop is called'),
      currency: z.string().trim().toUpperCase(),
      hour: said.sum(currency),
      electrical: z.looseObject({
        earthOhm: said.quantity('Ω', 'Say the most'),
        earthedMohm: said.quantity('MΩ', 'Say the least'),
        doubleMohm: said.quantity('MΩ', 'Say the least'),
      }),
    }) as unknown as z.ZodType<Settings & { hour: number }, Typed>,
    kept: changeable ? `shop ${shop.version}` : undefined,
    send: ({ hour, ...settings }) =>
      answer(
        api.PUT('/api/shop', {
          params: { header: seen(shop.version) },
          body: { ...settings, hourMinor: hour },
        }),
      ),
  });
  const now = form.value;
  const changed = JSON.stringify(now) !== JSON.stringify(blank);
  return (
    <Form of={form} name="The shop" first={false} gap="0">
      <chakra.h1 mb="8px">The shop</chakra.h1>
      <chakra.fieldset disabled={!changeable} border="none" p={0} m={0} minW={0}>
        <Row name="Name">
          <TextIn of={form} at="name" label="As it stands on papers" compact />
        </Row>
        <Row name="Money">
          <Box display="grid" gridTemplateColumns="130px 1fr" gap="10px">
            <TextIn
              of={form}
              at="currency"
              label="Currency"
              compact
              maxLength={3}
              textTransform="uppercase"
              disabled={shop.currencyIsFixed}
              hint={shop.currencyIsFixed ? 'Sums are kept in it' : 'Three letters'}
            />
            <SumIn of={form} at="hour" label="An hour at the bench costs" compact />
          </Box>
          <Box mt="6px">
            <ChoiceIn
              of={form}
              at="decimal"
              label="Numbers are written"
              words={floor.DecimalMark}
              off={!changeable}
            />
          </Box>
        </Row>
        <Row name="Days, clock">
          <ChoiceIn of={form} at="dates" label="Days are written" words={floor.DateOrder} off={!changeable} />
          <TextIn of={form} at="zone" label="Time zone" compact list="zones" />
          <datalist id="zones">
            {Intl.supportedValuesOf('timeZone').map((zone) => (
              <option key={zone} value={zone} />
            ))}
          </datalist>
        </Row>
        <Row name="Open">
          <Hours open={now.open} set={(open) => form.put('open', open)} />
        </Row>
        <Row name="Tags">
          <ChoiceIn of={form} at="tags" label="Tags are printed on" words={floor.TagSize} off={!changeable} />
        </Row>
        <Row name="Mains side">
          <Electrical of={form} off={!changeable} />
        </Row>
        <Row name="Terms">
          <WordsIn of={form} at="terms" label="At the foot of the slip" compact rows={2} />
        </Row>
      </chakra.fieldset>
      {changeable ? (
        <Act look="main" type="submit" mt="8px" justifySelf="start" disabled={!changed || form.pending}>
          Save it
        </Act>
      ) : (
        <Box color="muted">A lead changes these.</Box>
      )}
    </Form>
  );
}
