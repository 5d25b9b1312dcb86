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
  useKeys([{ key: 'F', label: 'Find a unit, model, owner or symptom', act: () => input.current?.focus() }]);
  const found = asked ? (query.data?.found ?? []) : [];
  const jobs = useMemo(
    () =>
      createListCollection({
        items: found,
        itemToString: (job) => job.tag,
        itemToValue: (job) => String(job.jobId),
      }),
    [found],
  );

  function go(job: Schemas['Found']) {
    setText('');
    input.current?.blur();
    navigate(`/jobs/${job.jobId}`);
  }

  async function enter() {
    // A scanner types faster than the answer comes: ask for what is in the field now.
    const now = await find(asked);
    const chosen = now.found.find((job) => String(job.jobId) === at) ?? now.found[0];
    if (chosen) {
      go(chosen);
    }
  }

  // Scanned with nothing focused: one answer is opened, several are shown.
  const scanned = useRef<(text: string) => void>(() => undefined);
  scanned.current = async (code) => {
    const now = await find(code).catch(() => undefined);
    const first = now?.found[0];
    if (first && (now.found.length === 1 || first.tag === code.toUpperCase())) {
      go(first);
    } else {
      setText(code);
      input.current?.focus();
    }
  };
  useEffect(() => onScan((code) => scanned.current(code)), []);

  return (
    <Combobox.Root
      collection={jobs}
      open={asked.length > 0}
      inputValue={text}
      onInputValueChange={({ inputValue, reason }) => reason === 'input-change' && setText(inputValue)}
      value={[]}
      onValueChange={({ items: [job] }) => job && go(job)}
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
          placeholder="Tag, serial, model, owner…"
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
            {found.map((job) => (
              <Combobox.Item
                key={job.jobId}
                item={job}
                display="grid"
                gridTemplateColumns="104px 1fr auto"
                gap="12px"
                alignItems="center"
                px="10px"
                py="7px"
                fontSize="md"
                borderRadius={0}
                borderBottom="1px solid"
                borderColor="line"
                cursor="pointer"
                _highlighted={{ bg: 'matPaper' }}
              >
                <Tag text={job.tag} size={13} />
                <Box minW={0}>
                  <b>{job.model}</b> {job.revision}
                  {job.owner && ` · ${job.owner}`}
                  <Box color="muted" fontSize="sm" truncate>
                    {job.complaint || job.serial || ' '}
                  </Box>
                </Box>
                <Box fontSize="sm" color={job.open ? 'mat' : 'muted'} fontWeight={job.open ? 700 : 400}>
                  {job.open ? 'here' : day(job.checkedInAt)}
                </Box>
              </Combobox.Item>
            ))}
            {query.isSuccess && found.length === 0 && (
              <Box p="12px" color="muted">
                Nothing begins like that. Try the tag, the serial, a model, an owner or a symptom.
              </Box>
            )}
            {query.isError && (
              <Box p="12px" color="hazard" role="alert">
                {query.error.message}
              </Box>
            )}
            {query.data?.more && (
              <Box p="10px" color="muted">
                These are the newest. Type another word to narrow it down.
              </Box>
            )}
          </Combobox.Content>
        </Combobox.Positioner>
      </Portal>
    </Combobox.Root>
  );
}
