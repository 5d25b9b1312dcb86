import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { day } from '../api/words';
import { KeyCap } from '../parts/Buttons';
import { Tag } from '../parts/Tag';
import { useKeys } from './keys';
import { onScan } from './scans';

/** The one finder: a scanned tag and Enter opens the unit's newest job. */
export function Finder({ dark }: { dark: boolean }) {
  const [text, setText] = useState('');
  const [open, setOpen] = useState(false);
  const [at, setAt] = useState(0);
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const asked = text.trim();
  const query = useQuery({
    queryKey: answers.find(asked),
    queryFn: () => answer(api.GET('/api/find', { params: { query: { q: asked } } })),
    enabled: asked.length > 0,
    placeholderData: (before) => (asked ? before : undefined),
  });
  useKeys([{ key: 'F', label: 'Find a unit, model, owner or symptom', act: () => input.current?.focus() }]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new question starts at its first answer
  useEffect(() => setAt(0), [asked]);
  const found = query.data?.found ?? [];

  function go(job: Schemas['Found']) {
    setOpen(false);
    setText('');
    input.current?.blur();
    navigate(`/jobs/${job.jobId}`);
  }

  async function enter() {
    // A scanner types faster than the answer comes: ask for what is in the field now.
    const now = await answer(api.GET('/api/find', { params: { query: { q: asked } } }));
    const chosen = now.found[Math.min(at, now.found.length - 1)];
    if (chosen) {
      go(chosen);
    }
  }

  // Scanned with nothing focused: one answer is opened, several are shown.
  const scanned = useRef<(text: string) => void>(() => undefined);
  scanned.current = async (code) => {
    const now = await answer(api.GET('/api/find', { params: { query: { q: code } } })).catch(() => undefined);
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
    <Box position="relative" ml="auto" w={{ base: '180px', lg: '200px', xl: '300px' }}>
      <chakra.input
        ref={input}
        role="combobox"
        aria-label="Find"
        aria-expanded={open && asked.length > 0}
        aria-controls="found"
        placeholder="Tag, serial, model, owner…"
        value={text}
        w="100%"
        h="34px"
        px="10px"
        pr="34px"
        bg={dark ? 'matSurface' : 'paper'}
        color={dark ? 'bone' : 'ink'}
        border="1px solid"
        borderColor={dark ? 'matLine' : 'edge'}
        borderRadius="sm"
        _placeholder={{ color: dark ? 'chalkDust' : 'muted' }}
        onChange={(event) => {
          setText(event.target.value);
          setOpen(true);
        }}
        onFocus={() => setOpen(true)}
        onBlur={() => setTimeout(() => setOpen(false), 150)}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') {
            setAt((now) => Math.min(now + 1, found.length - 1));
          } else if (event.key === 'ArrowUp') {
            setAt((now) => Math.max(now - 1, 0));
          } else if (event.key === 'Enter' && asked) {
            enter();
          } else if (event.key === 'Escape') {
            setText('');
            input.current?.blur();
          } else {
            return;
          }
          event.preventDefault();
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
      {open && asked && (
        <Box
          id="found"
          role="listbox"
          aria-label="Found"
          position="absolute"
          top="38px"
          right={0}
          w="520px"
          maxW="90vw"
          maxH="70vh"
          overflowY="auto"
          bg="card"
          color="ink"
          border="1px solid"
          borderColor="muted"
          borderRadius="sm"
          zIndex={20}
        >
          {found.map((job, n) => (
            <Box
              key={job.jobId}
              role="option"
              aria-selected={n === at}
              display="grid"
              gridTemplateColumns="104px 1fr auto"
              gap="12px"
              alignItems="center"
              px="10px"
              py="7px"
              bg={n === at ? 'matPaper' : undefined}
              borderBottom="1px solid"
              borderColor="line"
              cursor="pointer"
              onMouseDown={() => go(job)}
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
            </Box>
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
        </Box>
      )}
    </Box>
  );
}
