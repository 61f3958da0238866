import { Popover } from 'radix-ui';
import { useLayoutEffect, useRef, useState, type FormEvent } from 'react';
import { flushSync } from 'react-dom';
import type { Act, Argument, Manifest, Run, SettingValue } from '../core';
import type { Picture } from '../picture/picture';
import { Button, Select } from '../ui';
import { SettingField } from './SettingField';

export type Chosen = Record<string, SettingValue>;

/** Whether an act is possible now: its flag of the scene stands as it should. */
export function isPossible({ shownWhen }: Act, picture: Picture) {
  const [flag, value] = shownWhen.split('=');
  return !shownWhen || String(picture.get(flag)) === value;
}

/** What an act is done with, as it was chosen last; what wasn't is as it is at first. */
export function argumentsOf(act: Act, chosen: Chosen | undefined): Chosen {
  return Object.fromEntries(act.arguments.map((a) => [a.id, chosen?.[a.id] ?? a.initial]));
}

/** Something that can be done: at a press, or after saying with what. */
export function ActButton({
  m,
  run,
  act,
  main,
  chosen,
  onChoose,
  onDo,
}: {
  m: Manifest;
  run: Run;
  act: Act;
  main: boolean;
  chosen?: Chosen;
  onChoose: (with_: Chosen) => void;
  /** Answers what stands against it, if anything does. */
  onDo: (with_?: Chosen) => string | undefined;
}) {
  const [open, setOpen] = useState(false);
  const [error, setError] = useState<string | undefined>();
  const values = argumentsOf(act, chosen);
  const latest = useRef(values);
  useLayoutEffect(() => {
    latest.current = values;
  });
  /** Takes what is being typed first; where that is refused nothing is done, least of all with what stood before. */
  const submit = (e: FormEvent<HTMLFormElement>) => {
    e.preventDefault();
    const typing = document.activeElement;
    if (typing instanceof HTMLInputElement) {
      flushSync(() => typing.blur());
      typing.focus();
    }
    const refused = e.currentTarget.querySelector('[aria-invalid=true]') !== null;
    setError(refused ? undefined : onDo(latest.current));
  };
  if (act.arguments.length === 0)
    return (
      <Button kind={main ? 'main' : 'plain'} onClick={() => onDo()}>
        {act.name}
      </Button>
    );
  return (
    <Popover.Root
      open={open}
      onOpenChange={(o) => {
        setOpen(o);
        setError(undefined);
      }}
    >
      <Popover.Trigger asChild>
        <Button kind={main ? 'main' : 'plain'}>{act.name}</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={8}
          aria-label={act.name}
          className="z-40 w-76 rounded-house border bg-sheet p-4 text-ink"
        >
          <form className="flex flex-col gap-3" onSubmit={submit}>
            {act.arguments.map((a) => (
              <ArgumentField
                key={a.id}
                {...{ m, run, act, a }}
                value={values[a.id]}
                onChange={(v) => onChoose({ ...values, [a.id]: v })}
              />
            ))}
            {error && (
              <p role="alert" className="text-fine text-copper">
                {error}
              </p>
            )}
            {/* Pressing it doesn't leave the field first: what would be said of it then moves the button away. */}
            <Button
              kind="main"
              type="submit"
              onPointerDown={(e) => e.preventDefault()}
              onMouseDown={(e) => e.preventDefault()}
            >
              Do it
            </Button>
          </form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function ArgumentField({
  m,
  run,
  act,
  a,
  value,
  onChange,
}: {
  m: Manifest;
  run: Run;
  act: Act;
  a: Argument;
  value: SettingValue;
  onChange: (v: SettingValue) => void;
}) {
  if (a.type !== 'pick') return <SettingField m={m} owner={act.id} s={a} value={value} onChange={onChange} />;
  const names = run.itemNames(a.from).map((name, i) => ({ id: String(i + 1), name }));
  const options = a.other ? [{ id: a.other, name: a.otherName }, ...names] : names;
  return (
    <div>
      <p className="text-fine" aria-hidden>
        {a.name}
      </p>
      <Select label={a.name} hideLabel value={String(value)} onChange={onChange} options={options} />
    </div>
  );
}
