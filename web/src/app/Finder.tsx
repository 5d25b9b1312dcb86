import { Box, Combobox, createListCollection, Portal } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { KeyCap } from '../parts/Buttons';
import { Tag } from '../parts/Tag';
import { useKeys } from './keys';
import { onScan } from './scans';

type Hit = Schemas['Found'] & { key: string; kind: Schemas['FoundGroup']['kind'] };

const flat = (group: Schemas['FoundGroup']): Hit[] =>
  group.found.map((one) => ({ ...one, kind: group.kind, key: `${group.kind} ${one.id}` }));

/** Where it leads: to the job that it was said on, to the notes or the model, or to its drawer. */
function placeOf(hit: Hit): string {
  switch (hit.kind) {
    case 'PART':
      return `/drawers?part=${hit.id}`;
    case 'STEP':
      return `/models/${hit.modelId}/${hit.revisionId}`;
    case 'PAST':
      return hit.modelId ? `/models/${hit.modelId}` : '/past';
    case 'COMPONENT':
    case 'MODEL':
      return `/models/${hit.modelId}`;
    default:
      return `/jobs/${hit.jobId}${hit.kind === 'FINDING' ? `#finding-${hit.id}` : hit.kind === 'SAID' ? '#story' : ''}`;
  }
}

/** Where the label of a part or of a drawer leads, if it is one. */
function labelOf(code: string): string | undefined {
  const part = /^P(\d{1,9})$/i.exec(code);
  const drawer = /^D:(.{1,12})$/i.exec(code);
  return part
    ? `/drawers?part=${part[1]}`
    : drawer
      ? `/drawers?drawer=${encodeURIComponent(drawer[1] as string)}`
      : undefined;
}

const find = (asked: string) => answer(api.GET('/api/find', { params: { query: { q: asked } } }));

