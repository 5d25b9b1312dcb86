import { Box, chakra } from '@chakra-ui/react';
import { type ComponentProps, type ReactNode, useEffect, useRef } from 'react';
import type { FieldValues } from 'react-hook-form';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';
import { FoundAgain } from './FoundAgain';
import type { Sending } from './useSending';

const FIRST =
  'input:not([type="hidden"]):not([type="radio"]):not([type="checkbox"]):enabled, textarea:enabled, select:enabled';

type Props<In extends FieldValues, As> = Omit<ComponentProps<typeof chakra.form>, 'onSubmit' | 'children'> & {
  of: Sending<In, As>;
  /** what it is, for those who do not see it */
  name?: string;
  /** as what Enter sends it */
  sends?: As;
  /** Enter does not send it: one of several answers has to be pressed */
  still?: boolean;
  /** whether its first field has the focus as it opens: what was opened by a press has */
  first?: boolean;
  /** what no field could say is told where the form says so itself */
  quiet?: boolean;
  /** what was found again is told elsewhere on the screen */
  found?: false;
  children: ReactNode;
};

/** A form: Enter sends it, Escape leaves it, its first field has the focus, and what is wrong is said where it is wrong. */
export function Form<In extends FieldValues, As = void>({
  of,
  name,
  sends,
  still,
  first = true,
  quiet,
  found,
  children,
  ...rest
}: Props<In, As>) {
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (first && !form.current?.contains(document.activeElement)) {
      form.current?.querySelector<HTMLElement>(FIRST)?.focus();
    }
  }, [first]);
  // What is wrong is where the hand is next.
  const { refusals, pending } = of;
  useEffect(() => {
    if (refusals > 0) {
      form.current?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
    }
  }, [refusals]);
  // What sends is off until the answer has come, and loses the focus by that: a form that stays gives it back.
  const sender = useRef<Element>(null);
  useEffect(() => {
    const had = sender.current;
    if (!pending && had instanceof HTMLElement && document.activeElement === document.body) {
      had.focus({ preventScroll: true });
    }
  }, [pending]);
  return (
    <chakra.form
      ref={form}
      aria-label={name}
      display="grid"
      gap="8px"
      noValidate
      {...rest}
      onSubmit={(event) => {
        event.preventDefault();
        event.stopPropagation();
        if (!still) {
          sender.current = document.activeElement;
          of.send(sends as As);
        }
      }}
      onKeyDown={(event) => {
        rest.onKeyDown?.(event);
        if (event.key === 'Escape' && !event.defaultPrevented) {
          event.preventDefault();
          event.stopPropagation();
          of.leave();
        }
      }}
    >
      {found !== false && <FoundAgain of={of} />}
      {children}
      {of.asks && <Asks of={of} />}
      {!quiet && of.error !== undefined && of.error !== null && (
        <Box gridColumn="1 / -1">
          <Trouble error={of.error} />
        </Box>
      )}
    </chakra.form>
  );
}

function Asks({ of }: { of: Pick<Sending<FieldValues>, 'goOn' | 'throwAway'> }) {
  return (
    <Box
      role="alertdialog"
      aria-label="Leave it?"
      gridColumn="1 / -1"
      display="flex"
      gap="8px"
      alignItems="center"
      flexWrap="wrap"
      bg="tape"
      color="onTape"
      borderRadius="sm"
      px="10px"
      py="5px"
      fontSize="sm"
    >
      <Box flex="1">Something is typed here and not sent.</Box>
      <Act look="onTape" minH="34px" autoFocus onClick={of.goOn}>
        Go on
      </Act>
      <Act look="onTape" minH="34px" onClick={of.throwAway}>
        Throw it away
      </Act>
    </Box>
  );
}

/** What sends a form, and what leaves it. */
export function Sends<In extends FieldValues, As = void>({
  of,
  go,
  bench,
  off,
}: {
  of: Pick<Sending<In, As>, 'pending' | 'leave'>;
  go: ReactNode;
  /** on the bench: larger, and in its colours */
  bench?: boolean;
  off?: boolean;
}) {
  return (
    <Box display="flex" gap="8px" flexWrap="wrap">
      <Act
        look={bench ? 'benchMain' : 'main'}
        type="submit"
        flex={bench ? '1' : undefined}
        minH={bench ? '52px' : undefined}
        disabled={off || of.pending}
      >
        {go}
      </Act>
      <Act look={bench ? 'bench' : 'plain'} minH={bench ? '52px' : undefined} onClick={of.leave}>
        Leave it
      </Act>
    </Box>
  );
}
