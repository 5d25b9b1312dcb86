import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { CheckForm } from '../job/CheckForm';
import { FoundOpen } from './FoundOpen';
import { FoundOtherwise } from './FoundOtherwise';
import { KnownForm } from './KnownForm';
import { NotAllBack } from './NotAllBack';
import { NoteForm } from './NoteForm';
import { NotesAreWrong } from './NotesAreWrong';
import { OpenEnds } from './OpenEnds';
import { type Bench, type Presses, through } from './press';
import { Question } from './Question';
import { TurnForm } from './TurnForm';
import { WhatIsIt } from './WhatIsIt';
import type { Form, Way } from './way';

/** What stands in place of the step while something is filled in. */
export function PanelForm({
  form,
  bench,
  way,
  step,
  press,
  busy,
  leave,
}: {
  form: Form;
  bench: Bench;
  way: Way;
  step?: Schemas['StepView'];
  press: Presses;
  busy: boolean;
  leave: () => void;
}) {
  switch (form) {
    case 'check':
      return (
        <Paper>
          <CheckForm
            job={bench.unit.jobId}
            stage={bench.stand.closed ? 'AFTER_CLOSING' : 'BEFORE_CLOSING'}
            planned={bench.gate.planned}
            done={leave}
          />
        </Paper>
      );
    case 'live':
      return (
        <Question
          title="What is it live for?"
          usual={[
            ...bench.unit.modes.slice(0, 3),
            'pins are read',
            'an adjustment is made',
            'a noise is looked for',
          ]}
          go="It is live"
          busy={busy}
          leave={leave}
          enter={(why) => press({ act: 'power', said: { power: 'LIVE', why } })}
        />
      );
    case 'note':
      return <NoteForm job={bench.unit.jobId} press={press} busy={busy} leave={leave} />;
    case 'screw':
      return <WhatIsIt bench={bench} press={press} busy={busy} leave={leave} />;
    case 'foundOpen':
      return <FoundOpen bench={bench} press={press} busy={busy} leave={leave} />;
    case 'known':
      return <KnownForm bench={bench} press={press} leave={leave} />;
    case 'ends':
      return <OpenEnds bench={bench} press={press} busy={busy} leave={leave} />;
    case 'turn':
      return <TurnForm bench={bench} press={press} busy={busy} leave={leave} />;
    case 'forNow':
      return (
        <Question
          title="Closed for now, until when or what?"
          usual={['the owner needs it until the part comes', 'the part is on its way']}
          go="Close it for now"
          busy={busy}
          leave={leave}
          enter={(reason) => press({ act: 'closeForNow', reason })}
        />
      );
    case 'skip':
      return (
        step && (
          <Question
            title={`Skip "${step.title}": why?`}
            usual={['not needed for this', 'done already by somebody else', 'stuck: another way is tried']}
            go="Skip it"
            busy={busy}
            leave={leave}
            enter={(reason) => press({ act: 'skip', step: step.id, reason })}
          />
        )
      );
    case 'wrong':
      return step && <NotesAreWrong bench={bench} step={step} done={leave} />;
    case 'otherwise':
      return (
        step &&
        (way === 'IN' ? (
          <FoundOtherwise
            step={step}
            busy={busy}
            leave={leave}
            enter={(found, basis) => press({ act: 'in', step: step.id, said: { found, basis } })}
          />
        ) : (
          <NotAllBack
            job={bench.unit.jobId}
            step={step}
            busy={busy}
            leave={leave}
            enter={(settled) => through(press({ act: 'out', step: step.id, settled }))}
          />
        ))
      );
    default:
      return null;
  }
}

function Paper({ children }: { children: ReactNode }) {
  return (
    <Box bg="card" color="ink" borderRadius="sm" p="12px" data-paper="">
      {children}
    </Box>
  );
}
