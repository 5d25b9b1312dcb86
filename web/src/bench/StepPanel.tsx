import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { type Key, useKeys } from '../app/keys';
import { countWords } from '../drawing/howMany';
import { ByName } from './ByName';
import { CameOff } from './CameOff';
import { useBenchName } from './device';
import { EndOfWay } from './EndOfWay';
import { Forks } from './Forks';
import { comesOff, inAccount, OWED } from './heaps';
import { isOut, LeftHalf } from './LeftHalf';
import { Marked, MarkPanel } from './MarkPanel';
import { type MainKey, moreKeys } from './moreKeys';
import { NewerNotes } from './NewerNotes';
import { OffList } from './OffList';
import { OnLoan } from './OnLoan';
import { EndsList } from './OpenEnds';
import { PanelForm } from './PanelForm';
import { PanelKeys } from './PanelKeys';
import { StepWords } from './StepWords';
import { mainBefore } from './sayFirst';
import { TakeOver } from './TakeOver';
import { WaitPanel } from './WaitPanel';
import { WhichVariant } from './WhichVariant';
import type { Form, Props, Way } from './way';

/** The left half of the bench: what comes next, large, and the keys for it. */
export function StepPanel(props: Props) {
  const { bench, way, error } = props;
  const out = isOut(bench);
  const open = bench.way.steps.filter((one) => one.open).length;
  const position = props.step
    ? way === 'IN'
      ? `IN · STEP ${open + 1} OF ${Math.max(open + 1, bench.way.stepsInAll)}`
      : `OUT · ${open} TO GO`
    : open === 0 && bench.stand.closed
      ? 'CLOSED'
      : way;
  return (
    <LeftHalf
      bench={bench}
      position={out ? 'OUT' : bench.run ? position : 'CLOSED'}
      error={error}
      usual={props.step?.minutes}
    >
      {bench.run && <NewerNotes bench={bench} press={props.press} busy={props.busy} />}
      <Panel {...props} />
    </LeftHalf>
  );
}

function Panel(props: Props) {
  const { bench, way, press, busy } = props;
  const here = useBenchName();
  if (isOut(bench)) {
    return <OnLoan bench={bench} />;
  }
  if (!bench.run) {
    return (
      <EndOfWay bench={bench} way={way} press={press} busy={busy} unsent={props.unsent} again={props.again} />
    );
  }
  if (here && bench.stand.at && bench.stand.at.bench !== here) {
    return <TakeOver bench={bench} here={here} press={press} busy={busy} />;
  }
  if (bench.run.pausedSince) {
    return <Paused busy={busy} goOn={() => press({ act: 'goOn' })} />;
  }
  // Asked once it can be seen, on the way in; whoever does not go into it passes it by.
  const unknown =
    way === 'IN'
      ? bench.inside.find((one) => one.fitted === undefined && !props.passed.includes(one.component))
      : undefined;
  if (unknown) {
    return (
      <WhichVariant
        key={unknown.component}
        inside={unknown}
        busy={busy}
        say={(revision) => press({ act: 'fit', component: unknown.component, revision })}
        leave={() => props.pass(unknown.component)}
      />
    );
  }
  return <Running {...props} />;
}

function Paused({ busy, goOn }: { busy: boolean; goOn: () => void }) {
  useKeys([{ key: 'Space', label: 'Go on', act: goOn, off: busy }]);
  return (
    <>
      <Box fontSize="3xl" fontWeight={700}>
        Paused
      </Box>
      <Box fontSize="lg">The clock stands still until you go on.</Box>
      <PanelKeys main={{ key: 'Space', words: 'Go on', act: goOn, off: busy }} more={[]} />
    </>
  );
}

