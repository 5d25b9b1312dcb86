import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { useCurrency } from '../api/session';
import { figures } from '../api/shopWide';
import { day } from '../api/words';
import { Chapters } from '../diagnosis/Chapters';
import { DiagnosisPart } from '../diagnosis/DiagnosisPart';
import { Measured } from '../gauge/Measured';
import { ToBeSold } from '../money/ToBeSold';
import { Act } from '../parts/Buttons';
import { money } from '../typed/sum';
import { AsRemark } from './AsRemark';
import type { Doing } from './doing';
import { HoldLine } from './HoldLine';
import { JobParts } from './JobParts';
import { Line, Who } from './Line';
import { Papers } from './Papers';
import { VerdictMark } from './VerdictMark';

type Change = ((doing: Doing) => void) | undefined;

/** The half of the sheet that knows: holds, findings, checks, outcome, and what was said at the counter. */
export function Facts({ sheet, change }: { sheet: Schemas['JobSheet']; change: Change }) {
  const currency = useCurrency();
  return (
    <>
      {sheet.job.handedOverAt === undefined && <DiagnosisPart job={sheet.job} here={change !== undefined} />}
      {sheet.job.brought.ownership === 'RESALE' && (
        <ToBeSold job={sheet.job} notTested={sheet.notTested} here={change !== undefined} />
      )}
      {sheet.unitMarks.length > 0 && (
        <Part title="Not as made any more">
          {sheet.unitMarks.map((mark) => (
            <Line key={mark.words}>
              <b>{mark.words}</b>{' '}
              <chakra.span color="muted" fontSize="xs">
                since {day(mark.at)}
              </chakra.span>
            </Line>
          ))}
        </Part>
      )}
      {sheet.holds.length > 0 && (
        <Part title="Waits">
          {sheet.holds.map((one) => (
            <HoldLine key={one.hold.id} {...one} here={change !== undefined} />
          ))}
        </Part>
      )}
      <Part title="Found">
        {sheet.findings.length === 0 && <Nothing>Nothing found yet.</Nothing>}
        <Chapters
          findings={sheet.findings}
          symptoms={sheet.symptoms.filter((one) => one.present).map((one) => one.name)}
          correct={change && ((finding) => change({ what: 'finding', corrects: finding }))}
        />
      </Part>
      <Part
        title="Parts"
        aside={sheet.partsMinor > 0 ? `in all ${money(sheet.partsMinor, currency)}` : undefined}
      >
        <JobParts job={sheet.job.id} parts={sheet.parts} aside={sheet.aside} here={change !== undefined} />
      </Part>
      <Part title="Checked">
        {sheet.checks.length === 0 && <Nothing>Nothing checked yet.</Nothing>}
        {sheet.sinceArrival.map((line) => (
          <Line key={line}>
            <b>{line}</b>
          </Line>
        ))}
        {sheet.checks.map((row) => (
          <CheckLine key={row.id} row={row} change={change} />
        ))}
      </Part>
      {sheet.electrical && (
        <Part title="Electrical check">
          <Line>{figures(sheet.electrical)}</Line>
        </Part>
      )}
      <Measured job={sheet.job.id} here={change !== undefined} />
      {sheet.outcomes.length > 0 && (
        <Part title="How it ended">
          {sheet.outcomes.map(({ id, given, by }, n) => (
            <Line key={id} struck={n > 0}>
              <b>{floor.Outcome[given.outcome]}</b>
              {given.remark && `: ${given.remark}`} <Who by={by} at={given.at} />
            </Line>
          ))}
        </Part>
      )}
      <AtTheCounter sheet={sheet} change={change} />
      {sheet.otherStays.length > 0 && (
        <Part title="Other stays of this unit">
          {sheet.otherStays.map((stay) => (
            <Line key={stay.jobId}>
              <Link to={`/jobs/${stay.jobId}`}>
                <chakra.span color="chalk" textDecoration="underline">
                  {day(stay.checkedInAt)}
                </chakra.span>
              </Link>{' '}
              {stay.complaint}
            </Line>
          ))}
        </Part>
      )}
    </>
  );
}

function Part({ title, aside, children }: { title: string; aside?: string; children: ReactNode }) {
  return (
    <Box mb="12px">
      <Box display="flex" justifyContent="space-between" alignItems="baseline">
        <chakra.h2>{title}</chakra.h2>
        {aside && <Box fontFamily="mono">{aside}</Box>}
      </Box>
      {children}
    </Box>
  );
}

