import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { markWords } from '../api/words';
import { Act, Chip } from '../parts/Buttons';
import { Row, Text, Words } from '../parts/Fields';

export type Arrival = Schemas['ArrivalSaid'];
type Mark = Arrival['marks'][number];

export const NOTHING_SAID: Arrival = {
  complaint: '',
  symptoms: [],
  marks: [],
  condition: '',
  missing: [],
  belongings: [],
};

/** What a unit does wrong, its state and what came with it: at the counter and when correcting. */
export function ArrivalFields({
  said,
  say,
  words,
  steps,
}: {
  said: Arrival;
  say: (next: Arrival) => void;
  words: Schemas['SymptomWord'][];
  steps: Schemas['Step'][];
}) {
  return (
    <>
      <Row name="What it does">
        <Symptoms said={said} say={say} words={words} />
        <Words
          label="In their words"
          compact
          value={said.complaint}
          onChange={(event) => say({ ...said, complaint: event.target.value })}
        />
      </Row>
      <Row name="State">
        <Box display="flex" flexWrap="wrap" gap="6px">
          {(Object.keys(markWords) as Mark[]).map((mark) => (
            <Chip
              key={mark}
              on={said.marks.includes(mark)}
              onClick={() =>
                say({
                  ...said,
                  marks: said.marks.includes(mark)
                    ? said.marks.filter((one) => one !== mark)
                    : [...said.marks, mark],
                })
              }
            >
              {markWords[mark]}
            </Chip>
          ))}
        </Box>
        <MissingThings said={said} say={say} steps={steps} />
        <Text
          label="Anything else about its state"
          compact
          value={said.condition}
          onChange={(event) => say({ ...said, condition: event.target.value })}
        />
      </Row>
      <Row name="Came with">
        <Belongings said={said} say={say} />
      </Row>
    </>
  );
}

type Part = { said: Arrival; say: (next: Arrival) => void };

const USUAL_SYMPTOMS = 9;

/** A tap says yes, a second says asked and not so, a third takes it back. */
function Symptoms({ said, say, words }: Part & { words: Schemas['SymptomWord'][] }) {
  const [all, setAll] = useState(false);
  const [own, setOwn] = useState('');
  const known = new Set(words.map((word) => word.name));
  const names = [
    ...words.map((word) => word.name),
    ...said.symptoms.map((s) => s.name).filter((n) => !known.has(n)),
  ];
  const shown = all
    ? names
    : names.filter((name, n) => n < USUAL_SYMPTOMS || said.symptoms.some((one) => one.name === name));
  const stateOf = (name: string) => said.symptoms.find((one) => one.name === name)?.present;
  function turn(name: string) {
    const others = said.symptoms.filter((one) => one.name !== name);
    const now = stateOf(name);
    if (now === undefined) {
      say({ ...said, symptoms: [...said.symptoms, { name, present: true }] });
    } else {
      say({ ...said, symptoms: now ? [...others, { name, present: false }] : others });
    }
  }
  return (
    <Box display="flex" flexWrap="wrap" gap="4px" mb="6px">
      {shown.map((name) => {
        const state = stateOf(name);
        return (
          <Chip
            key={name}
            on={state === true}
            struck={state === false}
            minH="30px"
            px="8px"
            fontSize="14.5px"
            aria-label={state === false ? `not ${name}` : name}
            onClick={() => turn(name)}
          >
            {name}
          </Chip>
        );
      })}
      {names.length > shown.length && (
        <Act look="quiet" minH="30px" onClick={() => setAll(true)}>
          {names.length - shown.length} more
        </Act>
      )}
      <chakra.input
        aria-label="Another symptom"
        placeholder="another, Enter"
        value={own}
        w="130px"
        px="6px"
        border="1px dashed"
        borderColor="#8B8771"
        borderRadius="sm"
        bg="white"
        onChange={(event) => setOwn(event.target.value)}
        onKeyDown={(event) => {
          const name = own.trim();
          if (event.key === 'Enter' && !event.ctrlKey && name) {
            event.preventDefault();
            say({
              ...said,
              symptoms: [...said.symptoms.filter((s) => s.name !== name), { name, present: true }],
            });
            setOwn('');
          }
        }}
      />
    </Box>
  );
}

/** Fasteners that were missing before anybody here touched it, by their group in the notes. */
function MissingThings({ said, say, steps }: Part & { steps: Schemas['Step'][] }) {
  const things = steps.flatMap((step) => [
    ...step.fasteners.map((group) => ({ id: group.id, label: group.label, count: group.count })),
    ...step.pieces.map((piece) => ({ id: piece.id, label: piece.label, count: piece.count })),
  ]);
  if (things.length === 0) {
    return null;
  }
  const countOf = (id: string) => said.missing.find((one) => one.thing === id)?.count ?? 0;
  const set = (thing: string, count: number) =>
    say({
      ...said,
      missing: [
        ...said.missing.filter((one) => one.thing !== thing),
        ...(count > 0 ? [{ thing, count }] : []),
      ],
    });
  return (
    <Box my="6px">
      <Box fontSize="13px" fontWeight={700}>
        Already missing
      </Box>
      <Box display="flex" flexWrap="wrap" gap="6px">
        {things.map((thing) => {
          const count = countOf(thing.id);
          return (
            <Chip
              key={thing.id}
              on={count > 0}
              aria-label={`${count} of ${thing.count} ${thing.label} missing`}
              onClick={() => set(thing.id, count >= thing.count ? 0 : count + 1)}
            >
              {count > 0 ? `${count} of ${thing.count} ${thing.label}` : thing.label}
            </Chip>
          );
        })}
      </Box>
    </Box>
  );
}

const USUAL = ['mains lead', 'remote', 'carton', 'disc inside'];

function Belongings({ said, say }: Part) {
  const [own, setOwn] = useState('');
  const names = [...USUAL, ...said.belongings.filter((name) => !USUAL.includes(name))];
  const turn = (name: string) =>
    say({
      ...said,
      belongings: said.belongings.includes(name)
        ? said.belongings.filter((one) => one !== name)
        : [...said.belongings, name],
    });
  return (
    <Box display="flex" flexWrap="wrap" gap="6px">
      {names.map((name) => (
        <Chip key={name} on={said.belongings.includes(name)} onClick={() => turn(name)}>
          {name}
        </Chip>
      ))}
      <chakra.input
        aria-label="Something else that came with it"
        placeholder="something else, Enter"
        value={own}
        w="180px"
        px="6px"
        border="1px dashed"
        borderColor="#8B8771"
        borderRadius="sm"
        bg="white"
        onChange={(event) => setOwn(event.target.value)}
        onKeyDown={(event) => {
          const name = own.trim();
          if (event.key === 'Enter' && !event.ctrlKey && name) {
            event.preventDefault();
            if (!said.belongings.includes(name)) {
              turn(name);
            }
            setOwn('');
          }
        }}
      />
    </Box>
  );
}
