import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { Form } from '../form/Form';
import { SumIn, SumTyped } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Loaded } from '../parts/States';
import { money as inMoney, minorOf } from '../typed/sum';
import { Decide } from './Decide';
import { WorthBars } from './WorthBars';

/** Of a unit to be sold: what each way leaves, what was decided, and what it fetched in the end. */
export function ToBeSold({
  job,
  notTested,
  here,
}: {
  job: Schemas['JobView'];
  /** what whoever buys it has to be told */
  notTested: string[];
  here: boolean;
}) {
  const currency = useCurrency();
  const [expected, setExpected] = useState('');
  const guess = minorOf(expected, currency) || undefined;
  const figures = useQuery({
    queryKey: answers.money(job.id, guess),
    queryFn: () =>
      answer(
        api.GET('/api/jobs/{job}/money', { params: { path: { job: job.id }, query: { expected: guess } } }),
      ),
    placeholderData: (previous) => previous,
  });
  const sell = useSending({
    blank: { fetched: '' },
    check: z.object({ fetched: said.sum(currency) }),
    kept: `sale ${job.id}`,
    send: ({ fetched }) =>
      answer(
        api.POST('/api/jobs/{job}/sale', { params: { path: { job: job.id } }, body: { minor: fetched } }),
      ),
    done: () => sell.forget(),
  });
  return (
    <Box mb="12px" role="region" aria-label="To be sold">
      <chakra.h2>To be sold: worth it?</chakra.h2>
      <Loaded query={figures}>
        {(now) => (
          <>
            {now.worth && <WorthBars worth={now.worth} paidMinor={now.paidMinor} />}
            {here && <Decide job={job.id} triage={now.triage} expectedMinor={guess} />}
            {now.sale && (
              <Box>
                Sold {now.sale.worked ? 'working' : 'as it was'} for{' '}
                <b>{inMoney(now.sale.minor, currency)}</b>.
              </Box>
            )}
            <Form
              of={sell}
              name="Sold"
              first={false}
              gridTemplateColumns="1fr 1fr auto"
              alignItems="end"
              mt="4px"
            >
              <SumTyped label="You think it fetches" compact typed={expected} type={setExpected} />
              <SumIn of={sell} at="fetched" label="Sold for" compact />
              <Act type="submit" minH="36px" disabled={sell.pending}>
                It is sold
              </Act>
            </Form>
            {notTested.length > 0 && !now.sale && (
              <Box color="amberInk">Tell whoever buys it. Not tested: {notTested.join('; ')}.</Box>
            )}
          </>
        )}
      </Loaded>
    </Box>
  );
}
