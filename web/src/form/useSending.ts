import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import {
  type DefaultValues,
  type FieldValues,
  get,
  type Path,
  type PathValue,
  type Resolver,
  useForm,
} from 'react-hook-form';
import { z } from 'zod';
import { Problem } from '../api/client';
import { useSession } from '../api/session';
import { keep } from './keep';

// The page's content policy allows no code made at run time, not even as a try.
z.config({ jitless: true });

/** What the fields of a form need of it. */
export type Fields<In extends FieldValues> = {
  /** what is typed now */
  value: In;
  put: <P extends Path<In>>(at: P, value: PathValue<In, P>) => void;
  /** what is wrong with one field, as found here or by the server; the field is bound by asking */
  problem: (at: Path<In>) => string | undefined;
};

export type Sending<In extends FieldValues, As = void> = Fields<In> & {
  /** changes some of it, or makes all of it anew of what is there now */
  set: (part: Partial<In> | ((now: In) => In)) => void;
  send: (as: As) => void;
  /** leaves the form; what was typed and is not kept is asked about first */
  leave: () => void;
  asks: boolean;
  goOn: () => void;
  throwAway: () => void;
  pending: boolean;
  /** how often it was not sent since something is wrong with a field */
  refusals: number;
  sent: boolean;
  /** what no field could say */
  error: unknown;
  /** when it was typed, if it was found here and not typed since the form was opened */
  foundAt?: number;
  /** it was sent elsewhere, or is thrown away */
  forget: (then?: In) => void;
  /** the form is of something else now, of which nothing is typed yet */
  begin: (blank: In) => void;
};

type Asked<In extends FieldValues, Out, As, Answer> = {
  /** what nothing typed is */
  blank: In;
  /** what is sent of what is typed, and what each field says that cannot be sent; without it all goes as it is */
  check?: z.ZodType<Out, In>;
  /** the name under which what is typed is kept in this browser until it is sent; without it leaving asks */
  kept?: string;
  send: (said: Out, as: As) => Promise<Answer>;
  /** every query is asked anew before this is called */
  done?: (answer: Answer, as: As) => void;
  refused?: (problem: unknown) => void;
  leave?: () => void;
};

/** All of what is typed goes as it is. */
const asItIs = (values: unknown) => ({ values, errors: {} });

/** The path of a field, as the server names it: what corrects something has it one deeper. */
function bound(field: string, all: Set<string>): string | undefined {
  return [field, field.replace(/^instead\./, '')].find((one) => all.has(one));
}

/** What is wrong with something that no field shows: it is told all the same. */
function unbound(wrong: object, all: Set<string>): Problem | undefined {
  const words = messages(wrong)
    .filter(([at]) => !bound(at, all))
    .map(([at, message]) => `${at}: ${message}`);
  return words.length > 0 ? new Problem(0, words.join('. '), words, []) : undefined;
}

function messages(wrong: object, under = ''): [string, string][] {
  return Object.entries(wrong).flatMap(([name, one]): [string, string][] =>
    typeof one?.message === 'string'
      ? [[under + name, one.message]]
      : one !== null && typeof one === 'object' && name !== 'ref'
        ? messages(one, `${under}${name}.`)
        : [],
  );
}

/** Where what is typed is kept: of one person, since what one has begun is nobody else's. */
export function keyOf(person: string | undefined, kept: string): string {
  return `draft ${person ?? ''} ${kept}`;
}

/**
 * One form: what is typed, checked and kept until it is sent, and what the server said of each field of it.
 *
 * What is typed is there again after a reload, a crash or a sign-out, for whoever typed it.
 */
