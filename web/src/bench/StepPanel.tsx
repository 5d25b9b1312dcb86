import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { sideWords } from '../api/words';
import { useKeys } from '../app/keys';
import { CheckForm } from '../job/CheckForm';
import { Act } from '../parts/Buttons';
import { Caution, Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import type { Press } from './BenchPage';
import { FoundOtherwise } from './FoundOtherwise';
import { countWords, inAccount } from './heaps';
import { NotAllBack } from './NotAllBack';
import { NotesAreWrong } from './NotesAreWrong';
import { OffList } from './OffList';
import { WhichVariant } from './WhichVariant';

type Props = {
  bench: Schemas['BenchView'];
  way: 'IN' | 'OUT';
  /** sub-assemblies that are not gone into */
  passed: number[];
  pass: (component: number) => void;
  step?: Schemas['StepView'];
  turn: (way: 'IN' | 'OUT') => void;
  choose: (step: string) => void;
  press: (press: Press) => void;
  busy: boolean;
  error: unknown;
};

/** The step that is next, large: the caution first, then what to do, what comes off, and the keys. */
export function StepPanel({ bench, way, passed, pass, step, turn, choose, press, busy, error }: Props) {
  const [otherwise, setOtherwise] = useState(false);
  const [checking, setChecking] = useState(false);
  const [wrong, setWrong] = useState(false);

  const there = (thing: Schemas['ThingView']) =>
    way === 'IN' ? inAccount(thing, 'FITTED') + inAccount(thing, 'REPLACED') : inAccount(thing, 'TRAY');
  const moving = step?.things.map((thing) => ({ kind: thing.kind, count: there(thing) })) ?? [];
  const plain = () => {
    if (step && !busy) {
      press(
        way === 'IN' ? { act: 'in', step: step.id, found: [] } : { act: 'out', step: step.id, settled: [] },
      );
    }
  };
  const other = way === 'IN' ? 'OUT' : 'IN';
  const canTurn = way === 'IN' ? bench.nextOut !== undefined : bench.nextIn !== undefined;
  const closable = bench.opened && !bench.closed && bench.nextOut === undefined;
  // Asked once it can be seen, on the way in; whoever does not go into it passes it by.
  const unknown =
    way === 'IN'
      ? bench.inside.find((one) => one.fitted === undefined && !passed.includes(one.component))
      : undefined;
  const form = otherwise || checking || wrong || unknown !== undefined;
  const others = way === 'IN' && step?.insteadOf ? standIns(bench, step) : [];
  useKeys([
    { key: 'Space', label: way === 'IN' ? 'Off to the tray' : 'Back in', act: plain, off: !step || form },
    { key: 'X', label: 'Not as the notes say', act: () => setOtherwise(true), off: !step || form },
    {
      key: 'U',
      label: 'Take the last step back',
      act: () => press({ act: 'back' }),
      off: !bench.canStepBack || form,
    },
    { key: 'N', label: 'The notes are wrong', act: () => setWrong(true), off: !step || form },
    {
      key: 'O',
      label: 'The other way',
      act: () => others[0] && choose(others[0].id),
      off: others.length === 0 || form,
    },
    { key: 'T', label: 'Turn round', act: () => turn(other), off: !canTurn || form },
    { key: 'K', label: 'Enter a check', act: () => setChecking(true), off: !bench.opened || form },
    { key: 'C', label: 'Close up', act: () => press({ act: 'close' }), off: !closable || form },
  ]);
  return (
    <Box
      p="18px 24px"
      borderRight="1px solid"
      borderColor="matGrid"
      display="flex"
      flexDirection="column"
      gap="12px"
      overflowY="auto"
      maxH={{ lg: 'calc(100vh - 128px)' }}
    >
      <Box display="flex" justifyContent="space-between" alignItems="center">
        <Tag text={bench.tag} />
        <Box fontFamily="mono" fontWeight={600} fontSize="15px" color="chalkDust">
          {position(bench, way, step)}
        </Box>
      </Box>
      {checking ? (
        <Box bg="card" color="ink" borderRadius="sm" p="12px">
          <CheckForm
            job={bench.jobId}
            stage={bench.closed ? 'AFTER_CLOSING' : 'BEFORE_CLOSING'}
            done={() => setChecking(false)}
          />
        </Box>
      ) : unknown ? (
        <WhichVariant
          key={unknown.component}
          inside={unknown}
          busy={busy}
          fit={(revision) => press({ act: 'fit', component: unknown.component, revision })}
          leave={() => pass(unknown.component)}
        />
      ) : step ? (
        <StepWords step={step} way={way} before={bench.opened ? '' : bench.before} />
      ) : (
        <EndOfWay bench={bench} way={way} />
      )}
      {step && !form && <OffList step={step} way={way} count={there} />}
      {step && otherwise && way === 'IN' && (
        <FoundOtherwise
          step={step}
          busy={busy}
          leave={() => setOtherwise(false)}
          enter={(found) => press({ act: 'in', step: step.id, found })}
        />
      )}
      {step && otherwise && way === 'OUT' && (
        <NotAllBack
          step={step}
          busy={busy}
          leave={() => setOtherwise(false)}
          enter={(settled) => press({ act: 'out', step: step.id, settled })}
        />
      )}
      {step && wrong && <NotesAreWrong bench={bench} step={step} done={() => setWrong(false)} />}
      <Trouble error={error} />
      {!form && (
        <Box mt="auto" display="grid" gridTemplateColumns="1fr 1fr" gap="9px">
          {step && (
            <Act
              look="benchMain"
              gridColumn="1 / -1"
              minH="62px"
              fontSize="21px"
              keyName="Space"
              disabled={busy}
              onClick={plain}
            >
              {way === 'IN' ? `Off to tray (${countWords(moving)})` : `Back in (${countWords(moving)})`}
            </Act>
          )}
          {closable && (
            <Act
              look="benchMain"
              gridColumn="1 / -1"
              minH="62px"
              fontSize="21px"
              keyName="C"
              disabled={busy}
              onClick={() => press({ act: 'close' })}
            >
              Close up
            </Act>
          )}
          {step && (
            <Act look="bench" minH="48px" keyName="X" onClick={() => setOtherwise(true)}>
              {way === 'IN' ? 'Not as the notes say' : 'Not all of it back'}
            </Act>
          )}
          {others.map((other) => (
            <Act
              key={other.id}
              look="bench"
              minH="48px"
              keyName={other === others[0] ? 'O' : undefined}
              onClick={() => choose(other.id)}
            >
              Or: {other.title}
            </Act>
          ))}
          {step && (
            <Act look="bench" minH="48px" keyName="N" onClick={() => setWrong(true)}>
              The notes are wrong
            </Act>
          )}
          {bench.canStepBack && (
            <Act look="bench" minH="48px" keyName="U" disabled={busy} onClick={() => press({ act: 'back' })}>
              Take that back
            </Act>
          )}
          {canTurn && (
            <Act look="bench" minH="48px" keyName="T" onClick={() => turn(other)}>
              {way === 'IN' ? 'Turn round: way out' : 'Turn round: way in'}
            </Act>
          )}
          {bench.opened && (
            <Act look="bench" minH="48px" keyName="K" onClick={() => setChecking(true)}>
              Check it
            </Act>
          )}
        </Box>
      )}
    </Box>
  );
}

/** Other steps that do the same, to be done instead. */
function standIns(bench: Schemas['BenchView'], step: Schemas['StepView']) {
  return bench.steps.filter((one) => one.insteadOf === step.insteadOf && one.id !== step.id);
}

function position(bench: Schemas['BenchView'], way: 'IN' | 'OUT', step?: Schemas['StepView']): string {
  if (!step) {
    return bench.closed ? 'CLOSED' : way;
  }
  const open = bench.steps.filter((one) => one.open).length;
  return way === 'IN' ? `IN · STEP ${open + 1} OF ${bench.stepsInAll}` : `OUT · ${open} TO GO`;
}

function StepWords({ step, way, before }: { step: Schemas['StepView']; way: 'IN' | 'OUT'; before: string }) {
  return (
    <>
      {before && (
        <Box fontSize="20px" color="brassLight">
          Before the first step: {before}.
        </Box>
      )}
      <chakra.h1 fontSize="28px" lineHeight={1.18}>
        {step.title}
      </chakra.h1>
      {step.caution && <Caution bench>{step.caution}</Caution>}
      <Box fontSize="16px" color="chalkDust">
        {[sideWords[step.side], step.tool || 'bare hands', `about ${step.minutes} min`].join(' · ')}
        {way === 'OUT' && ' · back in, the other way round'}
      </Box>
      {way === 'IN' && step.mustBeTrue && (
        <Box fontSize="20px" color="brassLight">
          First: {step.mustBeTrue}.
        </Box>
      )}
      {way === 'OUT' && step.closeUp && (
        <Box fontSize="20px" color="brassLight">
          {step.closeUp}
        </Box>
      )}
      {step.how && (
        <Box fontSize="20px" lineHeight={1.35}>
          {step.how}
        </Box>
      )}
    </>
  );
}

/** No step left this way: what that means, and what is still in the way of closing. */
function EndOfWay({ bench, way }: { bench: Schemas['BenchView']; way: 'IN' | 'OUT' }) {
  if (way === 'OUT' && bench.opened && !bench.closed) {
    return (
      <>
        <chakra.h1 fontSize="28px">{bench.inTheWay.length === 0 ? 'All back in' : 'Not yet'}</chakra.h1>
        {bench.inTheWay.length === 0 ? (
          <Box fontSize="20px">Everything is accounted for. Close it up.</Box>
        ) : (
          <chakra.ul pl="20px" fontSize="19px" display="grid" gap="6px" aria-label="In the way of closing">
            {bench.inTheWay.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </chakra.ul>
        )}
      </>
    );
  }
  return (
    <>
      <chakra.h1 fontSize="28px">{bench.closed ? 'It is closed' : 'Open as far as it goes'}</chakra.h1>
      <Box fontSize="20px">
        {bench.closed
          ? 'Try it with the covers on, and say how it went.'
          : 'Find what is wrong, mend it, and turn round for the way out.'}
      </Box>
    </>
  );
}
