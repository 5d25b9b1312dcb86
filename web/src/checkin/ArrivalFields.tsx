import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Chip } from '../parts/Buttons';
import { Row, Text } from '../parts/Fields';
import type { Arrival } from './arrival';
import { StateFields } from './StateFields';
import { Symptoms } from './Symptoms';

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
  steps: Schemas['StepSaid'][];
}) {
  return (
    <>
      <Row name="What it does">
        <Symptoms said={said.symptoms} say={(symptoms) => say({ ...said, symptoms })} words={words} />
        <Text
          label="In their words"
          compact
          value={said.complaint}
          onChange={(event) => say({ ...said, complaint: event.target.value })}
          onKeyDown={(event) => event.key === 'Enter' && !event.ctrlKey && event.preventDefault()}
        />
      </Row>
      <Row name="State">
        <StateFields said={said} say={say} steps={steps} />
      </Row>
      <Row name="Came with">
        <Named
          name="Came with"
          usual={WITH}
          other="Something else that came with it"
          example="disc inside, two scratches: Enter"
          names={said.belongings}
          set={(belongings) =>
            say({
              ...said,
              belongings,
              without: (said.without ?? []).filter((name) => !belongings.includes(name)),
            })
          }
        />
      </Row>
      <Row name="Came without">
        <Named
          name="Came without"
          usual={WITHOUT}
          other="Something else that it came without"
          example="drive cover: Enter"
          names={said.without ?? []}
          set={(without) =>
            say({ ...said, without, belongings: said.belongings.filter((name) => !without.includes(name)) })
          }
        />
      </Row>
    </>
  );
}

const WITH = ['mains lead', 'remote', 'carton'];
const WITHOUT = ['mains lead', 'remote', 'battery cover', 'a foot'];

/** Things by their names: the usual ones to be picked, others to be typed. */
function Named({
  name: about,
  usual,
  other,
  example,
  names,
  set,
}: {
  name: string;
  usual: string[];
  other: string;
  example: string;
  names: string[];
  set: (names: string[]) => void;
}) {
  const [own, setOwn] = useState('');
  const all = [...usual, ...names.filter((name) => !usual.includes(name))];
  const turn = (name: string) =>
    set(names.includes(name) ? names.filter((one) => one !== name) : [...names, name]);
  return (
    <Box display="flex" flexWrap="wrap" gap="4px" role="group" aria-label={about}>
      {all.map((name) => (
        <Chip
          key={name}
          on={names.includes(name)}
          minH="30px"
          px="8px"
          py="2px"
          fontSize="sm"
          onClick={() => turn(name)}
        >
          {name}
        </Chip>
      ))}
      <chakra.input
        aria-label={other}
        placeholder={example}
        value={own}
        flex="1"
        minW="170px"
        px="6px"
        border="1px dashed"
        borderColor="edge"
        borderRadius="sm"
        bg="field"
        onChange={(event) => setOwn(event.target.value)}
        onKeyDown={(event) => {
          const name = own.trim();
          if (event.key === 'Enter' && !event.ctrlKey && name) {
            event.preventDefault();
            if (!names.includes(name)) {
              turn(name);
            }
            setOwn('');
          }
        }}
      />
    </Box>
  );
}
