import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Act, Chip } from '../parts/Buttons';
import { AREAS } from './areas';

type Symptom = Schemas['Symptom'];
type Word = Schemas['SymptomWord'];

const USUAL = 7;

/** A tap says so, a second says asked and not so, a third takes it back. Typing finds the word; "not" before it says not so. */
export function Symptoms({
  said,
  say,
  words,
}: {
  said: Symptom[];
  say: (next: Symptom[]) => void;
  words: Word[];
}) {
  const [all, setAll] = useState(false);
  const known = new Set(words.map((word) => word.name));
  const own = said.map((one) => one.name).filter((name) => !known.has(name));
  const first = words
    .filter((word, n) => n < USUAL || said.some((one) => one.name === word.name))
    .map((word) => word.name);
  function turn(name: string) {
    const others = said.filter((one) => one.name !== name);
    const now = said.find((one) => one.name === name)?.present;
    if (now === undefined) {
      say([...said, { name, present: true }]);
    } else {
      say(now ? [...others, { name, present: false }] : others);
    }
  }
  return (
    <>
      <TypeOne
        names={[...words.map((word) => word.name), ...own]}
        enter={(name, present) => say([...said.filter((one) => one.name !== name), { name, present }])}
      />
      {all ? (
        Object.entries(AREAS).map(([area, title]) => {
          const names = [
            ...words.filter((word) => word.area === area).map((word) => word.name),
            ...(area === 'ours' ? own : []),
          ];
          return names.length > 0 ? (
            <Box key={area} role="group" aria-label={title} mt="4px">
              <Box fontSize="xs" color="muted">
                {title}
              </Box>
              <Chips names={names} said={said} turn={turn} />
            </Box>
          ) : null;
        })
      ) : (
        <Box mt="8px">
          <Chips names={[...first, ...own]} said={said} turn={turn} />
        </Box>
      )}
      <Act look="quiet" minH="26px" fontSize="sm" onClick={() => setAll(!all)} aria-expanded={all}>
        {all ? 'fewer words' : `all ${words.length} words, by what they are about`}
      </Act>
    </>
  );
}

function Chips({ names, said, turn }: { names: string[]; said: Symptom[]; turn: (name: string) => void }) {
  return (
    <Box display="flex" flexWrap="wrap" gap="4px">
      {names.map((name) => {
        const state = said.find((one) => one.name === name)?.present;
        return (
          <Chip
            key={name}
            on={state === true}
            struck={state === false}
            minH="30px"
            px="8px"
            py="2px"
            fontSize="sm"
            aria-label={state === false ? `not ${name}` : name}
            onClick={() => turn(name)}
          >
            {name}
          </Chip>
        );
      })}
    </Box>
  );
}

/** The first word that begins as typed, else one that has it inside, else a new one. */
function matching(typed: string, names: string[]): string | undefined {
  const text = typed.toLowerCase();
  return (
    names.find((name) => name.toLowerCase().startsWith(text)) ??
    names.find((name) => name.toLowerCase().includes(text))
  );
}

function TypeOne({ names, enter }: { names: string[]; enter: (name: string, present: boolean) => void }) {
  const [typed, setTyped] = useState('');
  const not = /^not\s+/i.test(typed);
  const text = typed.replace(/^not\s+/i, '').trim();
  const match = text.length > 1 ? matching(text, names) : undefined;
  return (
    <Box display="flex" gap="8px" alignItems="center">
      <chakra.input
        aria-label="Another symptom"
        placeholder="type what it does, Enter; “not …” for asked and not so"
        value={typed}
        flex="1"
        minH="32px"
        px="8px"
        border="1px solid"
        borderColor="edge"
        borderRadius="sm"
        bg="field"
        autoComplete="off"
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.ctrlKey) {
            event.preventDefault();
            if (text) {
              enter(match ?? text, !not);
              setTyped('');
            }
          }
        }}
      />
      {text.length > 1 && (
        <Box fontSize="xs" color="muted" aria-live="polite" maxW="180px">
          {not && 'not '}
          <b>{match ?? `${text} (a new word)`}</b>
        </Box>
      )}
    </Box>
  );
}
