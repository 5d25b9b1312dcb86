import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { type Key, useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Caution } from '../parts/States';
import { FaultRow } from './FaultRow';
import { Lasted } from './Lasted';
import { OverTerm } from './OverTerm';
import { Said } from './Said';

type Remedy = Schemas['RemedyHere'];
type Part = Schemas['UsedBefore'];

/** One fault was picked: what was done about it, with which part; of a component that was never found wrong, first what is wrong with it. */
export function FaultChosen({
  fault: picked,
  bench,
  large,
  off,
  say,
  good,
  typed,
  back,
}: {
  fault: Schemas['LikelyHere'];
  bench?: boolean;
  large?: boolean;
  off?: boolean;
  say: (wrong: string, done: Remedy, part?: Part) => void;
  /** it is not that, and good; not offered if left out */
  good?: () => void;
  typed: () => void;
  back: () => void;
}) {
  const [wrong, setWrong] = useState(picked.wrong);
  const [remedy, setRemedy] = useState<Remedy>();
  const fault = { ...picked, wrong };
  const did = (done: Remedy) =>
    done.remedy === 'REPLACED' && fault.parts.length > 0 ? setRemedy(done) : say(wrong ?? '', done);
  const look = bench ? 'bench' : 'plain';
  const usual = bench ? 'benchMain' : 'main';
  const size = { minH: '60px', h: large ? '112px' : undefined } as const;
  const choices: {
    words: string;
    more?: React.ReactNode;
    usual?: boolean;
    off?: boolean;
    act: () => void;
  }[] =
    wrong === undefined
      ? fault.wrongs.map((one) => ({ words: one, act: () => setWrong(one) }))
      : remedy
        ? fault.parts.map((part, n) => ({
            words: part.name,
            more: <Lies part={part} />,
            usual: n === 0 && part.there > 0,
            off: part.there === 0,
            act: () => say(wrong, remedy, part),
          }))
        : fault.remedies.map((one) => ({
            words: floor.Remedy[one.remedy],
            more: <Lasted of={one} />,
            act: () => did(one),
          }));
  const other = remedy
    ? { words: 'from elsewhere', act: () => say(wrong ?? '', remedy) }
    : { words: 'something else: type it', act: typed };
  const leave = remedy ? () => setRemedy(undefined) : back;
  useKeys(
    [
      ...choices.map((one, n): Key => ({ key: String(n + 1), label: one.words, act: one.act, off: one.off })),
      { key: '9', label: 'It is good after all', act: () => good?.(), off: !good || remedy !== undefined },
      { key: '0', label: other.words, act: other.act },
      { key: 'Escape', label: 'Back', act: leave },
    ].map((one) => ({ ...one, off: one.off || off })),
  );
  const cautions = [...new Set(fault.remedies.flatMap((one) => one.cautions))];
  return (
    <Box role="group" aria-label="What was found" display="grid" gap="8px">
      <FaultRow fault={fault} bench={bench} large={large} chosen pick={leave} keyName="Esc" />
      {wrong !== undefined &&
        cautions.map((words) => (
          <Caution bench={bench} still key={words}>
            {words}
          </Caution>
        ))}
      {remedy && <Said bench={bench}>{`${floor.Remedy[remedy.remedy]}: with which part?`}</Said>}
      {!remedy && (
        <Said bench={bench}>{wrong === undefined ? 'What is wrong with it?' : 'What was done?'}</Said>
      )}
      <Box display="grid" gridTemplateColumns={remedy ? '1fr 1fr' : 'repeat(3, 1fr)'} gap="7px">
        {choices.map((one, n) => (
          <Act
            key={one.words}
            look={one.usual ? usual : look}
            {...size}
            keyName={String(n + 1)}
            disabled={off || one.off}
            onClick={one.act}
          >
            <b>{one.words}</b>
            {one.more}
          </Act>
        ))}
        <Act look={look} {...size} keyName="0" borderStyle="dashed" disabled={off} onClick={other.act}>
          {other.words}
        </Act>
      </Box>
      {!remedy && <OverTerm component={picked.componentId} wrong={wrong} bench={bench} />}
      {!remedy && good && (
        <Act look={look} minH="56px" keyName="9" disabled={off} onClick={good}>
          It is good after all
        </Act>
      )}
    </Box>
  );
}

function Lies({ part }: { part: Part }) {
  return (
    <chakra.span display="block" fontSize="sm" fontWeight={400}>
      {part.temporary && 'for a test only · '}drawer {part.drawer},{' '}
      {part.there === 0 ? 'none left' : `${part.there} there`} · {part.used} used before
    </chakra.span>
  );
}
