import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { day, moment } from '../api/words';
import { useKeys } from '../app/keys';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Loaded, Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import { money } from '../typed/sum';
import { Bar } from './DonorList';
import { PartPick } from './PartPick';

type Register = Schemas['DonorRegister'];
type Piece = Schemas['DonorPiece'];

/** One unit that is kept for parts: what in it is known, how one gets at it, what it would carry away, and what went out. */
export function DonorOpened({ unit }: { unit: number }) {
  const donor = useQuery({
    queryKey: answers.donor(unit),
    queryFn: () => answer(api.GET('/api/donors/{unit}', { params: { path: { unit } } })),
  });
  return <Loaded query={donor}>{(now) => <Opened now={now} />}</Loaded>;
}

function Opened({ now }: { now: Register }) {
  const client = useQueryClient();
  const currency = useCurrency();
  const [placing, setPlacing] = useState(false);
  const [out, setOut] = useState<Piece>();
  const [emptying, setEmptying] = useState(false);
  const empty = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/donors/{unit}/words', {
          params: { path: { unit: now.unitId } },
          body: { place: '', gone: true },
        }),
      ),
    onSuccess: () => client.invalidateQueries(),
  });
  const take = useMutation({
    mutationFn: ({ piece, partId }: { piece: Piece; partId: number }) =>
      answer(
        api.POST('/api/donors/{unit}/taken', {
          params: { path: { unit: now.unitId } },
          body: { componentId: piece.componentId, partId },
        }),
      ),
    onSuccess: () => {
      setOut(undefined);
      client.invalidateQueries();
    },
  });
  useKeys([{ key: 'P', label: 'Say where it stands', act: () => setPlacing(true) }]);
  return (
    <>
      <Box display="flex" alignItems="center" gap="10px">
        <Tag text={now.tag} size={20} />
        <chakra.h1 flex="1">{now.model}</chakra.h1>
        <Link to={`/jobs/${now.jobId}`} style={{ textDecoration: 'underline' }}>
          its story
        </Link>
      </Box>
      <Box fontSize="sm" color="muted" my="4px">
        kept {day(now.keptAt)} · {now.place ? `stands: ${now.place}` : 'nobody said where it stands'} ·{' '}
        {money(now.leftMinor, currency)} left of {money(now.paidMinor, currency)}; what is good in it would
        cost {money(now.goodMinor, currency)} new
      </Box>
      <Bar pieces={now.pieces} />
      <Box display="flex" gap="8px" my="8px" flexWrap="wrap">
        <Act keyName="P" onClick={() => setPlacing(true)}>
          Where it stands
        </Act>
        {emptying ? (
          <>
            <Act look="main" disabled={empty.isPending} onClick={() => empty.mutate()}>
              Yes, nothing is left of it
            </Act>
            <Act onClick={() => setEmptying(false)}>No</Act>
          </>
        ) : (
          <Act onClick={() => setEmptying(true)}>Nothing is left of it</Act>
        )}
      </Box>
      <Trouble error={empty.error ?? take.error} />
      {placing && <PlaceForm unit={now.unitId} place={now.place} done={() => setPlacing(false)} />}
      {now.pieces.map((piece) => (
        <PieceRow
          key={piece.componentId}
          piece={piece}
          taking={out?.componentId === piece.componentId}
          take={() => setOut(piece)}
          leave={() => setOut(undefined)}
          into={(part) => take.mutate({ piece, partId: part.id })}
        />
      ))}
      {now.moves.length > 0 && (
        <>
          <chakra.h2 fontWeight={700} mt="12px">
            What went out
          </chakra.h2>
          {now.moves.map((move) => (
            <Box
              key={`${move.at} ${move.name} ${move.out}`}
              fontSize="sm"
              borderTop="1px solid"
              borderColor="line"
              py="4px"
            >
              <b>{move.name}</b> {move.out ? '' : 'came back from '}
              {move.tag ? <Tag text={move.tag} size={13} /> : move.drawer && `into drawer ${move.drawer}`}{' '}
              <chakra.span fontFamily="mono">{money(move.valueMinor, currency)}</chakra.span>{' '}
              <chakra.span color="muted">
                {moment(move.at)}, {move.by}
              </chakra.span>
            </Box>
          ))}
        </>
      )}
    </>
  );
}

function PieceRow({
  piece,
  taking,
  take,
  leave,
  into,
}: {
  piece: Piece;
  taking: boolean;
  take: () => void;
  leave: () => void;
  into: (part: Schemas['Part']) => void;
}) {
  const currency = useCurrency();
  const there = piece.state === 'GOOD' || piece.state === 'UNKNOWN';
  const colour = piece.state === 'GOOD' ? 'mat' : piece.state === 'BAD' ? 'hazard' : 'muted';
  return (
    <Box borderTop="1px solid" borderColor="line" py="5px">
      <Box display="flex" gap="10px" alignItems="center">
        <Box flex="1" opacity={piece.state === 'GONE' ? 0.6 : 1}>
          <b>{piece.name}</b>{' '}
          <chakra.span color={colour} fontWeight={600} fontSize="sm">
            {floor.InDonor[piece.state]}
          </chakra.span>
          <Box fontSize="sm" color="muted">
            {[
              piece.state !== 'GONE' &&
                piece.told &&
                piece.toldAt &&
                `${piece.told.replace(/^(good|bad), /, '')}, ${day(piece.toldAt)}`,
              there &&
                piece.minutes !== undefined &&
                `${Math.max(1, Math.round(piece.minutes))} min to get at it`,
              there && piece.shareMinor !== undefined && `carries ${money(piece.shareMinor, currency)}`,
              there && piece.newMinor !== undefined && `${money(piece.newMinor, currency)} new`,
            ]
              .filter(Boolean)
              .join(' · ')}
            {there && piece.breaks.length > 0 && (
              <chakra.span color="amberInk"> · cannot be undone: {piece.breaks.join(', ')}</chakra.span>
            )}
          </Box>
        </Box>
        {there && !taking && (
          <Act minH="34px" fontSize="sm" aria-label={`Into a drawer: ${piece.name}`} onClick={take}>
            into a drawer
          </Act>
        )}
      </Box>
      {taking && (
        <Box pl="10px" borderLeft="3px solid" borderColor="mat" my="4px">
          <PartPick label="What it is in the drawers" picked={into} compact any />
          <Act look="quiet" minH="30px" onClick={leave}>
            leave it in
          </Act>
        </Box>
      )}
    </Box>
  );
}

function PlaceForm({ unit, place, done }: { unit: number; place: string; done: () => void }) {
  const form = useSending({
    blank: { place },
    check: z.object({ place: said.words('Say where it stands') }),
    kept: `donor ${unit}`,
    send: (body) =>
      answer(
        api.POST('/api/donors/{unit}/words', { params: { path: { unit } }, body: { ...body, gone: false } }),
      ),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Where it stands" my="6px">
      <TextIn of={form} at="place" label="Where it stands" placeholder="cellar, left of the door" />
      <Sends of={form} go="Keep it" />
    </Form>
  );
}
