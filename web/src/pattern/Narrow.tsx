import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Pick } from '../parts/Fields';
import type { Looked } from './useLooked';

const SPANS = { m3: '3 months', m6: '6 months', m18: '18 months', m60: '5 years', m240: '20 years' };

type Option = [value: string | number, name: string];

/** The room's head: how far back, and what of: each stands in the address. */
export function Narrow({ looked, owner }: { looked: Looked; owner?: string }) {
  const choices = useQuery({
    queryKey: answers.patterns('choices'),
    queryFn: () => answer(api.GET('/api/patterns/choices')),
  });
  const { query, narrow } = looked;
  const all = choices.data;
  return (
    <>
      <Box display="flex" justifyContent="space-between" alignItems="center" gap="8px" flexWrap="wrap">
        <Box>
          <chakra.h1>What keeps failing</chakra.h1>
          <Link to="/patterns/month" style={{ textDecoration: 'underline' }}>
            The month on one page
          </Link>
        </Box>
        <Choice
          label="How far back"
          words={SPANS}
          picked={`m${looked.months}` as keyof typeof SPANS}
          pick={(span) => narrow({ months: Number(span.slice(1)) })}
        />
      </Box>
      <Box display="flex" gap="6px 8px" alignItems="end" flexWrap="wrap" my="6px">
        <By
          label="Kind"
          value={query.kind}
          options={Object.entries(floor.Kind)}
          pick={(kind) => narrow({ kind, model: undefined, revision: undefined })}
        />
        <By
          label="On"
          value={query.model}
          options={named(all?.models)}
          pick={(model) => narrow({ model, revision: undefined })}
        />
        <By
          label="Component"
          value={query.component}
          options={(all?.components ?? []).map((name): Option => [name, name])}
          pick={(component) => narrow({ component })}
        />
        <By
          label="Done"
          value={query.remedy}
          options={Object.entries(floor.Remedy)}
          pick={(remedy) => narrow({ remedy })}
        />
        <By
          label="Parts from"
          value={query.supplier}
          options={named(all?.suppliers)}
          pick={(supplier) => narrow({ supplier })}
        />
        <By
          label="Whose"
          value={query.ownership}
          options={Object.entries(floor.Ownership)}
          pick={(ownership) => narrow({ ownership })}
        />
        {owner && (
          <Act look="quiet" minH="38px" onClick={() => narrow({ owner: undefined })}>
            only {owner}’s ×
          </Act>
        )}
        {query.revision !== undefined && (
          <Act look="quiet" minH="38px" onClick={() => narrow({ revision: undefined })}>
            one revision ×
          </Act>
        )}
        {looked.narrowed && (
          <Act look="quiet" minH="38px" onClick={looked.widen}>
            all of it
          </Act>
        )}
      </Box>
    </>
  );
}

function named(list?: Schemas['NarrowBy'][]): Option[] {
  return (list ?? []).map(({ id, name }) => [id, name]);
}

function By({
  label,
  value,
  options,
  pick,
}: {
  label: string;
  value?: string | number;
  options: Option[];
  pick: (value?: string) => void;
}) {
  return (
    <Box flex="1" minW="96px">
      <Pick
        label={label}
        compact
        value={value ?? ''}
        onChange={(event) => pick(event.target.value || undefined)}
      >
        <option value="">all</option>
        {options.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Pick>
    </Box>
  );
}
