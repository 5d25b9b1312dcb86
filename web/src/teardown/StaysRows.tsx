import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Act } from '../parts/Buttons';
import { Pick, Row, Text } from '../parts/Fields';
import { newId } from './newId';

type Stays = Schemas['Staying'];

const SECOND: Record<Stays['as'], string> = {
  LOOSENED: 'How far',
  ADJUSTED: 'How it is best marked',
  STUCK: 'What holds it',
  LEAVE_ALONE: 'Why it is left alone',
};

/** What a step meets and does not take off: loosened, adjusted, stuck, or left alone with the reason. */
export function StaysRows({ stays, set }: { stays: Stays[]; set: (stays: Stays[]) => void }) {
  const put = (id: string, part: Partial<Stays>) =>
    set(stays.map((one) => (one.id === id ? { ...one, ...part } : one)));
  return (
    <Row name="Stays">
      {stays.map((one) => (
        <Box
          key={one.id}
          display="grid"
          gridTemplateColumns="130px 1fr 1fr auto"
          gap="8px"
          alignItems="end"
          mb="6px"
        >
          <Pick
            label="Is"
            compact
            value={one.as}
            onChange={({ target }) => put(one.id, { as: target.value as Stays['as'] })}
          >
            {Object.entries(floor.StaysAs).map(([as, words]) => (
              <option key={as} value={as}>
                {words}
              </option>
            ))}
          </Pick>
          <Text
            label="What"
            compact
            value={one.label}
            onChange={({ target }) => put(one.id, { label: target.value })}
          />
          <Text
            label={SECOND[one.as]}
            compact
            value={one.words}
            onChange={({ target }) => put(one.id, { words: target.value })}
          />
          <Act
            look="quiet"
            aria-label={`Remove what stays: ${one.label}`}
            onClick={() => set(stays.filter((other) => other.id !== one.id))}
          >
            remove
          </Act>
        </Box>
      ))}
      <Act onClick={() => set([...stays, { id: newId(), label: '', as: 'LOOSENED', words: '' }])}>
        Loosened, adjusted, stuck, left alone
      </Act>
    </Row>
  );
}
