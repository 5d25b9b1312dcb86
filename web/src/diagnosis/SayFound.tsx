import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { hereWords } from '../api/words';
import { type Key, useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { FaultChosen } from './FaultChosen';
import { FaultRow } from './FaultRow';
import { KnowMore } from './KnowMore';
import { Said } from './Said';
import { answerKeys, type Told } from './told';

export type Found = Schemas['FindingSaid'];

/** So many a hand finds without reading; the rest by one more key. */
const USUALLY = 5;
const GLOVED = 3;

/**
 * What is wrong, in three keys: the fault, what was done, with which part. What is in reach and likely comes first; whatever is not offered is typed.
 */
export function SayFound({
  there,
  bench,
  large,
  off,
  settling,
  found,
  told,
  typed,
  choosing,
}: {
  there: Schemas['There'];
  /** drawn on the mat rather than on paper */
  bench?: boolean;
  /** half as many, twice as large: for gloves */
  large?: boolean;
  off?: boolean;
  /** an answer is on its way: what is asked next is not known yet */
  settling?: boolean;
  found: (said: Found) => void;
  /** an answer to the next check, or that something is good */
  told: (answers: Told[]) => void;
  typed: () => void;
  /** hears whether something is chosen and not said yet: nothing else is pressed meanwhile */
  choosing?: (now: boolean) => void;
}) {
  const first = large ? GLOVED : USUALLY;
  const [more, setMore] = useState(false);
  const [fault, setFault] = useState<Schemas['LikelyHere']>();
  const chosen = fault !== undefined;
  useEffect(() => {
    choosing?.(chosen);
    return () => choosing?.(false);
  }, [choosing, chosen]);
  const shown = more ? there.faults : there.faults.slice(0, first);
  const left = there.faults.length - shown.length;
  const next = there.next[0];
  const allGood = () =>
    told(there.inReach.map((one) => ({ component: one.component, good: true, how: 'LOOKED' as const })));
  const keys: Key[] = [
    ...shown.map((one, n) => ({ key: String(n + 1), label: hereWords(one), act: () => setFault(one) })),
    { key: '0', label: 'Something else: type it', act: typed },
    { key: 'Z', label: 'All in reach is good', act: allGood, off: settling || there.inReach.length === 0 },
    { key: '9', label: 'More of them', act: () => setMore(true), off: left === 0 },
    ...(next && !settling ? answerKeys(next, told) : []),
  ];
  useKeys(keys.map((one) => ({ ...one, off: one.off || off || chosen })));
  if (fault) {
    const { component, componentId } = fault;
    return (
      <FaultChosen
        fault={fault}
        bench={bench}
        large={large}
        off={off}
        say={(wrong, done, part) => {
          setFault(undefined);
          found({
            component,
            wrong,
            remedy: done.remedy,
            kind: done.kind,
            parts: part ? [{ partId: part.partId, count: 1, cameFrom: 'DRAWER' }] : [],
            remark: '',
            causeConfirmed: false,
          });
        }}
        good={
          componentId === undefined
            ? undefined
            : () => {
                setFault(undefined);
                told([{ component: componentId, good: true, how: 'LOOKED' }]);
              }
        }
        typed={typed}
        back={() => setFault(undefined)}
      />
    );
  }
  const look = bench ? 'bench' : 'plain';
  const size = { look, minH: '56px', h: large ? '96px' : undefined } as const;
  return (
    <Box role="group" aria-label="What is it?" display="grid" gap="7px">
      {!there.trusted && (
        <Box
          border="2px dashed"
          borderColor={bench ? 'brassLight' : 'amberInk'}
          borderRadius="sm"
          p="6px"
          fontSize="sm"
        >
          Not to be gone by: each bar may be {Math.ceil(100 * there.leftOut)} in 100 off.
        </Box>
      )}
      {shown.map((one, n) => (
        <FaultRow
          key={hereWords(one)}
          fault={one}
          bench={bench}
          large={large}
          keyName={String(n + 1)}
          off={off}
          pick={() => setFault(one)}
        />
      ))}
      {shown.length === 0 && <Said bench={bench}>Nothing is known to go wrong with it yet.</Said>}
      <Box display="grid" gridTemplateColumns="repeat(3, 1fr)" gap="7px">
        <Act {...size} keyName="0" disabled={off} onClick={typed} borderStyle="dashed">
          Else: type it
        </Act>
        {there.inReach.length > 0 && (
          <Act
            {...size}
            keyName="Z"
            disabled={off || settling}
            onClick={allGood}
            title={there.inReach.map((one) => one.name).join(', ')}
          >
            All in reach good
          </Act>
        )}
        {left > 0 && (
          <Act {...size} keyName="9" onClick={() => setMore(true)}>
            {left} more
          </Act>
        )}
      </Box>
      {next && <KnowMore next={next} bench={bench} large={large} off={off || settling} told={told} />}
    </Box>
  );
}
