import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { z } from 'zod';
import { answer, api, type Schemas, seen } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { Form, Sends } from '../form/Form';
import { CountIn, SumIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Chip } from '../parts/Buttons';
import { TakePhoto } from '../parts/TakePhoto';
import { plainSum } from '../typed/sum';
import { SpecFields, type SpecTyped, specSaid, specTyped } from './SpecFields';

type Part = Schemas['Part'];

type Typed = {
  drawer: string;
  name: string;
  what: string;
  each: string;
  count: number;
  spec?: SpecTyped;
  place: string;
  supplierNumber: string;
  pack: number;
  minimum: string;
  gone: boolean;
  temporary: boolean;
  photo?: string;
};

const partOf = (currency: string) =>
  z.object({
    drawer: said.words('Say which drawer it belongs in').max(12, 'At most 12 letters'),
    name: said.words('Say what the part is called'),
    what: z.string(),
    each: said.sumIfAny(currency),
    count: said.count(0, 9999),
    spec: specSaid.optional(),
    place: z.string(),
    supplierNumber: z.string(),
    pack: said.count(1, 100_000),
    minimum: z
      .string()
      .trim()
      .regex(/^\d{0,4}$/, 'A whole number, or nothing')
      .transform((typed) => (typed === '' ? undefined : Number(typed))),
    gone: z.boolean(),
    temporary: z.boolean(),
    photo: z.string().optional(),
  });

function asTyped(currency: string, part?: Part, drawer = ''): Typed {
  return {
    drawer: part?.drawer ?? drawer,
    name: part?.name ?? '',
    what: part?.what ?? '',
    each: part ? plainSum(part.eachMinor, currency) : '',
    count: 0,
    spec: part?.spec && specTyped(part.spec),
    place: part?.care.place ?? '',
    supplierNumber: part?.care.supplierNumber ?? '',
    pack: part?.care.pack ?? 1,
    minimum: part?.care.minimum === undefined ? '' : String(part.care.minimum),
    gone: part?.care.gone ?? false,
    temporary: part?.care.temporary ?? false,
    photo: part?.care.photo,
  };
}

/** What a part is: read off its name as one types, said otherwise field by field. */
export function PartForm({
  part,
  drawer,
  done,
}: {
  part?: Part;
  drawer?: string;
  done: (id?: number) => void;
}) {
  const currency = useCurrency();
  const form = useSending({
    blank: asTyped(currency, part, drawer),
    check: partOf(currency) as never,
    kept: part ? `part ${part.id} ${part.version}` : 'part',
    send: (sent: z.infer<ReturnType<typeof partOf>>) => {
      const { each = 0, place, supplierNumber, pack, minimum, gone, temporary, photo, ...rest } = sent;
      const body = {
        ...rest,
        eachMinor: each,
        care: { place, supplierNumber, pack, minimum, gone, temporary, photo },
      };
      return answer(
        part
          ? api.PUT('/api/parts/{part}', {
              params: { path: { part: part.id }, header: seen(part.version) },
              body,
            })
          : api.POST('/api/parts', { body }),
      );
    },
    done: (saved) => done(saved.id),
    leave: () => done(part?.id),
  });
  const { name, what, spec } = form.value;
  const label = useDeferredValue(`${name}\n${what}`);
  const reading = useQuery({
    queryKey: answers.reading(label),
    queryFn: () => {
      const [called = '', words = ''] = label.split('\n');
      return answer(api.GET('/api/part-reading', { params: { query: { name: called, what: words } } }));
    },
    enabled: !spec && label.trim() !== '',
    placeholderData: (before) => before,
  });
  return (
    <Form of={form} name={part ? 'What it is' : 'A new part'} my="8px">
      <Box display="grid" gridTemplateColumns="90px 1fr" gap="8px">
        <TextIn of={form} at="drawer" label="Drawer" />
        <TextIn of={form} at="name" label="Name" placeholder="belt 50 × 1.2 square" />
      </Box>
      <TextIn of={form} at="what" label="What else its label says" />
      {spec ? (
        <SpecFields
          spec={spec}
          put={(next) => form.put('spec', next)}
          problem={(at) => form.problem(at as never)}
        />
      ) : (
        <Box fontSize="sm" color="chalk" minH="24px">
          {reading.data?.spec
            ? `Read as ${floor.PartKind[reading.data.spec.kind]}: ${reading.data.told || 'nothing more'}`
            : label.trim() && 'Nothing could be read of it'}{' '}
          <Chip
            on={false}
            minH="30px"
            fontSize="sm"
            onClick={() =>
              form.put(
                'spec',
                reading.data?.spec ? specTyped(reading.data.spec) : { kind: 'OTHER', fields: {} },
              )
            }
          >
            say it field by field
          </Chip>
        </Box>
      )}
      <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="8px">
        <SumIn of={form} at="each" label="Cost of one" />
        {part ? (
          <TextIn of={form} at="minimum" label="Order at" inputMode="numeric" placeholder="as computed" />
        ) : (
          <CountIn of={form} at="count" label="How many now" min={0} />
        )}
        <CountIn of={form} at="pack" label="In a pack" min={1} />
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <TextIn of={form} at="place" label="Where in the drawer" />
        <TextIn of={form} at="supplierNumber" label="Supplier's number" />
      </Box>
      <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center">
        <Chip
          on={form.value.gone}
          minH="34px"
          fontSize="sm"
          onClick={() => form.put('gone', !form.value.gone)}
        >
          no longer made
        </Chip>
        <Chip
          on={form.value.temporary}
          minH="34px"
          fontSize="sm"
          onClick={() => form.put('temporary', !form.value.temporary)}
        >
          for a test only
        </Chip>
        <TakePhoto
          taken={({ hash }) => form.put('photo', hash)}
          words={form.value.photo ? 'Another picture' : 'A picture'}
        />
      </Box>
      <Sends of={form} go={part ? 'Save it' : 'Put it in the drawer'} />
    </Form>
  );
}
