import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Act, Chip } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Row, Text, Words } from '../parts/Fields';
import { Exposes } from './Exposes';
import { FastenerRow } from './FastenerRow';
import { newId } from './newId';
import { StaysRows } from './StaysRows';
import { StepPhotos } from './StepPhotos';
import { OtherWays, WayBack } from './StepWays';
import { HowMany, PlugFields } from './ThingFields';
import { ToolField } from './ToolField';
import { toggled } from './toggled';

type Step = Schemas['StepSaid'];

/** One step, to be written or put right. */
export function StepForm({
  step,
  steps,
  shapes,
  questions,
  model,
  components,
  change,
  remove,
}: {
  step: Step;
  steps: Step[];
  shapes: Schemas['NotesView']['shapes'];
  questions: Schemas['NotesView']['questions'];
  model: number;
  components: Schemas['ModelComponent'][];
  change: (step: Step) => void;
  remove: () => void;
}) {
  const set = (part: Partial<Step>) => change({ ...step, ...part });
  const others = steps.filter((one) => one.id !== step.id);
  const groups = [...new Set(others.map((one) => one.insteadOf).filter(Boolean))];
  return (
    <Box role="form" aria-label="Step">
      <Row name="What to do">
        <Text
          label="Step"
          compact
          autoFocus={!step.title}
          value={step.title}
          onChange={(event) => set({ title: event.target.value })}
        />
        <Words label="How" compact value={step.how} onChange={(event) => set({ how: event.target.value })} />
        <Text
          label="Caution, shown before anything else"
          compact
          value={step.caution}
          onChange={(event) => set({ caution: event.target.value })}
        />
        <Box display="flex" gap="6px" flexWrap="wrap">
          <Chip on={step.live} onClick={() => set({ live: !step.live, waitHours: 0 })}>
            done under power
          </Chip>
          <Chip on={step.leadOnly} onClick={() => set({ leadOnly: !step.leadOnly })}>
            a lead alone
          </Chip>
        </Box>
      </Row>
      {others.length > 0 && (
        <Row name="Needs first">
          <Box display="flex" gap="6px" flexWrap="wrap">
            {groups.map((group) => (
              <Chip
                key={group}
                on={step.needs.includes(group)}
                borderStyle="dashed"
                onClick={() => set({ needs: toggled(step.needs, group) })}
              >
                {group}: any one way
              </Chip>
            ))}
            {others.map((other) => (
              <Chip
                key={other.id}
                on={step.needs.includes(other.id)}
                onClick={() => set({ needs: toggled(step.needs, other.id) })}
              >
                {other.title || 'untitled'}
              </Chip>
            ))}
          </Box>
        </Row>
      )}
      <Row name="With">
        <Choice
          mb="6px"
          label="Side that faces up"
          words={floor.Side}
          picked={step.side}
          pick={(side) => set({ side })}
        />
        <Box display="grid" gridTemplateColumns="1fr 120px" gap="8px">
          <ToolField tool={step.tool} set={(tool) => set({ tool })} />
          <Text
            label="Minutes"
            compact
            type="number"
            min={0}
            step={0.5}
            value={step.minutes}
            onChange={(event) => set({ minutes: Number(event.target.value) })}
          />
        </Box>
      </Row>
      <Row name="Comes off">
        {step.fasteners.map((group) => (
          <FastenerRow
            key={group.id}
            group={group}
            shape={shapes[group.id]}
            question={questions[group.id]}
            side={step.side}
            change={(next) =>
              set({ fasteners: step.fasteners.map((one) => (one.id === next.id ? next : one)) })
            }
            remove={() => set({ fasteners: step.fasteners.filter((one) => one.id !== group.id) })}
          />
        ))}
        {step.connectors.map((plug) => (
          <ThingRow
            key={plug.id}
            name="Plug"
            label={plug.label}
            second="How it goes back (red wire to the edge)"
            words={plug.mark}
            change={(label, mark) =>
              set({
                connectors: step.connectors.map((one) =>
                  one.id === plug.id ? { ...one, label, mark } : one,
                ),
              })
            }
            remove={() => set({ connectors: step.connectors.filter((one) => one.id !== plug.id) })}
          >
            <PlugFields
              plug={plug}
              set={(part) =>
                set({
                  connectors: step.connectors.map((one) => (one.id === plug.id ? { ...one, ...part } : one)),
                })
              }
            />
          </ThingRow>
        ))}
        {step.pieces.map((piece) => (
          <ThingRow
            key={piece.id}
            name="Loose piece"
            label={piece.label}
            second="How it sits"
            words={piece.hint}
            change={(label, hint) =>
              set({ pieces: step.pieces.map((one) => (one.id === piece.id ? { ...one, label, hint } : one)) })
            }
            remove={() => set({ pieces: step.pieces.filter((one) => one.id !== piece.id) })}
          >
            <HowMany
              of={piece.label}
              count={piece.count}
              set={(count) =>
                set({ pieces: step.pieces.map((one) => (one.id === piece.id ? { ...one, count } : one)) })
              }
            />
            <Chip
              on={piece.usedUp}
              aria-label={`${piece.label} is used up by opening`}
              onClick={() =>
                set({
                  pieces: step.pieces.map((one) =>
                    one.id === piece.id ? { ...one, usedUp: !one.usedUp } : one,
                  ),
                })
              }
            >
              used up by opening
            </Chip>
          </ThingRow>
        ))}
        <Box display="flex" gap="6px" flexWrap="wrap" mt="4px">
          <Act
            onClick={() =>
              set({
                fasteners: [
                  ...step.fasteners,
                  {
                    id: newId(),
                    label: `${step.title || 'case'} screws`.toLowerCase(),
                    size: '',
                    hides: '',
                    spots: [],
                  },
                ],
              })
            }
          >
            Fasteners
          </Act>
          <Act
            onClick={() =>
              set({
                connectors: [
                  ...step.connectors,
                  { id: newId(), label: '', mark: '', keyed: false, latch: '', count: 1 },
                ],
              })
            }
          >
            A plug
          </Act>
          <Act
            onClick={() =>
              set({ pieces: [...step.pieces, { id: newId(), label: '', hint: '', count: 1, usedUp: false }] })
            }
          >
            A loose piece
          </Act>
        </Box>
      </Row>
      <StaysRows stays={step.stays} set={(stays) => set({ stays })} />
      <Row name="Exposes">
        <Exposes step={step} model={model} components={components} set={set} />
      </Row>
      <StepPhotos photos={step.photos} set={(photos) => set({ photos })} />
      <WayBack step={step} others={others} set={set} />
      <OtherWays step={step} groups={groups} set={set} />
      <Act look="quiet" color="hazard" onClick={remove}>
        Take this step out of the notes
      </Act>
    </Box>
  );
}

function ThingRow({
  name,
  label,
  second,
  words,
  change,
  remove,
  children,
}: {
  name: string;
  label: string;
  second: string;
  words: string;
  children?: ReactNode;
  change: (label: string, words: string) => void;
  remove: () => void;
}) {
  return (
    <Box display="grid" gridTemplateColumns="1fr 1fr auto auto" gap="8px" alignItems="end" mb="6px">
      <Text label={name} compact value={label} onChange={(event) => change(event.target.value, words)} />
      <Text label={second} compact value={words} onChange={(event) => change(label, event.target.value)} />
      {children ?? <span />}
      <Act look="quiet" aria-label={`Remove ${name} ${label}`} onClick={remove}>
        remove
      </Act>
    </Box>
  );
}
