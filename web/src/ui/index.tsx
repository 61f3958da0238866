/** The house's small parts, on Radix where there is something to get right. */
import { clsx } from 'clsx';
import { X } from 'lucide-react';
import { Dialog as RadixDialog, Slider as RadixSlider, Switch as RadixSwitch, Tooltip as RadixTooltip } from 'radix-ui';
import { useId, type ButtonHTMLAttributes, type InputHTMLAttributes, type ReactNode } from 'react';

type ButtonProps = ButtonHTMLAttributes<HTMLButtonElement> & { kind?: 'main' | 'plain' | 'quiet'; small?: boolean };

export function Button({ kind = 'plain', small, className, type = 'button', ...rest }: ButtonProps) {
  return (
    <button
      type={type}
      className={clsx(
        'inline-flex items-center justify-center gap-1.5 rounded-house border ' +
          'font-semibold whitespace-nowrap disabled:opacity-45',
        small ? 'min-h-7 px-2 text-fine' : 'min-h-9 px-3.5',
        kind === 'main' && 'border-copper bg-copper text-on-copper enabled:hover:brightness-110',
        kind === 'plain' && 'border-edge bg-sheet text-ink enabled:hover:border-ink',
        kind === 'quiet' && 'border-transparent text-ink enabled:hover:bg-line/50',
        className,
      )}
      {...rest}
    />
  );
}

export function IconButton({
  label,
  children,
  className,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { label: string; children: ReactNode }) {
  return (
    <RadixTooltip.Root>
      <RadixTooltip.Trigger asChild>
        <button
          type="button"
          aria-label={label}
          className={clsx(
            'inline-flex h-9 min-w-9 items-center justify-center rounded-house border ' +
              'border-edge bg-sheet px-2 font-semibold text-ink enabled:hover:border-ink ' +
              'disabled:opacity-45',
            className,
          )}
          {...rest}
        >
          {children}
        </button>
      </RadixTooltip.Trigger>
      <RadixTooltip.Portal>
        <RadixTooltip.Content sideOffset={6} className="z-50 rounded-house bg-ink px-2 py-1 text-fine text-paper">
          {label}
        </RadixTooltip.Content>
      </RadixTooltip.Portal>
    </RadixTooltip.Root>
  );
}

/** Looks of a menu and of what stands in it. */
export const menuBox = 'z-50 min-w-44 rounded-house border bg-sheet p-1 text-ink';
export const menuItem =
  'flex items-center gap-2 rounded-house px-2 py-1 outline-none data-highlighted:bg-line/60 data-disabled:opacity-45';

export const inputClass =
  'rounded-house border border-edge bg-sheet px-2.5 min-h-9 text-ink ' +
  'placeholder:text-soft aria-[invalid=true]:border-copper';

export function Field({
  label,
  hint,
  error,
  mono,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: string; hint?: string; error?: string | null; mono?: boolean }) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      <input
        id={id}
        className={clsx(inputClass, mono && 'mono')}
        aria-invalid={!!error}
        aria-describedby={`${id}-note`}
        {...rest}
      />
      <p id={`${id}-note`} className={clsx('text-fine', error ? 'text-copper' : 'text-soft')}>
        {error ?? hint ?? ''}
      </p>
    </div>
  );
}

export function Select({
  label,
  value,
  onChange,
  options,
  className,
  hideLabel,
  disabled,
}: {
  label: string;
  value: string;
  onChange: (v: string) => void;
  options: { id: string; name: string }[];
  className?: string;
  hideLabel?: boolean;
  disabled?: boolean;
}) {
  const id = useId();
  return (
    <span className={clsx('inline-flex max-w-full min-w-0 items-center gap-1.5', className)}>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'text-fine text-soft'}>
        {label}
      </label>
      <select
        id={id}
        value={value}
        disabled={disabled}
        onChange={(e) => onChange(e.target.value)}
        className="min-h-8 max-w-full min-w-0 rounded-house border border-edge bg-sheet px-1.5 text-ink"
      >
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.name}
          </option>
        ))}
      </select>
    </span>
  );
}

