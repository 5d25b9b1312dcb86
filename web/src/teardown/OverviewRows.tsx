import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Act, Chip } from '../parts/Buttons';
import { Pick, Text } from '../parts/Fields';
import { Empty } from '../parts/States';
import { ComponentPick } from './ComponentPick';

type Check = Schemas['PlannedCheck'];
type Mode = Schemas['ServiceMode'];
type Watch = Schemas['WatchPoint'];

/** Some lines of one sort under a heading, each of which can go, and one more can come. */
export function Lines<T>({
  heading,
  empty,
  more,
  lines,
  set,
  blank,
  columns,
  children,
}: {
  heading: string;
  empty: string;
  more: string;
  lines: T[];
  set: (lines: T[]) => void;
  blank: T;
  columns: string;
  children: (line: T, change: (part: Partial<T>) => void) => ReactNode;
}) {
  return (
    <Box role="group" aria-label={heading} mt="18px">
      <chakra.h1 mb="4px">{heading}</chakra.h1>
      {lines.length === 0 && <Empty>{empty}</Empty>}
      {lines.map((line, n) => (
        <Box
          key={n}
          display="grid"
          gridTemplateColumns={{ base: '1fr', md: `${columns} auto` }}
          gap="8px"
          alignItems="end"
          py="5px"
          borderTop="1px solid"
          borderColor="line"
        >
          {children(line, (part) => set(lines.map((one, at) => (at === n ? { ...one, ...part } : one))))}
          <Act
            look="quiet"
            aria-label={`Remove line ${n + 1} of ${heading}`}
            onClick={() => set(lines.filter((_, at) => at !== n))}
          >
            remove
          </Act>
        </Box>
      ))}
      <Act mt="6px" onClick={() => set([...lines, blank])}>
        {more}
      </Act>
    </Box>
  );
}

export function CheckRows({
  checks,
  steps,
  set,
}: {
  checks: Check[];
  /** of the notes: a check can be asked for before one of them goes back */
  steps: Schemas['StepSaid'][];
  set: (checks: Check[]) => void;
}) {
  return (
    <Lines
      heading="Checks"
      empty="Nothing is planned: the bench is asked only whether it was tried. Say what to try, and when."
      more="Another check"
      lines={checks}
      set={set}
      blank={{
        id: '',
        stage: 'BEFORE_CLOSING',
        what: '',
        load: '',
        times: 1,
        terms: {
          powered: true,
          coversOn: false,
          conditions: '',
          beforeStep: '',
          caution: '',
          leadOnly: false,
        },
      }}
      columns="140px 1fr 190px"
    >
      {(check, change) => (
        <>
          <Pick
            label="When"
            compact
            value={check.stage}
            onChange={(event) => change({ stage: event.target.value as Check['stage'] })}
          >
            {Object.entries(floor.Stage).map(([stage, words]) => (
              <option key={stage} value={stage}>
                {words}
              </option>
            ))}
          </Pick>
          <Text
            label="What to try"
            compact
            value={check.what}
            onChange={(event) => change({ what: event.target.value })}
          />
          <Text
            label="With which disc, tape, load"
            compact
            value={check.load}
            onChange={(event) => change({ load: event.target.value })}
          />
          <Text
            label="Times"
            compact
            type="number"
            min={1}
            max={99}
            value={check.times}
            onChange={(event) => change({ times: Number(event.target.value) })}
          />
          <Chip
            on={check.terms.powered}
            onClick={() => change({ terms: { ...check.terms, powered: !check.terms.powered } })}
          >
            {check.terms.powered ? 'under power' : 'by hand'}
          </Chip>
          <Chip
            on={check.terms.coversOn}
            onClick={() => change({ terms: { ...check.terms, coversOn: !check.terms.coversOn } })}
          >
            {check.terms.coversOn ? 'covers on' : 'covers on or off'}
          </Chip>
          <Pick
            label="Before this goes back"
            compact
            value={check.terms.beforeStep}
            onChange={(event) => change({ terms: { ...check.terms, beforeStep: event.target.value } })}
          >
            <option value="">any time of that stage</option>
            {steps.map((step) => (
              <option key={step.id} value={step.id}>
                {step.title}
              </option>
            ))}
          </Pick>
          <Text
            label="Under which conditions"
            compact
            placeholder="dim light, warmed up"
            value={check.terms.conditions}
            onChange={(event) => change({ terms: { ...check.terms, conditions: event.target.value } })}
          />
          <Chip
            on={check.terms.leadOnly}
            onClick={() => change({ terms: { ...check.terms, leadOnly: !check.terms.leadOnly } })}
          >
            {check.terms.leadOnly ? 'a lead alone' : 'by anybody'}
          </Chip>
          <Text
            label="Mind while it is made"
            compact
            placeholder="live pins under the shield"
            value={check.terms.caution}
            onChange={(event) => change({ terms: { ...check.terms, caution: event.target.value } })}
          />
        </>
      )}
    </Lines>
  );
}

type Points = { sheet: Schemas['ModelSheet']; watch: Watch[]; set: (watch: Watch[]) => void };

export function WatchRows(points: Points) {
  return (
    <PointRows
      heading="Watch points"
      empty="Nothing has earned one yet. Say what to look at because it is often wrong."
      more="Another watch point"
      {...points}
    />
  );
}

export function LookOverRows(points: Points) {
  return (
    <PointRows
      heading="After a fall or liquid"
      empty="No list yet: after a fall the bench is shown every component. Say what to look at, in which order."
      more="Another thing to look at"
      {...points}
    />
  );
}

function PointRows({
  heading,
  empty,
  more,
  sheet,
  watch,
  set,
}: Points & { heading: string; empty: string; more: string }) {
  return (
    <Lines
      heading={heading}
      empty={empty}
      more={more}
      lines={watch}
      set={set}
      blank={{ component: sheet.components[0]?.id ?? 0, words: '' }}
      columns="200px 1fr"
    >
      {(point, change) => (
        <>
          <ComponentPick
            label="Component"
            sheet={sheet}
            value={point.component}
            set={(component) => change({ component })}
          />
          <Text
            label="What to look at"
            compact
            value={point.words}
            onChange={(event) => change({ words: event.target.value })}
          />
        </>
      )}
    </Lines>
  );
}

export function ModeRows({ modes, set }: { modes: Mode[]; set: (modes: Mode[]) => void }) {
  return (
    <Lines
      heading="Service modes"
      empty="None known. Which keys, held when, and what it then shows."
      more="Another service mode"
      lines={modes}
      set={set}
      blank={{ name: '', keys: '', shows: '' }}
      columns="160px 1fr 1fr"
    >
      {(mode, change) => (
        <>
          <Text
            label="Mode"
            compact
            value={mode.name}
            onChange={(event) => change({ name: event.target.value })}
          />
          <Text
            label="Which keys, and when"
            compact
            value={mode.keys}
            onChange={(event) => change({ keys: event.target.value })}
          />
          <Text
            label="What it shows"
            compact
            value={mode.shows}
            onChange={(event) => change({ shows: event.target.value })}
          />
        </>
      )}
    </Lines>
  );
}
