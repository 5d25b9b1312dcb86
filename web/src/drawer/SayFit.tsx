import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { z } from 'zod';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Form, Sends } from '../form/Form';
import { PickIn, TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { OneOf } from '../parts/OneOf';
import { useModel } from '../teardown/useModel';

const WORDS = { FITS: 'it fits', NOT: 'it does not' };

/** Somebody's word on a part at a component: that it fits there, or that it does not, and why. */
export function SayFit({ part, done }: { part: number; done: () => void }) {
  const models = useQuery({ queryKey: answers.models(), queryFn: () => answer(api.GET('/api/models')) });
  const form = useSending({
    blank: {
      model: undefined as number | undefined,
      component: undefined as number | undefined,
      says: undefined as keyof typeof WORDS | undefined,
      why: '',
    },
    check: z.object({
      model: z.number('Say which model'),
      component: z.number('Say which component'),
      says: z.enum(['FITS', 'NOT'], 'Say whether it fits'),
      why: said.words('Say how it was seen'),
    }) as never,
    kept: `fit ${part}`,
    send: ({ component, says, why }: { component: number; says: keyof typeof WORDS; why: string }) =>
      answer(
        api.POST('/api/parts/{part}/fits', {
          params: { path: { part } },
          body: { componentId: component, fits: says === 'FITS', why },
        }),
      ),
    done,
    leave: done,
  });
  const model = useModel(form.value.model ?? 0);
  return (
    <Form of={form} name="Where it fits" my="8px">
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <PickIn of={form} at="model" label="Model" number>
          <option value="">Which model</option>
          {models.data?.map(({ model: one }) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </PickIn>
        <PickIn of={form} at="component" label="Component" number>
          <option value="">Which component</option>
          {form.value.model !== undefined &&
            model.data?.components.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
        </PickIn>
      </Box>
      <OneOf
        label="Whether it fits"
        words={WORDS}
        picked={form.value.says}
        pick={(one) => form.put('says', one)}
      />
      {form.problem('says') && (
        <Box fontSize="sm" color="hazard" role="alert">
          {form.problem('says')}
        </Box>
      )}
      <TextIn
        of={form}
        at="why"
        label="How it was seen"
        placeholder="fitted and ran; too short, climbs off"
      />
      <Sends of={form} go="Say it" />
    </Form>
  );
}
