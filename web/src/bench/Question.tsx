import { chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { z } from 'zod';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import type { paths } from '../api/schema';
import { useKeys } from '../app/keys';
import { Form, Sends } from '../form/Form';
import { TextIn } from '../form/fields';
import { said } from '../form/said';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { through } from './press';

type Of = NonNullable<paths['/api/bench-reasons']['get']['parameters']['query']>['of'];

/** More than these nobody reads with a driver in hand. */
const MOST = 6;

const inWords = z.object({ words: said.words('Say it in words, or press one of the usual answers') });

/** Why? Some usual answers by number key, or words. */
export function Question({
  title,
  usual: atFirst,
  of,
  go,
  busy,
  leave,
  enter,
}: {
  title: string;
  /** before anybody has given a reason here */
  usual: string[];
  /** what is asked for: the reasons that were given most often are offered first */
  of?: Of;
  go: string;
  busy: boolean;
  leave: () => void;
  enter: (words: string) => Promise<boolean>;
}) {
  const before = useQuery({
    queryKey: answers.reasons(of),
    queryFn: () => answer(api.GET('/api/bench-reasons', { params: { query: { of: of as Of } } })),
    enabled: of !== undefined,
  });
  const usual = [...new Set([...(before.data ?? []), ...atFirst])].slice(0, MOST);
  const form = useSending({
    blank: { words: '' },
    check: inWords,
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
          minH="56px"
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
