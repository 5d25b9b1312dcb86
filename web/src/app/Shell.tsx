import { Box, chakra, Dialog, Portal } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, type SyntheticEvent, useEffect, useRef, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { NavLink, Outlet, useLocation } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useSession } from '../api/session';
import { WrongStrip } from '../keeping/WrongStrip';
import { Act, KeyCap } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Bell } from './Bell';
import { Broken } from './Broken';
import { Finder } from './Finder';
import { singleKeys, useKeys, useListedKeys } from './keys';
import { leaving, useShown } from './leaving';
import { LIGHTS, light } from './light';
import { wasUpgraded } from './upgraded';

/** Forms are loaded when one is needed. */
const WhoIsAtWork = lazy(() => import('./WhoIsAtWork'));

const ROOMS = [
  ['/rack', 'Rack'],
  ['/checkin', 'Check-in'],
  ['/bench', 'Bench'],
  ['/models', 'Models'],
  ['/drawers', 'Drawers'],
  ['/patterns', 'Patterns'],
  ['/gauges', 'Gauges'],
] as const;

/** The strip across the top, and the room below it. */
export default function Shell({ person }: { person: Schemas['SignedIn'] }) {
  const path = useLocation().pathname;
  const dark = /^\/bench\/\d+$/.test(path);
  const practice = useSession().data?.practice;
  const [upgraded, setUpgraded] = useState(wasUpgraded);
  const main = useRoomFocus(path);
  useShown(path);
  const [help, setHelp] = useState(false);
  useKeys([{ key: '?', label: 'Show the keys of this screen', act: () => setHelp(true), everywhere: true }]);
  return (
    <Box display="flex" flexDirection="column" minH="100%" data-bench={dark ? '' : undefined}>
      <chakra.header
        display="flex"
        alignItems="center"
        gap="2px"
        minH="48px"
        px={{ base: '8px', md: '16px' }}
        py={{ base: '2px', md: '6px' }}
        flexWrap="wrap"
        borderBottom="1px solid"
        borderColor={dark ? 'matGrid' : 'line'}
        bg={dark ? 'matDeep' : 'card'}
        color={dark ? 'bone' : 'ink'}
      >
        <chakra.b mr="14px" display={{ base: 'none', md: 'inline' }}>
          Wrench Notes
        </chakra.b>
        {/* On a phone the rooms are one line that a finger pushes along. */}
        <chakra.nav
          aria-label="Rooms"
          display="flex"
          gap="2px"
          flexWrap={{ base: 'nowrap', md: 'wrap' }}
          overflowX={{ base: 'auto', md: 'visible' }}
          w={{ base: '100%', md: 'auto' }}
          whiteSpace="nowrap"
          css={{ scrollbarWidth: 'none' }}
        >
          {ROOMS.map(([to, name]) => (
            <NavLink key={to} to={to}>
              {({ isActive }) => (
                <chakra.span
                  display="inline-block"
                  px="11px"
                  py="5px"
                  bg={isActive ? 'tape' : undefined}
                  color={isActive ? 'onTape' : undefined}
                  style={
                    isActive ? { clipPath: 'polygon(0 8%,2% 0,98% 4%,100% 92%,97% 100%,3% 96%)' } : undefined
                  }
                >
                  {name}
                </chakra.span>
              )}
            </NavLink>
          ))}
        </chakra.nav>
        <Finder dark={dark} />
        <Who person={person} dark={dark} help={() => setHelp(true)} />
      </chakra.header>
      <WrongStrip />
      {practice && (
        <Box role="note" bg="tape" color="onTape" px="16px" py="3px" fontSize="sm" className="noprint">
          Practice shop: nothing in it counts.
        </Box>
      )}
      <Bell />
      {upgraded && (
        <Box role="status" bg="tape" color="onTape" px="16px" py="6px" className="noprint">
          Wrench Notes was upgraded, and this page was loaded anew.{' '}
          <Act look="quiet" minH="30px" onClick={() => setUpgraded(false)}>
            Good
          </Act>
        </Box>
      )}
      <chakra.main
        ref={main}
        tabIndex={-1}
        _focusVisible={{ outline: 'none' }}
        flex="1"
        minH={0}
        display="flex"
        flexDirection="column"
        onClickCapture={stayIfLeaving}
        onSubmitCapture={stayIfLeaving}
      >
        <ErrorBoundary FallbackComponent={Broken} resetKeys={[path]}>
          <Suspense
            fallback={
              <Box p="24px" data-page="fetching">
                Fetching…
              </Box>
            }
          >
            <Outlet />
          </Suspense>
        </ErrorBoundary>
      </chakra.main>
      <KeyList open={help} close={() => setHelp(false)} />
    </Box>
  );
}

