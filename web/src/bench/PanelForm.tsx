import type { Schemas } from '../api/client';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { CheckKeys } from './CheckKeys';
import { FoundOpen } from './FoundOpen';
import { FoundOtherwise } from './FoundOtherwise';
import { KnownForm } from './KnownForm';
import { NotAllBack } from './NotAllBack';
import { NoteForm } from './NoteForm';
import { NotesAreWrong } from './NotesAreWrong';
import { OpenEnds } from './OpenEnds';
import { type Bench, type Presses, through } from './press';
import { Question } from './Question';
import { There } from './There';
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
  unsent,
  leave,
}: {
  form: Form;
  bench: Bench;
  way: Way;
  step?: Schemas['StepView'];
  press: Presses;
  busy: boolean;
  unsent: number;
  leave: () => void;
}) {
  switch (form) {
    case 'check':
      return (
        <CheckKeys
          bench={bench}
          stage={bench.stand.closed ? 'AFTER_CLOSING' : 'BEFORE_CLOSING'}
          press={press}
          busy={busy}
          leave={leave}
        />
      );
    case 'live':
      return (
        <Question
          title="What is it live for?"
          of="LIVE"
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
      return <NoteForm job={bench.unit.jobId} step={step?.id} press={press} busy={busy} leave={leave} />;
    case 'found':
      return (
        <>
          <There bench={bench} press={press} busy={busy} unsent={unsent} title="Found on the way." />
          <Leave leave={leave} />
        </>
      );
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
          of="CLOSE_FOR_NOW"
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
            of="SKIP"
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

function Leave({ leave }: { leave: () => void }) {
  useKeys([{ key: 'R', label: 'Back to the step', act: leave }]);
  return (
    <Act look="bench" minH="56px" keyName="R" onClick={leave}>
      Back to the step
    </Act>
  );
}
