import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { PartPick } from '../drawer/PartPick';
import { Sources } from '../drawer/Sources';
import { CountIn, PickIn, SumIn, TextIn } from '../form/fields';
import type { Sending } from '../form/useSending';
import { Act, Chip } from '../parts/Buttons';

type Recipe = Schemas['Recipe'];

/** Some of a part, as it is typed: of a drawer by its number, of anywhere else in words. */
export type PartTyped = {
  partId?: number;
  /** what a part of a drawer is called, to show it */
  name: string;
  /** what it is taken out of */
  donor?: Schemas['OfDonor'];
  words: string;
  count: number;
  cameFrom: Schemas['PartFitted']['cameFrom'];
  cost: string;
  recipe: Recipe;
};

const NO_RECIPE: Recipe = { material: '', drawing: '', tried: '', filler: '' };

export function partTyped(part?: Schemas['PartIn'], cost = ''): PartTyped {
  return {
    partId: part?.partId,
    name: part?.name ?? '',
    donor: part?.donor,
    words: part && part.partId === undefined ? part.name : '',
    count: part?.count ?? 1,
    cameFrom: part?.cameFrom ?? 'DRAWER',
    cost,
    recipe: part?.recipe ?? NO_RECIPE,
  };
}

const fromDrawer = (partId: number, name: string): PartTyped => ({ ...partTyped(), partId, name });

const ELSEWHERE = Object.keys(floor.CameFrom).filter((one) => one !== 'DRAWER') as PartTyped['cameFrom'][];

/** What went in: several parts, each from its drawer or from elsewhere. */
export function PartsIn<In extends { component: string; parts: PartTyped[] }>({
  form,
  job,
  model,
}: {
  form: Sending<In, void>;
  job: number;
  model: number;
}) {
  // The paths of a form that has these fields are paths of every form that has them too.
  const of = form as unknown as Sending<{ component: string; parts: PartTyped[] }, void>;
  const { parts } = of.value;
  const add = (part: PartTyped) => of.put('parts', [...parts, part]);
  return (
    <Box role="group" aria-label="Parts that went in" display="grid" gap="6px">
      {parts.map((part, n) => {
        return (
          <Box key={n} borderLeft="3px solid" borderColor="mat" pl="8px">
            <Box display="grid" gridTemplateColumns="1fr 76px auto" gap="8px" alignItems="end">
              {part.cameFrom === 'DRAWER' || part.donor ? (
                <Box fontSize="md" pb="6px">
                  <b>{part.name || part.words}</b>
                </Box>
              ) : (
                <TextIn of={of} at={`parts.${n}.words`} label="What went in" compact />
              )}
              <CountIn of={of} at={`parts.${n}.count`} label="How many" compact min={1} max={99} />
              <Act
                look="quiet"
                minH="34px"
                aria-label={`Not ${part.name || part.words}`}
                onClick={() =>
                  of.put(
                    'parts',
                    parts.filter((_, at) => at !== n),
                  )
                }
              >
                not this
              </Act>
            </Box>
            {part.cameFrom !== 'DRAWER' && !part.donor && (
              <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px" mt="4px">
                <PickIn of={of} at={`parts.${n}.cameFrom`} label="It came from" compact>
                  {ELSEWHERE.map((one) => (
                    <option key={one} value={one}>
                      {floor.CameFrom[one]}
                    </option>
                  ))}
                </PickIn>
                <SumIn of={of} at={`parts.${n}.cost`} label="What it cost, if anything" compact />
              </Box>
            )}
            {part.cameFrom === 'MADE' && (
              <Made component={of.value.component} model={model} n={n} form={of} />
            )}
          </Box>
        );
      })}
      <Sources
        job={job}
        component={of.value.component}
        drawer={(part) => add(fromDrawer(part.partId, part.name))}
        donor={(from) =>
          add({
            ...partTyped(),
            name: `${from.piece.name} of ${from.tag}`,
            cameFrom: 'DONOR',
            donor: { unitId: from.unitId, componentId: from.piece.componentId },
          })
        }
      />
      <Box display="flex" gap="8px" alignItems="start" flexWrap="wrap">
        <Box flex="1" minW="220px">
          <PartPick
            label={parts.length > 0 ? 'And another from a drawer' : 'Part from a drawer'}
            compact
            picked={(part) => add(fromDrawer(part.id, part.name))}
          />
        </Box>
        <Chip on={false} mt="20px" onClick={() => add({ ...partTyped(), cameFrom: 'DONOR' })}>
          from elsewhere
        </Chip>
      </Box>
    </Box>
  );
}

/** How it was made, for whoever needs the next one; how it was made before is taken over by one press. */
function Made({
  component,
  model,
  n,
  form,
}: {
  component: string;
  model: number;
  n: number;
  form: Sending<{ component: string; parts: PartTyped[] }, void>;
}) {
  const before = useQuery({
    queryKey: answers.recipes(model, component),
    queryFn: () =>
      answer(api.GET('/api/models/{model}/recipes', { params: { path: { model }, query: { component } } })),
    enabled: component.trim() !== '',
  });
  return (
    <Box mt="4px">
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="6px 8px">
        <TextIn of={form} at={`parts.${n}.recipe.material`} label="Made of" compact />
        <TextIn of={form} at={`parts.${n}.recipe.drawing`} label="File or drawing" compact />
        <TextIn of={form} at={`parts.${n}.recipe.tried`} label="Fits tried" compact />
        <TextIn of={form} at={`parts.${n}.recipe.filler`} label="Filler, glue" compact />
      </Box>
      {before.data?.slice(0, 2).map((recipe) => {
        const words = [recipe.material, recipe.drawing, recipe.tried, recipe.filler]
          .filter(Boolean)
          .join(', ');
        return (
          <Box key={words} mt="4px">
            <Chip on={false} fontSize="sm" onClick={() => form.put(`parts.${n}.recipe`, recipe)}>
              as before: {words}
            </Chip>
          </Box>
        );
      })}
    </Box>
  );
}
