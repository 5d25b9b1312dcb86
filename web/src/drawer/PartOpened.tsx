import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { useKeys } from '../app/keys';
import { LevelLine } from '../drawing/LevelLine';
import { Act } from '../parts/Buttons';
import { Loaded } from '../parts/States';
import { Tag } from '../parts/Tag';
import { money } from '../typed/sum';
import { BookIn } from './BookIn';
import { CountPart } from './CountPart';
import { comingWords } from './orderWords';
import { PartForm } from './PartForm';
import { Picture } from './Picture';
import { SayFit } from './SayFit';
import { TakePart } from './TakePart';
import type { Open } from './useOpen';
import { WantPart } from './WantPart';

type Sheet = Schemas['PartSheet'];
type Doing = 'book in' | 'count' | 'change' | 'fits' | 'order' | 'take';

/** One part whole: what it is, what it fits, what may stand in for it, who waits, and when to order more. */
export function PartOpened({ id, open }: { id: number; open: Open }) {
  const sheet = useQuery({
    queryKey: answers.part(id),
    queryFn: () => answer(api.GET('/api/parts/{part}', { params: { path: { part: id } } })),
  });
  return <Loaded query={sheet}>{(now) => <Opened sheet={now} open={open} />}</Loaded>;
}

function Opened({ sheet, open }: { sheet: Sheet; open: Open }) {
  const { part } = sheet.lies;
  const currency = useCurrency();
  const [doing, setDoing] = useState<Doing>();
  const done = () => setDoing(undefined);
  useKeys([
    { key: 'B', label: 'Book in', act: () => setDoing('book in') },
    { key: 'C', label: 'Count', act: () => setDoing('count') },
    { key: 'E', label: 'Say otherwise what it is', act: () => setDoing('change') },
    { key: 'W', label: 'Say where it fits', act: () => setDoing('fits') },
    { key: 'T', label: 'Take for a unit', act: () => setDoing('take'), off: part.count === 0 },
    {
      key: 'R',
      label: 'Put on the list of what to order',
      act: () => setDoing('order'),
      off: part.care.gone,
    },
    { key: 'X', label: 'Close it', act: () => open.beside(undefined) },
  ]);
  return (
    <>
      <Box display="flex" alignItems="baseline" gap="10px">
        <chakra.h1 flex="1">{part.name}</chakra.h1>
        <chakra.span fontFamily="mono" fontWeight={600} color={part.count === 0 ? 'hazard' : 'brassInk'}>
          {part.count === 0 ? 'none left' : `${part.count} there`}
        </chakra.span>
        <Act look="quiet" minH="30px" keyName="X" onClick={() => open.beside(undefined)}>
          close
        </Act>
      </Box>
      {part.care.temporary && (
        <Box bg="tape" color="onTape" px="8px" py="3px" borderRadius="sm" my="4px">
          For a test only: it must not leave the shop.
        </Box>
      )}
      <Looks sheet={sheet} price={money(part.eachMinor, currency)} />
      <Box display="grid" gridTemplateColumns="repeat(3, 1fr)" gap="6px" my="8px">
        <Act px="8px" look="main" keyName="B" onClick={() => setDoing('book in')}>
          Book in
        </Act>
        <Act px="8px" keyName="T" disabled={part.count === 0} onClick={() => setDoing('take')}>
          Take
        </Act>
        <Act px="8px" keyName="C" onClick={() => setDoing('count')}>
          Count
        </Act>
        <Act px="8px" keyName="R" disabled={part.care.gone} onClick={() => setDoing('order')}>
          Order
        </Act>
        <Act px="8px" keyName="W" onClick={() => setDoing('fits')}>
          Fits
        </Act>
        <Act px="8px" keyName="E" onClick={() => setDoing('change')}>
          What it is
        </Act>
      </Box>
      {doing === 'book in' && <BookIn part={part} pack={part.care.pack} done={done} />}
      {doing === 'take' && <TakePart part={part} done={done} />}
      {doing === 'count' && <CountPart part={part} done={done} />}
      {doing === 'order' && (
        <WantPart
          part={part}
          count={sheet.advice?.order || part.care.pack}
          proposed={(sheet.advice?.order ?? 0) > 0}
          done={done}
        />
      )}
      {doing === 'fits' && <SayFit part={part.id} done={done} />}
      {doing === 'change' && <PartForm part={part} done={done} />}
      <Facts sheet={sheet} open={open} />
      <LevelLine levels={sheet.levels} at={sheet.advice?.at} />
      {sheet.advice && <Ordering advice={sheet.advice} gone={part.care.gone} />}
      {part.care.gone && <Box color="muted">No longer made: nothing is proposed.</Box>}
    </>
  );
}

