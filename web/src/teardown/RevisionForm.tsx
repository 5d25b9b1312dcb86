import { z } from 'zod';
import { answer, api, type Schemas, seen } from '../api/client';
import { useGoOn } from '../app/leaving';
import { Form } from '../form/Form';
import { PickIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';

const called = z.object({
  name: said.words('Say what the revision is called'),
  tellApart: z.string(),
  copyOf: z.number(),
});

/** A revision of a model: what it is called and how to tell it apart from outside. */
export function RevisionForm({
  model,
  revision,
  others,
  done,
}: {
  model: number;
  revision?: Schemas['Revision'];
  /** those whose notes a new one can start with */
  others: Schemas['Revision'][];
  done: () => void;
}) {
  const goOn = useGoOn();
  const form = useSending({
    blank: {
      name: revision?.name ?? '',
      tellApart: revision?.tellApart ?? '',
      copyOf: others[others.length - 1]?.id ?? 0,
    },
    check: called,
    kept: revision ? `revision ${revision.id} ${revision.version}` : `revision of ${model}`,
    send: ({ name, tellApart, copyOf }) =>
      answer(
        revision
          ? api.PUT('/api/revisions/{revision}', {
              params: { path: { revision: revision.id }, header: seen(revision.version) },
              body: { name, tellApart, look: revision.look },
            })
          : api.POST('/api/models/{model}/revisions', {
              params: { path: { model } },
              body: { name, tellApart, copyOf: copyOf || undefined },
            }),
      ),
    done: (saved) => {
      if (!revision) {
        goOn(`/models/${model}/${saved.id}/notes`);
      }
      done();
    },
    leave: done,
  });
  return (
    <Form
      of={form}
      name="Revision"
      mt="8px"
      gridTemplateColumns={{ base: '1fr', md: '200px 1fr 200px auto auto' }}
      gap="10px"
      alignItems="end"
    >
      <TextIn of={form} at="name" label="Revision" compact />
      <TextIn of={form} at="tellApart" label="How to tell it apart from outside" compact />
      {!revision && others.length > 0 ? (
        <PickIn of={form} at="copyOf" number label="Starts with the notes of" compact>
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
          <option value={0}>none: from nothing</option>
        </PickIn>
      ) : (
        <span />
      )}
      <Act look="main" type="submit" disabled={form.pending}>
        {revision ? 'Save it' : 'Add the revision'}
      </Act>
      <Act onClick={form.leave}>Leave it</Act>
    </Form>
  );
}
