import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useKeys } from '../app/keys';
import { CheckForm } from '../job/CheckForm';
import { Act } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { Caution } from '../parts/States';
import { Aim } from './Aim';
import { Counter } from './Counter';
import { useBenchName } from './device';
import { inAccount } from './heaps';
import { LeftHalf } from './LeftHalf';
import { NoteForm } from './NoteForm';
import type { Bench, Presses } from './press';
import { SeenTo } from './SeenTo';
import { Unfinished } from './Unfinished';

type Rework = NonNullable<Schemas['StartSaid']['rework']>;

/** Before the first step: where to on the right; on the left what is missing, why again; and nothing is opened before it is off and unplugged. */
export function Start({
  bench,
  press,
  busy,
  error,
}: {
  bench: Bench;
  press: Presses;
  busy: boolean;
  error: unknown;
}) {
  const [asked] = useSearchParams();
  const [aim, setAim] = useState<Schemas['AimSaid']>({ targets: asked.getAll('to').map(Number) });
  const [missing, setMissing] = useState<Schemas['MissingSaid'][]>([]);
  const [counting, setCounting] = useState(false);
  const [picked, setPicked] = useState<Rework>();
  // What just happened is the likeliest reason, until another is picked.
  const rework = picked ?? (bench.stand.startsAgain ? bench.stand.likelyRework : undefined);
  // One thing at a time has the digits: why it is opened again, then where to.
  const why = bench.stand.startsAgain && picked === undefined;
  const [words, setWords] = useState('');
  const here = useBenchName();
  const [noting, setNoting] = useState(false);
  const [checking, setChecking] = useState(false);
  const first = bench.way.steps.filter((step) => step.needs.length === 0);
  const due = bench.gate.planned.filter((one) => one.missing !== '');
  const cautions = [...new Set(first.map((step) => step.caution).filter(Boolean))];
  const ready =
    !busy && bench.stand.notSeenTo.length === 0 && (!bench.stand.startsAgain || rework !== undefined);
  const begin = () =>
    ready &&
    press({
      act: 'start',
      said: {
        ...aim,
        off: true,
        missing: missing.filter((one) => one.count > 0),
        rework,
        words,
        bench: here || undefined,
      },
    });
  const reasons = Object.entries(floor.Rework) as [Rework, string][];
  useKeys([
    { key: 'Space', label: 'It is off and unplugged: begin', act: begin, off: !ready || noting || checking },
    { key: 'J', label: 'Note, photo', act: () => setNoting(true), off: noting },
    {
      key: 'K',
      label: 'Check as it came',
      act: () => setChecking(true),
      off: checking || bench.stand.opened,
    },
    { key: 'M', label: 'Count what is missing', act: () => setCounting(!counting), off: first.length === 0 },
    ...reasons.map(([reason, label], n) => ({
      key: String(n + 1),
      label: `Again, because ${label}`,
      act: () => setPicked(reason),
      off: !why,
    })),
    {
      key: 'R',
      label: 'Another reason',
      act: () => setPicked(undefined),
      off: !bench.stand.startsAgain || why,
    },
  ]);
  const left = (
    <>
      <chakra.h1 fontSize="3xl" lineHeight={1.18}>
        {bench.stand.startsAgain ? 'Opened again: why?' : 'Before the first step'}
      </chakra.h1>
      {bench.stand.startsAgain && (
        <Box display="grid" gap="8px" role="group" aria-label="Why it is opened again">
          {reasons.map(([reason, label], n) => (
            <Act
              key={reason}
              look={rework === reason ? 'benchMain' : 'bench'}
              minH="44px"
              keyName={why ? String(n + 1) : undefined}
              aria-pressed={rework === reason}
              onClick={() => setPicked(reason)}
            >
              {label}
            </Act>
          ))}
          <Text
            label="More about it"
            compact
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
        </Box>
      )}
      <Unfinished bench={bench} />
      {bench.unit.before && (
        <Box fontSize="xl" color="brassLight">
          {bench.unit.before}.
        </Box>
      )}
      {bench.unit.altered.length > 0 && (
        <Box fontSize="lg" role="group" aria-label="Not as made any more">
          <chakra.b color="brassLight">Not as made any more</chakra.b>
          {bench.unit.altered.map((words) => (
            <Box key={words}>{words}</Box>
          ))}
        </Box>
      )}
      {bench.stand.hazards.map((words) => (
        <Caution bench key={words}>
          {words}
        </Caution>
      ))}
      {bench.stand.notSeenTo.map((mark) => (
        <SeenTo key={mark} job={bench.unit.jobId} mark={mark} />
      ))}
      {cautions.map((words) => (
        <Caution bench key={words}>
          {words}
        </Caution>
      ))}
      {bench.way.steps.length === 0 && (
        <Box fontSize="lg">
          No notes for this one yet. Take it apart: each thing that comes off is entered with one key and a
          count, and becomes the notes.
        </Box>
      )}
      {!bench.stand.opened && !checking && due.length > 0 && (
        <Box fontSize="lg" color="brassLight" role="group" aria-label="As it came">
          Try it before it is opened: {due.map((one) => one.planned.what).join('; ')}.
        </Box>
      )}
      {checking && (
        <Box bg="card" color="ink" borderRadius="sm" p="12px" data-paper="">
          <CheckForm
            job={bench.unit.jobId}
            stage="ARRIVAL"
            planned={bench.gate.planned}
            done={() => setChecking(false)}
          />
        </Box>
      )}
      {noting && <NoteForm job={bench.unit.jobId} press={press} busy={busy} leave={() => setNoting(false)} />}
      {counting && <CountMissing steps={first} missing={missing} set={setMissing} />}
      {/* What begins it is always in sight, however much there is to read. */}
      <Box mt="auto" display="grid" gap="9px" position="sticky" bottom="-12px" bg="matSurface" py="9px">
        <Act look="benchMain" minH="62px" fontSize="xl" keyName="Space" disabled={!ready} onClick={begin}>
          It is off and unplugged: begin
        </Act>
        <Box display="grid" gridTemplateColumns="repeat(3, 1fr)" gap="9px">
          {first.length > 0 && (
            <Act look="bench" minH="56px" keyName="M" onClick={() => setCounting(!counting)}>
              {counting ? 'Counted' : 'Missing'}
            </Act>
          )}
          {!bench.stand.opened && !checking && (
            <Act look="bench" minH="56px" keyName="K" onClick={() => setChecking(true)}>
              Try it
            </Act>
          )}
          {!noting && (
            <Act look="bench" minH="56px" keyName="J" onClick={() => setNoting(true)}>
              Note, photo
            </Act>
          )}
        </Box>
      </Box>
    </>
  );
  return (
    <>
      <LeftHalf bench={bench} position="CLOSED" error={error}>
        {left}
      </LeftHalf>
      <Box p="18px 24px" overflowY="auto" maxH={{ lg: 'calc(100vh - 128px)' }}>
        {bench.way.steps.length > 0 && (
          <Aim bench={bench} aim={aim} set={setAim} digits={!why && !noting && !checking} />
        )}
      </Box>
    </>
  );
}

/** What comes off first, as it came: how many of it are not there. */
function CountMissing({
  steps,
  missing,
  set,
}: {
  steps: Schemas['StepView'][];
  missing: Schemas['MissingSaid'][];
  set: (missing: Schemas['MissingSaid'][]) => void;
}) {
  const things = steps.flatMap((step) => step.things.filter((thing) => inAccount(thing, 'FITTED') > 0));
  return (
    <Box display="flex" flexWrap="wrap" gap="10px 20px" role="group" aria-label="Missing on arrival">
      {things.map((thing) => (
        <Counter
          key={thing.id}
          label={
            thing.counted ? `${thing.label}, of ${inAccount(thing, 'FITTED')}` : `${thing.label}, not counted`
          }
          value={missing.find((one) => one.thing === thing.id)?.count ?? 0}
          most={thing.counted ? inAccount(thing, 'FITTED') : 99}
          set={(count) =>
            set([...missing.filter((one) => one.thing !== thing.id), { thing: thing.id, count }])
          }
        />
      ))}
    </Box>
  );
}
