import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useCurrency } from '../api/session';
import { offWords } from '../drawing/AccessMap';
import { Chip } from '../parts/Buttons';
import { Caution, Empty } from '../parts/States';
import { money } from '../typed/sum';

/** By what the way is chosen: time, parts, or whether it can be undone. */
export type Offer = 'time' | 'parts' | 'undo';

type Access = Schemas['Access'];

/** What the way costs, what to lay out, and its steps. */
export function WayPanel({
  notes,
  targets,
  pick,
  offers,
  offer,
  setOffer,
  point,
}: {
  notes: Schemas['WholeUnit'];
  targets: number[];
  pick: (component: number) => void;
  offers?: Schemas['Offers'];
  offer: Offer;
  setOffer: (offer: Offer) => void;
  point: (step: string) => void;
}) {
  const currency = useCurrency();
  const names = notes.components.filter((one) => targets.includes(one.id)).map((one) => one.name);
  const way = offers?.[offer] ?? offers?.time;
  return (
    <>
      <chakra.h1>{names.length > 0 ? `Way to the ${names.join(' and the ')}` : 'Where to?'}</chakra.h1>
      {targets.length === 0 && notes.components.length > 0 && (
        <Empty>
          Pick a part on the map, or several: the least way to all of them is worked out, with what to lay out
          and what will be off.
        </Empty>
      )}
      <Box display="flex" flexWrap="wrap" gap="5px" my="8px" role="group" aria-label="What to reach">
        {notes.components
          .filter((one) => targets.includes(one.id))
          .map((one) => (
            <Chip key={one.id} on minH="30px" px="8px" fontSize="sm" onClick={() => pick(one.id)}>
              {one.name} ×
            </Chip>
          ))}
      </Box>
      {notes.components.length === 0 && (
        <Empty>No step exposes anything yet: say in the notes what each one lets you reach.</Empty>
      )}
      {targets.length > 0 && !offers && <Empty>Looking for the way…</Empty>}
      {offers && way && (
        <>
          <OfferChoice offers={offers} offer={offer} choose={setOffer} currency={currency} />
          <Price access={way} exact={offers.exact} lowerBound={offers.lowerBound} offer={offer} />
          {way.waitHours > 0 && (
            <Caution>
              Left off for {way.waitHours} hours before it is opened. Plan it: the wait is part of the way.
            </Caution>
          )}
          {way.cautions.map((caution) => (
            <Box key={caution} mt="6px">
              <Caution>{caution}</Caution>
            </Box>
          ))}
          {!way.plan.reversible && (
            <Box mt="6px" borderLeft="4px solid" borderColor="amber" pl="10px" fontSize="sm">
              This way breaks something: it cannot be put back as made.
            </Box>
          )}
          {notes.overview.before && (
            <Box mt="6px" borderLeft="4px solid" borderColor="mat" pl="10px" fontSize="sm">
              <b>Before the first step:</b> {notes.overview.before}.
            </Box>
          )}
          <chakra.h2 mt="10px">Lay out</chakra.h2>
          <Box fontFamily="mono" display="flex" flexWrap="wrap" gap="4px 16px">
            {way.tools.map((tool) => (
              <span key={tool}>{tool}</span>
            ))}
            {way.tools.length === 0 && 'bare hands'}
          </Box>
          <Box color="muted" fontSize="sm">
            Will be off: {offCounts(way)}
          </Box>
          <Steps access={way} notes={notes} point={point} />
        </>
      )}
    </>
  );
}