export function Toggle({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (on: boolean) => void;
}) {
  const id = useId();
  return (
    <span className="inline-flex items-center gap-2">
      <RadixSwitch.Root
        id={id}
        checked={checked}
        onCheckedChange={onChange}
        className={
          'h-5 w-9 shrink-0 rounded-full border border-edge bg-line ' +
          'data-[state=checked]:border-verdigris data-[state=checked]:bg-verdigris'
        }
      >
        <RadixSwitch.Thumb
          className={
            'block h-4 w-4 translate-x-px rounded-full bg-sheet transition-transform ' +
            'motion-reduce:transition-none data-[state=checked]:translate-x-4'
          }
        />
      </RadixSwitch.Root>
      <label htmlFor={id}>{label}</label>
    </span>
  );
}

export function Slider({
  label,
  value,
  min,
  max,
  step,
  onChange,
  className,
  disabled,
  valueText,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange: (v: number) => void;
  className?: string;
  disabled?: boolean;
  valueText?: string;
}) {
  return (
    <RadixSlider.Root
      value={[value]}
      min={min}
      max={max}
      step={step}
      disabled={disabled}
      onValueChange={([v]) => onChange(v)}
      className={clsx('relative flex h-6 touch-none items-center select-none', className)}
    >
      <RadixSlider.Track className="relative h-1 grow rounded-full bg-line">
        <RadixSlider.Range className="absolute h-full rounded-full bg-copper" />
      </RadixSlider.Track>
      <RadixSlider.Thumb
        aria-label={label}
        aria-valuetext={valueText}
        className="block h-4 w-4 rounded-full border-2 border-copper bg-sheet hover:bg-copper"
      />
    </RadixSlider.Root>
  );
}

export function Dialog({
  open,
  onClose,
  title,
  children,
  wide,
  full,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  children: ReactNode;
  wide?: boolean;
  full?: boolean;
}) {
  return (
    <RadixDialog.Root
      open={open}
      onOpenChange={(o) => {
        if (!o) onClose();
      }}
    >
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-40 bg-ink/35" />
        <RadixDialog.Content
          aria-describedby={undefined}
          className={clsx(
            'fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[94vw] -translate-x-1/2 ' +
              '-translate-y-1/2 overflow-auto rounded-house border border-line bg-sheet p-6',
            full ? 'flex h-[92vh] flex-col' : wide ? 'max-w-2xl' : 'max-w-md',
          )}
        >
          <div className="mb-4 flex items-start justify-between gap-4">
            <RadixDialog.Title className="text-lead font-bold">{title}</RadixDialog.Title>
            <RadixDialog.Close aria-label="Close" className="rounded-house p-1 hover:bg-line/50">
              <X size={18} />
            </RadixDialog.Close>
          </div>
          {children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

export function Trouble({ error }: { error: unknown }) {
  if (!error) return null;
  return (
    <p role="alert" className="rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
      {error instanceof Error ? error.message : String(error)}
    </p>
  );
}

const LOWERED: Record<string, string> = {
  0: '₀',
  1: '₁',
  2: '₂',
  3: '₃',
  4: '₄',
  5: '₅',
  6: '₆',
  7: '₇',
  8: '₈',
  9: '₉',
  a: 'ₐ',
  e: 'ₑ',
  s: 'ₛ',
  k: 'ₖ',
  t: 'ₜ',
  h: 'ₕ',
  i: 'ᵢ',
  l: 'ₗ',
  m: 'ₘ',
  n: 'ₙ',
  o: 'ₒ',
  p: 'ₚ',
  r: 'ᵣ',
  u: 'ᵤ',
  v: 'ᵥ',
  x: 'ₓ',
};

/** Symbols where only plain text can stand, alone or in an equation: what can be lowered is. */
export function symbolText(text: string) {
  return text.replace(/_([\p{L}\p{N}]+)/gu, (_, sub: string) => [...sub].map((c) => LOWERED[c] ?? c).join(''));
}

/** A symbol as it is printed: letters slanted, what follows an underscore lowered. */
export function Symbol({ text }: { text: string }) {
  const [main, sub] = text.split('_');
  return (
    <span>
      <i>{main}</i>
      {sub && <sub className="text-[0.75em]">{sub}</sub>}
    </span>
  );
}
