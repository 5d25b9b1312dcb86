import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { sideWords } from '../api/words';
import { Act, Chip } from '../parts/Buttons';
import { Pick, Row, Text, Words } from '../parts/Fields';
import { Trouble } from '../parts/States';
import { FastenerRow } from './FastenerRow';
import { newId } from './newId';
import { StepPhotos } from './StepPhotos';

type Step = Schemas['Step'];

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
    <chakra.form aria-label="Step" onSubmit={(event) => event.preventDefault()}>
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
        <Box display="flex" gap="6px" flexWrap="wrap" mb="6px" role="group" aria-label="Side that faces up">
          {(Object.keys(sideWords) as Step['side'][]).map((side) => (
            <Chip key={side} on={step.side === side} onClick={() => set({ side })}>
              {sideWords[side]}
            </Chip>
          ))}
        </Box>
        <Box display="grid" gridTemplateColumns="1fr 120px" gap="8px">
          <Text
            label="Tool (empty: bare hands)"
            compact
            placeholder="PH1, T8, hook"
            value={step.tool}
            onChange={(event) => set({ tool: event.target.value })}
          />
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
          />
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
          />
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
                    head: 'CROSS',
                    size: 'PH1',
                    thread: 'TAPPING',
                    diameterMm: 2.6,
                    lengthMm: 8,
                    finish: 'BLACK',
                    count: 4,
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
                  { id: newId(), label: '', mark: '', keyed: false, latch: '' },
                ],
              })
            }
          >
            A plug
          </Act>
          <Act
            onClick={() => set({ pieces: [...step.pieces, { id: newId(), label: '', hint: '', count: 1 }] })}
          >
            A loose piece
          </Act>
        </Box>
      </Row>
      <Row name="Exposes">
        <Exposes step={step} model={model} components={components} set={set} />
      </Row>
      <StepPhotos photos={step.photos} set={(photos) => set({ photos })} />
      <WayBack step={step} others={others} set={set} />
      <OtherWays step={step} groups={groups} set={set} />
      <Act look="quiet" color="hazard" onClick={remove}>
        Take this step out of the notes
      </Act>
    </chakra.form>
  );
}

type Part = { step: Step; set: (part: Partial<Step>) => void };

function WayBack({ step, others, set }: Part & { others: Step[] }) {
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
function OtherWays({ step, groups, set }: Part & { groups: string[] }) {
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
        <Text
          label="Parts it costs"
          compact
          type="number"
          min={0}
          step={0.01}
          value={step.partsMinor / 100}
          onChange={(event) => set({ partsMinor: Math.round(Number(event.target.value) * 100) })}
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

function toggled<T>(all: T[], one: T): T[] {
  return all.includes(one) ? all.filter((other) => other !== one) : [...all, one];
}

function ThingRow({
  name,
  label,
  second,
  words,
  change,
  remove,
}: {
  name: string;
  label: string;
  second: string;
  words: string;
  change: (label: string, words: string) => void;
  remove: () => void;
}) {
  return (
    <Box display="grid" gridTemplateColumns="1fr 1fr auto" gap="8px" alignItems="end" mb="6px">
      <Text label={name} compact value={label} onChange={(event) => change(event.target.value, words)} />
      <Text label={second} compact value={words} onChange={(event) => change(label, event.target.value)} />
      <Act look="quiet" aria-label={`Remove ${name} ${label}`} onClick={remove}>
        remove
      </Act>
    </Box>
  );
}

function Exposes({
  step,
  model,
  components,
  set,
}: {
  step: Step;
  model: number;
  components: Schemas['ModelComponent'][];
  set: (part: Partial<Step>) => void;
}) {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const add = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/models/{model}/components', { params: { path: { model } }, body: { name } })),
    onSuccess: async (added) => {
      await client.invalidateQueries({ queryKey: ['model', model] });
      set({ exposes: [...step.exposes.filter((one) => one !== added.id), added.id] });
      setName('');
    },
  });
  return (
    <Box display="flex" gap="6px" flexWrap="wrap">
      {components.map((component) => (
        <Chip
          key={component.id}
          on={step.exposes.includes(component.id)}
          onClick={() => set({ exposes: toggled(step.exposes, component.id) })}
        >
          {component.name}
        </Chip>
      ))}
      <chakra.input
        aria-label="Another component"
        placeholder="another component, Enter"
        value={name}
        w="210px"
        px="6px"
        minH="34px"
        border="1px dashed"
        borderColor="#8B8771"
        borderRadius="sm"
        bg="white"
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && name.trim()) {
            event.preventDefault();
            add.mutate();
          }
        }}
      />
      <Trouble error={add.error} />
    </Box>
  );
}