function Looks({ sheet, price }: { sheet: Sheet; price: string }) {
  const { part } = sheet.lies;
  return (
    <Box display="grid" gridTemplateColumns="170px 1fr" gap="14px" alignItems="center">
      {part.care.photo ? (
        <chakra.img
          src={`/api/photos/${part.care.photo}`}
          alt={`${part.name}, as it looks`}
          maxH="120px"
          borderRadius="sm"
          border="1px solid"
          borderColor="line"
        />
      ) : (
        <Picture lies={sheet.lies} width={170} height={112} />
      )}
      <Box fontSize="sm">
        <Box color="chalk" fontSize="md">
          {part.told || part.what || 'Nobody has said what it is'}
        </Box>
        {sheet.unknown.length > 0 && part.spec && (
          <Box color="muted">
            not known: {sheet.unknown.map((field) => floor.PartField[field]).join(', ')}
          </Box>
        )}
        <Box>
          drawer <chakra.b fontFamily="mono">{part.drawer}</chakra.b>
          {part.care.place && `, ${part.care.place}`} · {price} each
          {part.care.pack > 1 && `, ${part.care.pack} in a pack`}
          {part.care.supplierNumber && ` · number ${part.care.supplierNumber}`}
        </Box>
        <Box color="muted" fontFamily="mono">
          <chakra.a
            href={`/api/parts/${part.id}/label.pdf`}
            target="_blank"
            rel="noreferrer"
            textDecoration="underline"
          >
            label P{part.id}
          </chakra.a>
        </Box>
      </Box>
    </Box>
  );
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns="112px 1fr"
      gap="6px"
      borderTop="1px solid"
      borderColor="line"
      py="6px"
      fontSize="sm"
    >
      <chakra.span color="muted">{name}</chakra.span>
      <Box>{children}</Box>
    </Box>
  );
}

const FITS = 5;

function Facts({ sheet, open }: { sheet: Sheet; open: Open }) {
  const more = sheet.fits.length - FITS;
  return (
    <>
      <Fact name="Fits">
        {sheet.fits.length === 0 && (
          <chakra.span color="muted">Nobody has fitted it yet, and nobody has said.</chakra.span>
        )}
        {sheet.fits.slice(0, FITS).map((fit) => (
          <FitLine key={fit.componentId} fit={fit} />
        ))}
        {more > 0 && <chakra.span color="muted">and {more} more places</chakra.span>}
      </Fact>
      {sheet.standIns.length > 0 && (
        <Fact name="May stand in">
          {sheet.standIns.map((one) => (
            <Box key={one.partId}>
              <chakra.button
                type="button"
                textDecoration="underline"
                cursor="pointer"
                onClick={() => open.beside(one.partId)}
              >
                {one.name}
              </chakra.button>
              , {one.count} in drawer {one.drawer}
              {one.judged.verdict !== 'GOOD' && <chakra.b color="amberInk"> · not sure</chakra.b>}
              <chakra.span color="muted"> ({one.judged.reasons.slice(0, 2).join('; ')})</chakra.span>
            </Box>
          ))}
        </Fact>
      )}
      {sheet.coming.length > 0 && (
        <Fact name="On order">
          {sheet.coming.map((one) => (
            <Box key={one.line}>
              {one.tag && <Tag text={one.tag} size={12} />} {comingWords(one)}
            </Box>
          ))}
        </Fact>
      )}
      {sheet.promised.length > 0 && (
        <Fact name="Promised">
          {sheet.promised.map((one) => (
            <Link key={one.job} to={`/jobs/${one.job}`} style={{ marginRight: 8 }}>
              <Tag text={one.tag} size={13} /> {one.count > 1 && `× ${one.count}`}
            </Link>
          ))}
        </Fact>
      )}
    </>
  );
}

function FitLine({ fit }: { fit: Schemas['Fit'] }) {
  const lasted = fit.fitted - fit.cameBack;
  return (
    <Box color={fit.fits === false ? 'muted' : undefined}>
      <Link to={`/models/${fit.modelId}`}>
        <b>{fit.model}</b>
      </Link>{' '}
      {fit.component}
      {fit.fitted > 0 && `, ${fit.fitted} fitted, ${lasted === fit.fitted ? 'none' : fit.cameBack} came back`}
      {fit.fits === false && (
        <>
          : <b>refused</b> by {fit.by}, {fit.why}
        </>
      )}
      {fit.fits === true && (
        <chakra.span color="muted">
          {' '}
          · {fit.by} says so: {fit.why}
        </chakra.span>
      )}
    </Box>
  );
}

function Ordering({ advice, gone }: { advice: Schemas['Advice']; gone: boolean }) {
  if (gone) {
    return null;
  }
  return (
    <Box borderLeft="5px solid" borderColor="tape" pl="12px" py="4px" mt="6px">
      {advice.order > 0 ? (
        <>
          Order <b>{advice.order}</b> now: at or below {advice.at}.
        </>
      ) : (
        <>
          Order at <b>{advice.at}</b>, {advice.reorder.orderQuantity} at a time.
        </>
      )}{' '}
      <chakra.span color="muted" fontSize="sm">
        {advice.why}.
      </chakra.span>
    </Box>
  );
}
