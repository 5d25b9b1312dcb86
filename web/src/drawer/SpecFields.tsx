import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { z } from 'zod';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { Pick, Text } from '../parts/Fields';
import { readQuantity } from '../typed/quantity';

type Spec = Schemas['PartSpec'];
type Kind = Spec['kind'];

/** What is known of a part as it is typed: figures too, until they are sent. */
export type SpecTyped = {
  kind: Kind;
  fields: Record<string, { figure: boolean; typed: string; unit: string }>;
};

export function specTyped(spec: Spec): SpecTyped {
  return {
    kind: spec.kind,
    fields: {
      ...Object.fromEntries(
        Object.entries(spec.figures).map(([field, value]) => [
          field,
          { figure: true, typed: String(value), unit: '' },
        ]),
      ),
      ...Object.fromEntries(
        Object.entries(spec.words).map(([field, value]) => [
          field,
          { figure: false, typed: value, unit: '' },
        ]),
      ),
    },
  };
}

/** What goes out of it: what is empty is not known. */
export const specSaid = z
  .object({
    kind: z.custom<Kind>(),
    fields: z.record(z.string(), z.object({ figure: z.boolean(), typed: z.string(), unit: z.string() })),
  })
  .transform(({ kind, fields }, context): Spec => {
    const figures: Record<string, number> = {};
    const words: Record<string, string> = {};
    for (const [field, { figure, typed, unit }] of Object.entries(fields)) {
      if (typed.trim() === '') {
        continue;
      }
      if (!figure) {
        words[field] = typed.trim();
        continue;
      }
      const read = readQuantity(typed, unit);
      if ('read' in read) {
        figures[field] = read.read;
      } else {
        context.addIssue({
          code: 'custom',
          path: ['fields', field],
          message: 'problem' in read ? read.problem : 'Say which is meant',
        });
      }
    }
    return { kind, figures, words };
  });

/** Kind and fields of a part; any of them may stay empty: not known. */
export function SpecFields({
  spec,
  put,
  problem,
}: {
  spec: SpecTyped;
  put: (next: SpecTyped) => void;
  problem: (at: string) => string | undefined;
}) {
  const kinds = useQuery({
    queryKey: answers.partKinds(),
    queryFn: () => answer(api.GET('/api/part-kinds')),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const kind = kinds.data?.find((one) => one.kind === spec.kind);
  return (
    <Box
      borderLeft="4px solid"
      borderColor="chalk"
      pl="10px"
      display="grid"
      gridTemplateColumns="1fr 1fr"
      gap="6px 10px"
    >
      <Pick
        label="It is a"
        compact
        value={spec.kind}
        onChange={(event) => put({ kind: event.target.value as Kind, fields: {} })}
      >
        {kinds.data?.map((one) => (
          <option key={one.kind} value={one.kind}>
            {one.words}
          </option>
        ))}
      </Pick>
      {kind?.fields.map((field) => {
        const set = (typed: string) =>
          put({
            ...spec,
            fields: { ...spec.fields, [field.field]: { figure: field.figure, typed, unit: field.unit } },
          });
        const typed = spec.fields[field.field]?.typed ?? '';
        const choices = Object.entries(field.choices);
        return choices.length > 0 ? (
          <Pick
            key={field.field}
            label={field.words}
            compact
            value={typed}
            onChange={(event) => set(event.target.value)}
          >
            <option value="">not known</option>
            {choices.map(([name, words]) => (
              <option key={name} value={name}>
                {words}
              </option>
            ))}
          </Pick>
        ) : (
          <Text
            key={field.field}
            label={field.unit ? `${field.words}, ${field.unit}` : field.words}
            compact
            inputMode={field.figure ? 'decimal' : undefined}
            placeholder="not known"
            value={typed}
            problem={problem(`spec.fields.${field.field}`)}
            onChange={(event) => set(event.target.value)}
          />
        );
      })}
    </Box>
  );
}