function Nothing({ children }: { children: ReactNode }) {
  return <Box color="muted">{children}</Box>;
}

function Correct({ what, act }: { what: string; act: () => void }) {
  return (
    <Act look="quiet" minH="32px" aria-label={`Correct ${what}`} onClick={act}>
      correct
    </Act>
  );
}

function CheckLine({ row, change }: { row: Schemas['CheckRow']; change: Change }) {
  const { check } = row;
  const struck = row.struckWhy !== undefined;
  const how = [
    `covers ${check.coversOn ? 'on' : 'off'}`,
    !check.powered && check.verdict !== 'NOT_TESTED' && 'by hand',
    check.load && `with ${check.load}`,
    check.times > 1 && `${check.times} times`,
  ].filter(Boolean);
  return (
    <Line
      struck={struck}
      act={
        change && !struck ? (
          <Box display="flex" gap="4px" flexWrap="wrap" justifyContent="flex-end">
            {check.verdict === 'FAILED' && check.stage !== 'ARRIVAL' && !check.asRemark && (
              <AsRemark row={row} />
            )}
            <Correct what={check.what} act={() => change({ what: 'check', corrects: row })} />
          </Box>
        ) : undefined
      }
    >
      <VerdictMark verdict={check.verdict} /> {floor.Stage[check.stage]}: <b>{check.what}</b>,{' '}
      {how.join(', ')}
      {check.remark && `. ${check.remark}`}
      {check.asRemark && `. Left as a remark: ${check.asRemark}`} <Who by={row.by} at={check.at} />
    </Line>
  );
}

function named(sheet: Schemas['JobSheet'], absent: boolean): string {
  return sheet.belongings
    .filter((one) => one.absent === absent)
    .map(belongingWords)
    .join(', ');
}

function belongingWords({ name, back, why, absent }: Schemas['Belonging']): string {
  if (back === undefined || (absent && !back)) {
    return name;
  }
  return back ? `${name} (went back)` : `${name} (did not go back: ${why})`;
}

function AtTheCounter({ sheet, change }: { sheet: Schemas['JobSheet']; change: Change }) {
  const { job } = sheet;
  const facts: [string, string][] = [
    ['Does', sheet.symptoms.map((one) => (one.present ? one.name : `not: ${one.name}`)).join(', ')],
    ['Their words', job.brought.complaint],
    [
      'State',
      [
        ...sheet.marks.map((mark) =>
          sheet.places[mark] ? `${floor.ArrivalMark[mark]} (${sheet.places[mark]})` : floor.ArrivalMark[mark],
        ),
        job.brought.condition,
      ]
        .filter(Boolean)
        .join(', '),
    ],
    ['Missing', sheet.missing.map((one) => `${one.count} × ${one.label}`).join(', ')],
    ['Came with', named(sheet, false)],
    ['Came without', named(sheet, true)],
    ['Serial', job.unit.serial],
  ];
  return (
    <Box mb="12px">
      <Box display="flex" justifyContent="space-between" alignItems="center">
        <chakra.h2>At the counter</chakra.h2>
        {change && <Correct what="what was said at the counter" act={() => change({ what: 'arrival' })} />}
      </Box>
      {facts
        .filter(([, words]) => words)
        .map(([name, words]) => (
          <Box
            key={name}
            display="grid"
            gridTemplateColumns="96px 1fr"
            gap="10px"
            borderTop="1px solid"
            borderColor="line"
            py="3px"
          >
            <Box color="muted">{name}</Box>
            <Box fontFamily={name === 'Serial' ? 'mono' : undefined}>{words}</Box>
          </Box>
        ))}
      {sheet.photos.length > 0 && (
        <Box display="flex" gap="8px" flexWrap="wrap" mt="4px">
          {sheet.photos.map((photo, n) => (
            <chakra.figure key={photo.hash} w="180px">
              <img
                src={`/api/photos/${photo.hash}`}
                alt={photo.words || `Its state, photo ${n + 1}`}
                style={{ width: '100%', borderRadius: 3 }}
              />
              <chakra.figcaption fontSize="sm">{photo.words}</chakra.figcaption>
            </chakra.figure>
          ))}
        </Box>
      )}
      <Papers job={job.id} />
    </Box>
  );
}
