import { chakra } from '@chakra-ui/react';
import {
  type ComponentProps,
  createContext,
  type KeyboardEvent,
  type ReactNode,
  useContext,
  useRef,
  useState,
} from 'react';
import { answer, api, type Schemas } from '../api/client';
import { bareField } from '../parts/Fields';

/** What a meter would be asked for a field, and where its probes would be. */
export type Metered = { fn: Schemas['ReadingAsked']['function']; at: string };
type Field = Metered & { label: string; set: (typed: string) => void; input: HTMLInputElement };

type Meter = {
  /** the field a reading goes into: the one that had the keyboard last */
  field?: Field;
  look: (field?: Field) => void;
  take: (field: Field) => void;
  stop: () => void;
  reading: boolean;
  error: unknown;
  /** what the meter that was read last calls itself */
  instrument: string;
};

const MeterContext = createContext<Meter | null>(null);

export function useMeter(): Meter {
  const meter = useContext(MeterContext);
  if (!meter) {
    throw new Error('a meter is asked outside of a gauge');
  }
  return meter;
}

/** One reading at a time for the fields of a gauge. The fields stay free to be typed into while the meter thinks. */
export function MeterFor({ children }: { children: ReactNode }) {
  const [field, look] = useState<Field>();
  const [instrument, setInstrument] = useState('');
  const [reading, setReading] = useState(false);
  const [error, setError] = useState<unknown>();
  const taking = useRef<AbortController>(null);
  async function take(into: Field) {
    if (taking.current) {
      return;
    }
    const abort = new AbortController();
    taking.current = abort;
    setReading(true);
    setError(undefined);
    try {
      const taken = await answer(
        api.POST('/api/meter/readings', { body: { function: into.fn, at: into.at }, signal: abort.signal }),
      );
      into.set(taken.words);
      setInstrument(taken.meter);
      // Whoever has gone on meanwhile is left alone.
      if (document.activeElement === into.input) {
        next(into.input);
      }
    } catch (trouble) {
      setError(abort.signal.aborted ? undefined : trouble);
    } finally {
      // The next key comes as soon as the value is seen: by then this one is over.
      taking.current = null;
      setReading(false);
    }
  }
  const meter: Meter = {
    field,
    look,
    take,
    stop: () => taking.current?.abort(),
    reading,
    error,
    instrument,
  };
  return <MeterContext value={meter}>{children}</MeterContext>;
}

function next(input: HTMLInputElement) {
  const all = [...(input.closest('[data-fields]')?.querySelectorAll('input') ?? [])];
  all[all.indexOf(input) + 1]?.focus();
}

/** Enter on an empty field takes the reading and goes on; on a filled one it goes on. */
export function MeterInput({
  label,
  metered,
  value,
  set,
  ...rest
}: Omit<ComponentProps<typeof chakra.input>, 'onChange' | 'value'> & {
  label?: string;
  metered?: Metered;
  value: string;
  set: (typed: string) => void;
}) {
  const meter = useMeter();
  const asField = (input: HTMLInputElement): Field | undefined =>
    metered && { ...metered, label: label ?? metered.at, set, input };
  const pressed = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Escape') {
      meter.stop();
    }
    if (event.key !== 'Enter') {
      return;
    }
    event.preventDefault();
    const field = asField(event.currentTarget);
    if (field && value.trim() === '') {
      meter.take(field);
    } else {
      next(event.currentTarget);
    }
  };
  return (
    <chakra.input
      {...bareField}
      fontFamily="mono"
      autoComplete="off"
      aria-label={label}
      value={value}
      onChange={(event) => set(event.target.value)}
      onFocus={(event) => meter.look(asField(event.currentTarget))}
      onKeyDown={pressed}
      {...rest}
    />
  );
}
