import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Pick, Text } from '../parts/Fields';
import { quantity } from '../typed/quantity';
import { ComponentPick } from './ComponentPick';
import { Lines } from './OverviewRows';

type Point = Schemas['TestPoint'];

/** Where to measure and what is right there: a gauge opened from the bench knows it. */
export function TestPointRows({
  sheet,
  steps,
  points,
  set,
}: {
  sheet: Schemas['ModelSheet'];
  steps: Schemas['StepSaid'][];
  points: Point[];
  set: (points: Point[]) => void;
}) {
  return (
    <Lines
      heading="Test points"
      empty="None yet. Say where the probes go and what is right there: gauges opened at the bench then know it."
      more="Another test point"
      lines={points}
      set={set}
      blank={
        {
          name: '',
          kind: 'OTHER',
          component: sheet.components[0]?.id ?? 0,
          madeFrom: '',
          unit: '',
          probes: '',
          conditions: '',
          step: '',
        } as Point
      }
      columns="110px 120px 1fr"
    >
      {(point, change) => (
        <>
          <Text
            label="Point"
            compact
            placeholder="TP4"
            value={point.name}
            onChange={(event) => change({ name: event.target.value })}
          />
          <Pick
            label="It is"
            compact
            value={point.kind}
            onChange={(event) => change({ kind: event.target.value as Point['kind'] })}
          >
            {Object.entries(floor.PointKind).map(([kind, words]) => (
              <option key={kind} value={kind}>
                {kind === 'OTHER' ? 'a point' : `${words} rail`}
              </option>
            ))}
          </Pick>
          <Text
            label="Where the probes go"
            compact
            placeholder="red at the leg next to the notch, black at the shield"
            value={point.probes}
            onChange={(event) => change({ probes: event.target.value })}
          />
          {point.kind === 'OTHER' ? (
            <>
              <Figures label="Good from" value={point.least} set={(least) => change({ least })} />
              <Figures label="Good up to" value={point.most} set={(most) => change({ most })} />
              <Text
                label="Unit"
                compact
                placeholder="V"
                value={point.unit}
                onChange={(event) => change({ unit: event.target.value })}
              />
            </>
          ) : (
            <>
              <Figures label="Should be, V" value={point.nominal} set={(nominal) => change({ nominal })} />
              <Pick
                label="Made from"
                compact
                value={point.madeFrom}
                onChange={(event) => change({ madeFrom: event.target.value })}
              >
                <option value="">mains</option>
                {points
                  .filter((one) => one.kind !== 'OTHER' && one.name && one.name !== point.name)
                  .map((one) => (
                    <option key={one.name}>{one.name}</option>
                  ))}
              </Pick>
            </>
          )}
          <ComponentPick
            label="Speaks against"
            sheet={sheet}
            value={point.component}
            set={(component) => change({ component })}
          />
          <Pick
            label="Reached once this is done"
            compact
            value={point.step}
            onChange={(event) => change({ step: event.target.value })}
          >
            <option value="">what exposes that component</option>
            {steps.map((step) => (
              <option key={step.id} value={step.id}>
                {step.title}
              </option>
            ))}
          </Pick>
          <Text
            label="Under which conditions"
            compact
            placeholder="playing, ten minutes warm"
            value={point.conditions}
            onChange={(event) => change({ conditions: event.target.value })}
          />
        </>
      )}
    </Lines>
  );
}

/** A figure that may stay open. What is no figure yet is kept out of what is sent, as nothing said. */
function Figures({ label, value, set }: { label: string; value?: number; set: (value?: number) => void }) {
  return (
    <Text
      label={label}
      compact
      inputMode="decimal"
      defaultValue={value ?? ''}
      onChange={(event) => set(quantity(event.target.value))}
    />
  );
}
