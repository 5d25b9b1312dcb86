import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { type Key, useKeys } from '../app/keys';
import { countWords } from '../drawing/howMany';
import { Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import { ByName } from './ByName';
import { CameOff } from './CameOff';
import { EndOfWay } from './EndOfWay';
import { Forks } from './Forks';
import { comesOff, inAccount, OWED } from './heaps';
import { Marked, MarkPanel } from './MarkPanel';
import { type MainKey, moreKeys } from './moreKeys';
import { NewerNotes } from './NewerNotes';
import { OffList } from './OffList';
import { OnLoan } from './OnLoan';
import { EndsList } from './OpenEnds';
import { PanelForm } from './PanelForm';
import { PanelKeys } from './PanelKeys';
import { PowerMark } from './PowerMark';
import { StartPanel } from './StartPanel';
import { StepWords } from './StepWords';
import { mainBefore } from './sayFirst';
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
    : bench.stand.closed
      ? 'CLOSED'
      : way;
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
      <Box display="flex" justifyContent="space-between" alignItems="center" gap="10px">
        <Tag text={bench.unit.tag} />
        {!out && <PowerMark power={bench.stand.power} />}
        <Box fontFamily="mono" fontWeight={600} fontSize="sm" color="chalkDust" whiteSpace="nowrap">
          {out ? 'OUT' : bench.run ? position : 'CLOSED'}
        </Box>
      </Box>
      {bench.run && <NewerNotes bench={bench} press={props.press} busy={props.busy} />}
      <Panel {...props} />
      <Trouble error={error} />
    </Box>
  );
}

function isOut(bench: Props['bench']): boolean {
  return bench.stand.status.standing === 'ON_LOAN';
}

function Panel(props: Props) {
  const { bench, way, press, busy } = props;
  const [again, setAgain] = useState(false);
  if (isOut(bench)) {
    return <OnLoan bench={bench} />;
  }
  if (!bench.run) {
    return bench.stand.lastIn === undefined || again ? (
      <StartPanel bench={bench} press={press} busy={busy} />
    ) : (
      <EndOfWay bench={bench} way={way} press={press} busy={busy} again={() => setAgain(true)} />
    );
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
  const [form, setForm] = useState<Form | undefined>(owed && !before ? 'otherwise' : undefined);
  const [sure, setSure] = useState<string[]>([]);
  const leave = () => setForm(undefined);
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
          : unsaid.length > 0
            ? `In? ${unsaid.map((one) => one.label).join(', ')}`
            : `Back in (${countWords(moving)})`;
  const said = step && before && mainBefore(before, press, busy);
  const main: MainKey | undefined = marking
    ? undefined
    : said
      ? said
      : step
        ? {
            key: 'Space',
            words,
            act: plain,
            off: busy || under.length + ends.length > 0 || unsaid.length > 0,
          }
        : closable
          ? { key: 'C', words: 'Close up', act: () => press({ act: 'close' }), off: busy }
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
    ...(main && !form ? [{ key: main.key, label: main.words, act: main.act, off: main.off }] : []),
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
        form !== 'ends' &&
        form !== 'turn' ? (
        <StepWords step={step} way={way} keepApart={form ? [] : bench.way.keepApart}>
          {!form && way === 'IN' && <Forks job={bench.unit.jobId} after={bench.way.nextOut} />}
        </StepWords>
      ) : (
        !step && !form && <EndOfWay bench={bench} way={way} press={press} busy={busy} />
      )}
      {form && (
        <PanelForm form={form} bench={bench} way={way} step={step} press={press} busy={busy} leave={leave} />
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
      {!form && !marking && named.length > 0 && under.length + ends.length === 0 && (
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
