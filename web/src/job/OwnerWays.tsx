import { Box, chakra } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useMay } from '../api/session';
import { Form, Sends } from '../form/Form';
import { WordsIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Act } from '../parts/Buttons';
import { Forget } from './Forget';

type Way = Schemas['ContactWay'];

/** Where each way leads on a device that can. */
function leads({ kind, said }: Way): string | undefined {
  if (kind === 'MAIL') {
    return `mailto:${said.split(/\s/).find((word) => word.includes('@'))}`;
  }
  return kind === 'PHONE' ? `tel:${said.replace(/[^\d+]/g, '')}` : undefined;
}

/** How an owner is reached, the first way first, and a form for other ways. */
export function OwnerWays({ owner }: { owner: Schemas['Owner'] }) {
  const [changing, setChanging] = useState(false);
  const may = useMay('CHECK_IN');
  const lead = useMay('FORGET');
  if (changing) {
    return <Change owner={owner} leave={() => setChanging(false)} />;
  }
  return (
    <Box color="muted" role="group" aria-label={`To reach ${owner.name}`}>
      {owner.ways.map((way, n) => {
        const to = leads(way);
        return (
          <span key={way.said}>
            {n > 0 && ' · '}
            {to ? (
              <chakra.a href={to} color="chalk" textDecoration="underline">
                {way.said}
              </chakra.a>
            ) : (
              way.said
            )}
          </span>
        );
      })}
      {may && (
        <Act look="quiet" minH="28px" onClick={() => setChanging(true)}>
          {owner.ways.length === 0 ? 'how are they reached?' : 'other ways'}
        </Act>
      )}
      <chakra.span color="chalk" textDecoration="underline" mx="8px" whiteSpace="nowrap">
        <Link to={`/patterns?owner=${owner.id}&months=240`}>what keeps failing of theirs</Link>
      </chakra.span>
      {lead && <Forget owner={owner} />}
    </Box>
  );
}

function Change({ owner, leave }: { owner: Schemas['Owner']; leave: () => void }) {
  const client = useQueryClient();
  const form = useSending({
    blank: { contact: owner.ways.map((way) => way.said).join('\n') },
    send: (body) =>
      answer(api.PUT('/api/owners/{owner}/ways', { params: { path: { owner: owner.id } }, body })),
    done: () => {
      client.invalidateQueries({ queryKey: answers.job() });
      leave();
    },
    leave,
  });
  return (
    <Form of={form} name={`To reach ${owner.name}`} gap="6px">
      <WordsIn of={form} at="contact" label="A line each: phone, mail, or where else" rows={3} />
      <Sends of={form} go="So they are reached" />
    </Form>
  );
}
