import { Box } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { SumKept } from '../form/fields';
import { Chip } from '../parts/Buttons';
import { Pick, Row, Text } from '../parts/Fields';

type Step = Schemas['StepSaid'];
type Part = { step: Step; set: (part: Partial<Step>) => void };

/** What must be so before a step, and what to remember after it. */
export function WayBack({ step, others, set }: Part & { others: Step[] }) {
  return (
    <Row name="Before, after">
      <Text
        label="What must be so before it is begun"
        compact
        placeholder="drawer open before the power is pulled"
        value={step.mustBeTrue}
        onChange={(event) => set({ mustBeTrue: event.target.value })}
      />
      <Text
        label="To remember on the way back"
        compact
        placeholder="belt flat, not twisted"
        value={step.closeUp}
        onChange={(event) => set({ closeUp: event.target.value })}
      />
      <Box display="grid" gridTemplateColumns="1fr 130px" gap="8px">
        <Pick
          label="Goes back only after"
          compact
          value={step.backAfter[0] ?? ''}
          onChange={(event) => set({ backAfter: event.target.value ? [event.target.value] : [] })}
        >
          <option value="">the plain reverse is right</option>
          {others.map((other) => (
            <option key={other.id} value={other.id}>
              {other.title}
            </option>
          ))}
        </Pick>
        <Text
          label="Hours left off"
          compact
          type="number"
          min={0}
          max={240}
          value={step.waitHours}
          onChange={(event) => set({ waitHours: Number(event.target.value) })}
        />
      </Box>
    </Row>
  );
}

/** Several steps that do the same carry one group name; this one's price tells them apart. */
export function OtherWays({ step, groups, set }: Part & { groups: string[] }) {
  return (
    <Row name="Other ways">
      <Box display="grid" gridTemplateColumns="1fr 130px" gap="8px">
        <Text
          label="Does the same as others called"
          compact
          list="ways"
          placeholder="empty: the only way"
          value={step.insteadOf}
          onChange={(event) => set({ insteadOf: event.target.value })}
        />
        <SumKept
          label="Parts it costs"
          compact
          minor={step.partsMinor}
          set={(partsMinor) => set({ partsMinor })}
        />
      </Box>
      <datalist id="ways">
        {groups.map((group) => (
          <option key={group} value={group} />
        ))}
      </datalist>
      <Box display="flex" gap="6px" mt="6px">
        <Chip on={step.reversible} onClick={() => set({ reversible: true })}>
          can be undone
        </Chip>
        <Chip on={!step.reversible} onClick={() => set({ reversible: false })}>
          breaks something for good
        </Chip>
      </Box>
    </Row>
  );
}