function OfferChoice({
  offers,
  offer,
  choose,
  currency,
}: {
  offers: Schemas['Offers'];
  offer: Offer;
  choose: (offer: Offer) => void;
  currency: string;
}) {
  const same = (one: Access, other?: Access) => one.plan.order.join() === other?.plan.order.join();
  const cheaper = !same(offers.parts, offers.time);
  const undo = offers.undo && !same(offers.undo, offers.time) ? offers.undo : undefined;
  if (!cheaper && !undo && offers.time.plan.reversible) {
    return null;
  }
  const price = (access: Access) =>
    `${minutes(access.plan.minutes)}${access.plan.partsCost > 0 ? `, ${money(access.plan.partsCost, currency)}` : ''}`;
  return (
    <Box display="flex" flexWrap="wrap" gap="5px" mb="8px" role="group" aria-label="Which way">
      <Chip on={offer === 'time'} onClick={() => choose('time')}>
        quickest: {price(offers.time)}
      </Chip>
      {cheaper && (
        <Chip on={offer === 'parts'} onClick={() => choose('parts')}>
          least parts: {price(offers.parts)}
        </Chip>
      )}
      {undo && (
        <Chip on={offer === 'undo'} onClick={() => choose('undo')}>
          can be undone: {price(undo)}
        </Chip>
      )}
      {!offers.undo && <Box fontSize="sm">No way leaves it as made.</Box>}
    </Box>
  );
}

function Price({
  access,
  exact,
  lowerBound,
  offer,
}: {
  access: Access;
  exact: boolean;
  lowerBound: number;
  offer: Offer;
}) {
  const { plan, likely } = access;
  const learned =
    likely.recorded > 0
      ? `likely; ${minutes(likely.fourFifths)} four in five (${likely.recorded} of ${likely.steps} steps timed here)`
      : 'as the notes say; no times of this shop yet';
  return (
    <>
      <Box display="flex" gap="20px" alignItems="baseline">
        <Figure value={minutes(likely.half)} words="" />
        <Figure value={String(plan.flips)} words={plan.flips === 1 ? 'flip' : 'flips'} />
        <Figure
          value={String(plan.toolChanges)}
          words={plan.toolChanges === 1 ? 'tool taken up' : 'tools taken up'}
        />
      </Box>
      <Box color="muted" fontSize="sm">
        {learned}
      </Box>
      <Box borderLeft="4px solid" borderColor="mat" pl="10px" my="8px" fontSize="sm">
        By the notes {minutes(plan.minutes)}; in the order they are written {minutes(access.notesMinutes)}.{' '}
        {offer === 'time' &&
          (exact ? 'No order takes less.' : `A good order; none takes less than ${minutes(lowerBound)}.`)}
      </Box>
    </>
  );
}

function Figure({ value, words }: { value: string; words: string }) {
  return (
    <Box>
      <chakra.b fontFamily="mono" fontSize="2xl">
        {value}
      </chakra.b>{' '}
      <chakra.span color="muted" fontSize="sm">
        {words}
      </chakra.span>
    </Box>
  );
}

function Steps({
  access,
  notes,
  point,
}: {
  access: Access;
  notes: Schemas['WholeUnit'];
  point: (step: string) => void;
}) {
  return (
    <chakra.ol listStyleType="none" m={0} mt="8px" p={0} aria-label="The steps of the way">
      {access.plan.order.map((id, n) => {
        const step = notes.steps.find((one) => one.id === id);
        return (
          step && (
            <chakra.li
              key={id}
              display="grid"
              gridTemplateColumns="24px 1fr auto"
              gap="8px"
              py="5px"
              borderTop="1px solid"
              borderColor="line"
              fontSize="sm"
              onMouseEnter={() => point(id)}
            >
              <chakra.span fontFamily="mono" color="muted">
                {n + 1}
              </chakra.span>
              <Box>
                {step.title}
                <Box color="muted" fontSize="sm">
                  {floor.Side[step.side]}
                  {step.tool && ` · ${step.tool}`}
                </Box>
              </Box>
              <chakra.span fontFamily="mono" fontSize="xs" fontWeight={600} color="brassInk">
                {offWords(step)}
              </chakra.span>
            </chakra.li>
          )
        );
      })}
    </chakra.ol>
  );
}

function offCounts(access: Access): string {
  const heads = Object.entries(access.fasteners).map(
    ([head, count]) => `${count} ${floor.Head[head as keyof typeof floor.Head]}`,
  );
  return [
    ...heads,
    access.connectors > 0 ? `${access.connectors} plug${access.connectors > 1 ? 's' : ''}` : '',
    access.pieces > 0 ? `${access.pieces} loose` : '',
    access.notCounted > 0 ? `${access.notCounted} not counted` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

function minutes(value: number): string {
  return `${value < 10 ? Math.round(value * 10) / 10 : Math.round(value)} min`;
}
