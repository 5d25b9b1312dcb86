import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { floor, rules } from '../api/enumWords';
import { Act, Chip } from '../parts/Buttons';
import { Text } from '../parts/Fields';
import { TakePhoto } from '../parts/TakePhoto';
import type { Arrival } from './arrival';

type Mark = Arrival['marks'][number];
type Part = { said: Arrival; say: (next: Arrival) => void };

/** Marks that mean little without where. */
const PLACED: Mark[] = ['DENTS', 'BENT', 'LIQUID'];

/** What cannot be so as well: a mark that is picked takes it away. */
const not = (mark: Mark): readonly Mark[] => rules.excludes[mark] ?? [];

/** What can be seen of it before anybody here has touched it. */
export function StateFields({ said, say, steps }: Part & { steps: Schemas['StepSaid'][] }) {
  const turn = (mark: Mark) =>
    say({
      ...said,
      marks: said.marks.includes(mark)
        ? said.marks.filter((one) => one !== mark)
        : [...said.marks.filter((one) => !not(mark).includes(one)), mark],
    });
  return (
    <>
      <Box display="flex" flexWrap="wrap" gap="4px">
        {(Object.keys(floor.ArrivalMark) as Mark[]).map((mark) => (
          <Chip
            key={mark}
            on={said.marks.includes(mark)}
            minH="30px"
            px="8px"
            py="2px"
            fontSize="sm"
            onClick={() => turn(mark)}
          >
            {floor.ArrivalMark[mark]}
          </Chip>
        ))}
      </Box>
      {PLACED.filter((mark) => said.marks.includes(mark)).map((mark) => (
        <Text
          key={mark}
          label={`Where: ${floor.ArrivalMark[mark]}`}
          compact
          value={said.places?.[mark] ?? ''}
          onChange={(event) => say({ ...said, places: { ...said.places, [mark]: event.target.value } })}
        />
      ))}
      <MissingThings said={said} say={say} steps={steps} />
      <Box display="grid" gridTemplateColumns="1fr auto" gap="8px" alignItems="end" mt="4px">
        <Text
          label="Anything else about its state"
          compact
          value={said.condition}
          onChange={(event) => say({ ...said, condition: event.target.value })}
        />
        <TakePhoto
          taken={(photo) =>
            say({ ...said, photos: [...(said.photos ?? []), { hash: photo.hash, words: '' }] })
          }
        />
      </Box>
      <Photos said={said} say={say} />
    </>
  );
}

function Photos({ said, say }: Part) {
  const photos = said.photos ?? [];
  return (
    <Box display="flex" flexWrap="wrap" gap="8px" mt={photos.length > 0 ? '6px' : 0}>
      {photos.map((photo, n) => (
        <Box key={photo.hash} w="150px">
          <img
            src={`/api/photos/${photo.hash}`}
            alt={photo.words || `State, photo ${n + 1}`}
            style={{ width: '100%', height: 92, objectFit: 'cover', borderRadius: 3 }}
          />
          <chakra.input
            aria-label={`What photo ${n + 1} shows`}
            placeholder="what it shows"
            value={photo.words}
            w="100%"
            fontSize="sm"
            bg="field"
            border="1px solid"
            borderColor="edge"
            px="4px"
            onChange={(event) =>
              say({
                ...said,
                photos: photos.map((one, at) => (at === n ? { ...one, words: event.target.value } : one)),
              })
            }
          />
          <Act
            look="quiet"
            minH="26px"
            onClick={() => say({ ...said, photos: photos.filter((_, at) => at !== n) })}
            aria-label={`Leave photo ${n + 1} out`}
          >
            leave out
          </Act>
        </Box>
      ))}
    </Box>
  );
}

/** Of what nobody has counted nobody knows of how many. */
function ofAll(count: number, all: number): string {
  return all === 99 ? `${count}` : `${count} of ${all}`;
}

/** Fasteners that were missing before anybody here touched it, by their group in the notes. */
function MissingThings({ said, say, steps }: Part & { steps: Schemas['StepSaid'][] }) {
  const things = steps.flatMap((step) => [
    ...step.fasteners.map((group) => ({ id: group.id, label: group.label, count: group.count ?? 99 })),
    ...step.pieces.map((piece) => ({ id: piece.id, label: piece.label, count: piece.count ?? 99 })),
  ]);
  if (things.length === 0) {
    return null;
  }
  const countOf = (id: string) => said.missing.find((one) => one.thing === id)?.count ?? 0;
  const set = (thing: string, count: number) =>
    say({
      ...said,
      missing: [
        ...said.missing.filter((one) => one.thing !== thing),
        ...(count > 0 ? [{ thing, count }] : []),
      ],
    });
  return (
    <chakra.details my="4px" open={said.missing.length > 0 || undefined}>
      <chakra.summary fontSize="sm" cursor="pointer" color="chalk">
        Already missing{said.missing.length > 0 ? '' : ': screws, clips, pieces'}
      </chakra.summary>
      <Box display="flex" flexWrap="wrap" gap="4px" mt="4px">
        {things.map((thing) => {
          const count = countOf(thing.id);
          return (
            <Chip
              key={thing.id}
              on={count > 0}
              minH="30px"
              px="8px"
              py="2px"
              fontSize="sm"
              aria-label={`${ofAll(count, thing.count)} ${thing.label} missing`}
              onClick={() => set(thing.id, count >= thing.count ? 0 : count + 1)}
            >
              {count > 0 ? `${ofAll(count, thing.count)} ${thing.label}` : thing.label}
            </Chip>
          );
        })}
      </Box>
    </chakra.details>
  );
}
