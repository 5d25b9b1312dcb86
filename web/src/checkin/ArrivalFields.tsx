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
        <Belongings names={said.belongings} set={(belongings) => say({ ...said, belongings })} />
      </Row>
    </>
  );
}

const USUAL = ['mains lead', 'remote', 'carton'];

function Belongings({ names, set }: { names: string[]; set: (names: string[]) => void }) {
  const [own, setOwn] = useState('');
  const all = [...USUAL, ...names.filter((name) => !USUAL.includes(name))];
  const turn = (name: string) =>
    set(names.includes(name) ? names.filter((one) => one !== name) : [...names, name]);
  return (
    <Box display="flex" flexWrap="wrap" gap="4px">
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
        aria-label="Something else that came with it"
        placeholder="disc inside, two scratches: Enter"
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