function Running(props: Props) {
  const { bench, way, step, others, turn, choose, press, busy } = props;
  const before = step?.sayFirst;
  // What was found broken or missing is asked for now, while its place is open.
  const owed =
    way === 'OUT' &&
    bench.way.lastReach.length === 0 &&
    (step?.things.some((thing) => OWED.some((account) => inAccount(thing, account) > 0)) ?? false);
  // Nothing else is looked at before it is marked: this comes before the words of the step.
  const marking = before?.what === 'MARK' ? before.adjusted : undefined;
  const [picked, setForm] = useState<Form | 'none'>();
  const asked = owed && !before && props.unsent === 0 ? 'otherwise' : undefined;
  const form = picked === 'none' ? undefined : (picked ?? asked);
  const [sure, setSure] = useState<string[]>([]);
  const [choosing, setChoosing] = useState(false);
  const leave = () => setForm('none');
  const there = (thing: Schemas['ThingView']) => (way === 'IN' ? comesOff(thing) : inAccount(thing, 'TRAY'));
  const named =
    way === 'OUT' ? (step?.things.filter((one) => one.kind !== 'FASTENER' && there(one) > 0) ?? []) : [];
  const unsaid = named.filter((one) => !sure.includes(one.id));
  const under = way === 'OUT' ? bench.way.lastReach : [];
  const ends = way === 'OUT' ? bench.way.endsUnder : [];
  const moving =
    step?.things.map((thing) => ({ kind: thing.kind, count: there(thing), counted: thing.counted })) ?? [];
  const gone =
    step?.things.reduce((sum, thing) => sum + (thing.usedUp ? inAccount(thing, 'FITTED') : 0), 0) ?? 0;
  const plain = () => {
    if (step && way === 'IN') {
      press({ act: 'in', step: step.id, said: { found: [] } });
    } else if (step) {
      press({ act: 'out', step: step.id, settled: [] });
    }
  };
  const other: Way = way === 'IN' ? 'OUT' : 'IN';
  const canTurn = way === 'IN' ? bench.way.nextOut !== undefined : bench.way.nextIn !== undefined;
  const closable = bench.stand.lastIn !== undefined && !bench.stand.closed && bench.way.nextOut === undefined;
  const draft = way === 'IN' && !step && bench.way.steps.every((one) => one.open || one.skipped);
  const words =
    way === 'IN'
      ? gone > 0 && moving.every((one) => one.count === 0)
        ? `Done (${gone} used up)`
        : `Off to tray (${countWords(moving)})`
      : under.length > 0
        ? 'Something is still off under it'
        : ends.length > 0
          ? 'Something under it is not put right'
          : unsaid.length > 1
            ? `In: ${unsaid[0]?.label}`
            : `${unsaid[0] ? `In: ${unsaid[0].label}. ` : ''}Back in (${countWords(moving)})`;
  const said = step && before && mainBefore(before, press, busy);
  const main: MainKey | undefined = marking
    ? undefined
    : said
      ? said
      : step
        ? {
            key: 'Space',
            words,
            // One key walks through plugs and pieces one by one; with the last of them the step is back.
            act: () =>
              unsaid.length > 1 ? setSure([...sure, (unsaid[0] as Schemas['ThingView']).id]) : plain(),
            off: busy || under.length + ends.length > 0,
          }
        : closable
          ? {
              key: 'C',
              also: 'Space',
              words: 'Close up',
              act: () => press({ act: 'close' }),
              off: busy || props.unsent > 0,
            }
          : way === 'IN' && canTurn
            ? { key: 'Space', words: 'Turn round: way out', act: () => turn('OUT'), off: busy || choosing }
            : undefined;
  const more = moreKeys({
    bench,
    way,
    step,
    others,
    canTurn,
    closable,
    other,
    setForm,
    turn,
    choose,
    press,
    busy,
  });
  useKeys([
    ...(main && !form
      ? [main.key, main.also ?? []]
          .flat()
          .map((key) => ({ key, label: main.words, act: main.act, off: main.off }))
      : []),
    ...more.map(
      ({ key, words: label, act, off }): Key => ({ key, label, act, off: off || form !== undefined }),
    ),
  ]);
  return (
    <>
      {marking && !form && step ? (
        <MarkPanel key={marking.stays.id} title={step.title} asked={marking} press={press} busy={busy} />
      ) : step &&
        form !== 'check' &&
        form !== 'screw' &&
        form !== 'known' &&
        form !== 'foundOpen' &&
        form !== 'found' &&
        form !== 'ends' &&
        form !== 'turn' ? (
        <StepWords step={step} way={way} keepApart={form ? [] : bench.way.keepApart}>
          {!form && way === 'IN' && <Forks job={bench.unit.jobId} after={bench.way.nextOut} />}
        </StepWords>
      ) : (
        !step &&
        !form && (
          <EndOfWay
            bench={bench}
            way={way}
            press={press}
            busy={busy}
            unsent={props.unsent}
            choosing={setChoosing}
          />
        )
      )}
      {form && (
        <PanelForm
          form={form}
          bench={bench}
          way={way}
          step={step}
          press={press}
          busy={busy}
          unsent={props.unsent}
          leave={leave}
        />
      )}
      {!form && before?.what === 'WAIT' && before.hazard?.waits && (
        <WaitPanel
          wait={before.hazard.waits}
          known={bench.stand.power.sinceSaid}
          busy={busy}
          off={(since) => press({ act: 'leftOff', since })}
          live={() => press({ act: 'power', said: { power: 'LIVE', why: 'it was under power since' } })}
        />
      )}
      {!form && before?.what === 'STANDS_AGAIN' && before.adjusted && <Marked asked={before.adjusted} />}
      {!form && under.length > 0 && (
        <ByName
          title="Still off under it, and out of reach once this is back. In now?"
          things={under}
          sure={[]}
          say={(thing) => {
            const lying = inAccount(thing, 'TRAY');
            if (lying === 0) {
              props.settle(thing);
              return;
            }
            press({
              act: 'move',
              move: {
                thing: thing.id,
                from: 'TRAY',
                to: 'FITTED',
                count: lying,
                reason: 'asked for at the last moment',
              },
            });
          }}
        />
      )}
      {!form && ends.length > 0 && (
        <>
          <chakra.b fontSize="lg" color="brassLight">
            Out of reach once this is back. Put it right now?
          </chakra.b>
          <EndsList bench={bench} press={press} busy={busy} />
        </>
      )}
      {!form && step && !marking && (
        <OffList step={step} way={way} count={there} named={named.map((one) => one.id)} />
      )}
      {!form && !before && named.length > 0 && under.length + ends.length === 0 && (
        <ByName
          title="Each by name: is it in?"
          things={named}
          sure={sure}
          say={(thing) =>
            setSure(sure.includes(thing.id) ? sure.filter((id) => id !== thing.id) : [...sure, thing.id])
          }
        />
      )}
      {!form && draft && <CameOff job={bench.unit.jobId} press={press} busy={busy} />}
      {!form && <PanelKeys main={main} more={marking ? more.filter((one) => !one.small) : more} />}
    </>
  );
}