export function useSending<In extends FieldValues, Out = In, As = void, Answer = unknown>({
  blank,
  check,
  kept,
  send,
  done,
  refused,
  leave,
}: Asked<In, Out, As, Answer>): Sending<In, As> {
  const client = useQueryClient();
  const person = useSession().data?.person?.name;
  const key = kept === undefined ? undefined : keyOf(person, kept);
  const first = useRef(blank);
  /** what was typed when it was sent last */
  const sentLast = useRef<string>(undefined);
  const fields = useRef(new Set<string>());
  const [foundAt, setFoundAt] = useState<number>();
  const [asks, setAsks] = useState(false);
  const [homeless, setHomeless] = useState<Problem>();
  const [refusals, setRefusals] = useState(0);
  const form = useForm<In, unknown, Out>({
    defaultValues: blank as DefaultValues<In>,
    resolver: (check ? zodResolver(check as never) : asItIs) as unknown as Resolver<In, unknown, Out>,
  });
  const value = form.watch();
  const { errors } = form.formState;

  // What the form can do does not change; the object that it is called by may.
  const can = useRef(form);
  can.current = form;
  useEffect(() => {
    const found = key === undefined ? undefined : keep.find<In>(key);
    if (found) {
      can.current.reset(found.value, { keepDefaultValues: true });
      setFoundAt(found.at);
    }
  }, [key]);

  const typed = useCallback(() => {
    setFoundAt(undefined);
    if (key !== undefined) {
      const now = can.current.getValues();
      JSON.stringify(now) === JSON.stringify(first.current) ? keep.drop(key) : keep.put(key, now);
    }
  }, [key]);

  const forget = useCallback(
    (then?: In) => {
      sentLast.current = JSON.stringify(then);
      can.current.reset(then ?? first.current);
      typed();
    },
    [typed],
  );

  const write = useMutation({
    mutationFn: ({ said, as }: { said: Out; as: As; typed: string }) => send(said, as),
    onSuccess: (answer, { as, typed }) => {
      if (key !== undefined) {
        keep.drop(key);
      }
      sentLast.current = typed;
      client.invalidateQueries();
      done?.(answer, as);
    },
    onError: (problem) => {
      refused?.(problem);
      for (const { field, message } of problem instanceof Problem ? problem.fields : []) {
        const at = bound(field, fields.current);
        if (at) {
          form.setError(at as Path<In>, { message });
          setRefusals((before) => before + 1);
        }
      }
    },
  });
  const unplaced =
    write.error instanceof Problem
      ? write.error.fields.filter((one) => !bound(one.field, fields.current))
      : [];
  const allPlaced = write.error instanceof Problem && write.error.fields.length > 0 && unplaced.length === 0;

  // A form that stays open once it is sent, as a question does, holds nothing until something else is typed.
  const unsent = ![JSON.stringify(first.current), sentLast.current].includes(JSON.stringify(value));
  const wouldBeLost = unsent && key === undefined;
  useEffect(() => {
    if (!wouldBeLost || write.isPending) {
      return;
    }
    const stay = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', stay);
    return () => window.removeEventListener('beforeunload', stay);
  }, [wouldBeLost, write.isPending]);

  return {
    value,
    put: (at, next) => {
      form.setValue(at, next);
      form.clearErrors(at);
      typed();
    },
    problem: (at) => {
      fields.current.add(at);
      return (get(errors, at) as { message?: string } | undefined)?.message;
    },
    set: (part) => {
      const now = form.getValues();
      form.reset(typeof part === 'function' ? part(now) : { ...now, ...part }, {
        keepDefaultValues: true,
        keepErrors: true,
      });
      typed();
    },
    send: (as) => {
      if (!write.isPending) {
        setHomeless(undefined);
        form.handleSubmit(
          (said) => write.mutate({ said, as, typed: JSON.stringify(form.getValues()) }),
          (wrong) => {
            setHomeless(unbound(wrong, fields.current));
            setRefusals((before) => before + 1);
          },
        )();
      }
    },
    leave: () => (wouldBeLost ? setAsks(true) : leave?.()),
    asks,
    goOn: () => setAsks(false),
    throwAway: () => {
      setAsks(false);
      forget();
      leave?.();
    },
    pending: write.isPending,
    refusals,
    sent: write.isSuccess,
    error: homeless ?? (allPlaced ? undefined : write.error),
    foundAt,
    forget,
    begin: (next) => {
      first.current = next;
      forget(next);
    },
  };
}