/** The room that one leaves is drawn until the other one is there; nothing in it can be pressed. */
function stayIfLeaving(event: SyntheticEvent) {
  if (leaving()) {
    event.preventDefault();
    event.stopPropagation();
  }
}

/**
 * In another room the focus is at its beginning, unless a field of it has taken it, or somebody is typing: a room that comes late takes
 * nothing out of anybody's hands.
 */
function useRoomFocus(path: string) {
  const main = useRef<HTMLElement>(null);
  const before = useRef(path);
  useEffect(() => {
    if (before.current !== path) {
      before.current = path;
      const now = document.activeElement;
      const taken = main.current?.contains(now) && now !== main.current;
      if (!taken && !now?.matches('input, textarea, select')) {
        main.current?.focus({ preventScroll: true });
      }
    }
  }, [path]);
  return main;
}

function Who({ person, dark, help }: { person: Schemas['SignedIn']; dark: boolean; help: () => void }) {
  const client = useQueryClient();
  const [changing, setChanging] = useState(false);
  const out = useMutation({
    mutationFn: () => answer(api.DELETE('/api/session')),
    onSuccess: (session) => {
      // The session itself stays in place: the screen that watches it would not notice a new one.
      client.setQueryData(answers.session(), session);
      client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
    },
  });
  const look = { color: dark ? 'bone' : 'ink', fontWeight: 400, minH: '34px' } as const;
  return (
    <Box display="flex" alignItems="center" ml="8px">
      <Act look="quiet" {...look} textDecoration="none" onClick={help} aria-label="Keys of this screen">
        <KeyCap name="?" />
      </Act>
      <NavLink to="/team">
        <chakra.span px="6px">{person.name}</chakra.span>
      </NavLink>
      <Act look="quiet" {...look} aria-label="Somebody else is at work" onClick={() => setChanging(true)}>
        Change
      </Act>
      {changing && (
        <Suspense>
          <WhoIsAtWork now={person.name} close={() => setChanging(false)} />
        </Suspense>
      )}
      <Act look="quiet" {...look} onClick={() => out.mutate()}>
        Sign out
      </Act>
    </Box>
  );
}

/** Dark is the bench's own; who works at night, or in the sun, has it otherwise on this device. */
function HowLight() {
  const [now, setNow] = useState(light.now());
  return (
    <Choice
      label="How light this device shows it"
      words={LIGHTS}
      picked={now}
      pick={(one) => {
        light.set(one);
        setNow(one);
      }}
      pb="10px"
    />
  );
}

/** Keys of one letter can be in the way of whoever speaks to the machine, or shakes (WCAG 2.1.4). */
function SingleKeys() {
  const [on, setOn] = useState(singleKeys.on());
  return (
    <chakra.label display="flex" gap="8px" alignItems="center" pb="8px" cursor="pointer">
      <input
        type="checkbox"
        checked={on}
        onChange={(event) => {
          singleKeys.set(event.target.checked);
          setOn(event.target.checked);
        }}
      />
      Keys of one letter or digit act on this device
    </chakra.label>
  );
}

function KeyList({ open, close }: { open: boolean; close: () => void }) {
  const keys = useListedKeys();
  return (
    <Dialog.Root open={open} onOpenChange={(now) => !now.open && close()} size="sm">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content bg="card" borderRadius="sm">
            <Dialog.Header>
              <Dialog.Title>This device, and the keys of this screen</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <HowLight />
              <SingleKeys />
              {keys.map((key) => (
                <Box key={key.key + key.label} display="grid" gridTemplateColumns="80px 1fr" py="4px">
                  <span>
                    <KeyCap name={key.key} />
                  </span>
                  <span>{key.label}</span>
                </Box>
              ))}
            </Dialog.Body>
            <Dialog.Footer>
              <Act look="main" onClick={close}>
                Back to work
              </Act>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
