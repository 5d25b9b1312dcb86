import { chakra } from '@chakra-ui/react';
import { z } from 'zod';
import { useKeys } from '../app/keys';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { through } from './press';

const answer = z.object({ words: said.words('Say it in words, or press one of the usual answers') });

/** Why? Some usual answers by number key, or words. */
export function Question({
  title,
  usual,
  go,
  busy,
  leave,
  enter,
}: {
  title: string;
  usual: string[];
  go: string;
  busy: boolean;
  leave: () => void;
  enter: (words: string) => Promise<boolean>;
}) {
  const form = useSending({
    blank: { words: '' },
    check: answer,
    send: ({ words }) => through(enter(words)),
    leave,
  });
  useKeys([
    ...usual.map((one, n) => ({ key: String(n + 1), label: one, act: () => enter(one) })),
    { key: 'Escape', label: 'Leave it', act: leave },
  ]);
  return (
    <Form of={form} role="group" name={title} quiet gap="9px" first={usual.length === 0}>
      <chakra.h2 fontSize="2xl">{title}</chakra.h2>
      {usual.map((one, n) => (
        <Act
          key={one}
          look="bench"
          minH="48px"
          keyName={String(n + 1)}
          disabled={busy}
          onClick={() => enter(one)}
        >
          {one}
        </Act>
      ))}
      <TextIn of={form} at="words" label={usual.length > 0 ? 'Or in words' : 'In words'} />
      <Sends of={form} bench go={go} off={busy} />
    </Form>
  );
}