/** The one finder: a scanned tag and Enter opens the unit's newest job. */
export function Finder({ dark }: { dark: boolean }) {
  const [text, setText] = useState('');
  const [at, setAt] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const asked = text.trim();
  const query = useQuery({
    queryKey: answers.find(asked),
    queryFn: () => find(asked),
    enabled: asked.length > 0,
    placeholderData: (before) => (asked ? before : undefined),
  });
  useKeys([
    {
      key: 'F',
      label: 'Find a unit, owner, finding, part or step',
      act: () => input.current?.focus(),
      everywhere: true,
    },
  ]);
  const groups = asked ? (query.data?.groups ?? []) : [];
  const items = useMemo(() => groups.flatMap(flat), [groups]);
  const hits = useMemo(
    () => createListCollection({ items, itemToString: (hit) => hit.title, itemToValue: (hit) => hit.key }),
    [items],
  );

  function go(hit: Hit) {
    setText('');
    input.current?.blur();
    navigate(placeOf(hit));
  }

  async function enter() {
    // A scanner types faster than the answer comes: ask for what is in the field now.
    const now = await find(asked);
    const all = now.groups.flatMap(flat);
    const chosen = all.find((hit) => hit.key === at) ?? all[0];
    if (chosen) {
      go(chosen);
    }
  }

  // Scanned with nothing focused: one answer is opened, several are shown.
  const scanned = useRef<(text: string) => void>(() => undefined);
  scanned.current = async (code) => {
    const label = labelOf(code);
    if (label) {
      navigate(label);
      return;
    }
    const now = await find(code).catch(() => undefined);
    const all = now?.groups.flatMap(flat) ?? [];
    const [first] = all;
    if (first && (all.length === 1 || first.tag === code.toUpperCase())) {
      go(first);
    } else {
      setText(code);
      input.current?.focus();
    }
  };
  useEffect(() => onScan((code) => scanned.current(code)), []);

  return (
    <Combobox.Root
      collection={hits}
      open={asked.length > 0}
      inputValue={text}
      onInputValueChange={({ inputValue, reason }) => reason === 'input-change' && setText(inputValue)}
      value={[]}
      onValueChange={({ items: [hit] }) => hit && go(hit)}
      highlightedValue={at}
      onHighlightChange={({ highlightedValue }) => setAt(highlightedValue)}
      inputBehavior="autohighlight"
      selectionBehavior="preserve"
      positioning={{ placement: 'bottom-end', sameWidth: false }}
      ml="auto"
      flex={{ base: '1', md: 'none' }}
      w={{ base: 'auto', md: '180px', lg: '200px', xl: '300px' }}
    >
      <Combobox.Control>
        <Combobox.Input
          ref={input}
          aria-label="Find"
          placeholder="Tag, owner, finding, part…"
          w="100%"
          minH="34px"
          h="34px"
          px="10px"
          pr="34px"
          fontSize="md"
          bg={dark ? 'matSurface' : 'paper'}
          color={dark ? 'bone' : 'ink'}
          border="1px solid"
          borderColor={dark ? 'matLine' : 'edge'}
          borderRadius="sm"
          _placeholder={{ color: dark ? 'chalkDust' : 'muted' }}
          onKeyDownCapture={(event) => {
            if (event.key === 'Enter' && asked) {
              event.preventDefault();
              event.stopPropagation();
              enter();
            } else if (event.key === 'Escape') {
              setText('');
              input.current?.blur();
            }
          }}
        />
        <Box
          position="absolute"
          right="8px"
          top="6px"
          color={dark ? 'chalkDust' : 'muted'}
          pointerEvents="none"
        >
          <KeyCap name="F" />
        </Box>
      </Combobox.Control>
      <Portal>
        <Combobox.Positioner>
          <Combobox.Content
            aria-label="Found"
            w="520px"
            maxW="94vw"
            maxH="70vh"
            overflowY="auto"
            p={0}
            bg="card"
            color="ink"
            border="1px solid"
            borderColor="muted"
            borderRadius="sm"
            boxShadow="none"
          >
            {query.data?.meant && (
              <Box p="8px 10px" fontSize="sm" color="muted">
                Nothing begins like that. This is for <b>{query.data.meant}</b>.
              </Box>
            )}
            {groups.map((group) => (
              <Combobox.ItemGroup key={group.kind}>
                <Combobox.ItemGroupLabel
                  px="10px"
                  py="4px"
                  fontSize="xs"
                  fontWeight={700}
                  color="muted"
                  bg="paper"
                  position="sticky"
                  top={0}
                >
                  {group.words}
                  {group.more && ' · there are more'}
                </Combobox.ItemGroupLabel>
                {flat(group).map((hit) => (
                  <HitLine key={hit.key} hit={hit} />
                ))}
              </Combobox.ItemGroup>
            ))}
            {query.isSuccess && items.length === 0 && (
              <Box p="12px" color="muted">
                Nothing begins like that: no unit, owner, finding, remark, part or step.
              </Box>
            )}
            {query.isError && (
              <Box p="12px" color="hazard" role="alert">
                {query.error.message}
              </Box>
            )}
          </Combobox.Content>
        </Combobox.Positioner>
      </Portal>
    </Combobox.Root>
  );
}

function HitLine({ hit }: { hit: Hit }) {
  return (
    <Combobox.Item
      item={hit}
      display="grid"
      gridTemplateColumns={hit.tag ? '104px 1fr auto' : '1fr'}
      gap="12px"
      alignItems="center"
      px="10px"
      py="6px"
      fontSize="md"
      borderRadius={0}
      borderBottom="1px solid"
      borderColor="line"
      cursor="pointer"
      _highlighted={{ bg: 'matPaper' }}
    >
      {hit.tag && <Tag text={hit.tag} size={13} />}
      <Box minW={0}>
        <Box fontWeight={700} truncate>
          {hit.title}
        </Box>
        {hit.words && (
          <Box color="muted" fontSize="sm" truncate>
            {hit.words}
          </Box>
        )}
      </Box>
      {hit.tag && (
        <Box fontSize="sm" color={hit.here ? 'mat' : 'muted'} fontWeight={hit.here ? 700 : 400}>
          {hit.here ? 'here' : hit.at && day(hit.at)}
        </Box>
      )}
    </Combobox.Item>
  );
}
