import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas, seen } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useMay } from '../api/session';
import { useTitle } from '../app/useTitle';
import { Act, Chip } from '../parts/Buttons';
import { Row, Text, Words } from '../parts/Fields';
import { SumField } from '../parts/MoneyField';
import { Loaded, Trouble } from '../parts/States';
import { Electrical } from './Electrical';
import { Hours } from './Hours';
import { Slots } from './Slots';

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
              <Settings key={now.version} shop={now} changeable={mayChange} />
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

function Settings({ shop, changeable }: { shop: Schemas['ShopView']; changeable: boolean }) {
  const client = useQueryClient();
  const [said, say] = useState(shop.settings);
  const set = (part: Partial<Schemas['ShopSettings']>) => say((now) => ({ ...now, ...part }));
  const save = useMutation({
    mutationFn: () => answer(api.PUT('/api/shop', { params: { header: seen(shop.version) }, body: said })),
    // Every sum and every date on the screen may read otherwise now.
    onSuccess: () => client.invalidateQueries(),
  });
  const changed = JSON.stringify(said) !== JSON.stringify(shop.settings);
  const { earthOhm, earthedMohm, doubleMohm } = said.electrical;
  const unread = [said.hourMinor, earthOhm, earthedMohm, doubleMohm].some(Number.isNaN);
  return (
    <chakra.form
      aria-label="The shop"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <chakra.h1 mb="8px">The shop</chakra.h1>
      <chakra.fieldset disabled={!changeable} border="none" p={0} m={0} minW={0}>
        <Row name="Name">
          <Text
            label="As it stands on papers"
            compact
            value={said.name}
            onChange={(event) => set({ name: event.target.value })}
          />
        </Row>
        <Row name="Money">
          <Box display="grid" gridTemplateColumns="130px 1fr" gap="10px">
            <Text
              label="Currency"
              compact
              maxLength={3}
              disabled={shop.currencyIsFixed}
              hint={shop.currencyIsFixed ? 'Sums are kept in it' : 'Three letters'}
              value={said.currency}
              onChange={(event) => set({ currency: event.target.value.toUpperCase() })}
            />
            <SumField
              label="An hour at the bench costs"
              compact
              minor={said.hourMinor}
              set={(hourMinor) => set({ hourMinor })}
            />
          </Box>
          <Box display="flex" gap="6px" mt="6px" role="group" aria-label="Numbers are written">
            {(Object.keys(floor.DecimalMark) as (keyof typeof floor.DecimalMark)[]).map((mark) => (
              <Chip key={mark} on={said.decimal === mark} onClick={() => set({ decimal: mark })}>
                {floor.DecimalMark[mark]}
              </Chip>
            ))}
          </Box>
        </Row>
        <Row name="Clock">
          <Text
            label="Time zone"
            compact
            list="zones"
            value={said.zone}
            onChange={(event) => set({ zone: event.target.value })}
          />
          <datalist id="zones">
            {Intl.supportedValuesOf('timeZone').map((zone) => (
              <option key={zone} value={zone} />
            ))}
          </datalist>
        </Row>
        <Row name="Open">
          <Hours open={said.open} set={(open) => set({ open })} />
        </Row>
        <Row name="Tags">
          <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="Tags are printed on">
            {(Object.keys(floor.TagSize) as (keyof typeof floor.TagSize)[]).map((size) => (
              <Chip key={size} on={said.tags === size} onClick={() => set({ tags: size })}>
                {floor.TagSize[size]}
              </Chip>
            ))}
          </Box>
        </Row>
        <Row name="Mains side">
          <Electrical limits={said.electrical} set={(electrical) => set({ electrical })} />
        </Row>
        <Row name="Terms">
          <Words
            label="At the foot of the slip"
            compact
            rows={2}
            value={said.terms}
            onChange={(event) => set({ terms: event.target.value })}
          />
        </Row>
      </chakra.fieldset>
      <Trouble error={save.error} />
      {changeable ? (
        <Act look="main" type="submit" mt="8px" disabled={!changed || unread || save.isPending}>
          Save it
        </Act>
      ) : (
        <Box color="muted">A lead changes these.</Box>
      )}
    </chakra.form>
  );
}
