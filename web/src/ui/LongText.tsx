import clsx from 'clsx';
import { useId, useState, type ComponentProps } from 'react';
import { inputClass } from '.';

/** From this share of the room on it is told how much is left. */
const NEARLY_FULL = 0.9;

const characters = (n: number) => `${n.toLocaleString('en')} ${n === 1 ? 'character' : 'characters'}`;

/**
 * Room for many words, as many as are kept. The browser takes no more and says nothing: what of a paste found no room
 * would be missed only when it is read again.
 */
export function LongText({
  value,
  maxLength,
  className,
  onChange,
  ...rest
}: Omit<ComponentProps<'textarea'>, 'value' | 'maxLength' | 'onChange'> & {
  value: string;
  maxLength: number;
  onChange: (text: string) => void;
}) {
  const told = useId();
  const [cut, setCut] = useState(0);
  const left = Math.max(0, maxLength - value.length);
  const most = `${characters(maxLength)} are the most that can be kept.`;
  const words =
    cut > 0
      ? `The last ${characters(cut)} of what you pasted found no room. ${most}`
      : left > maxLength * (1 - NEARLY_FULL)
        ? ''
        : left > 0
          ? `Room for ${characters(left)} more`
          : `No room for more. ${most}`;
  return (
    <>
      <textarea
        className={clsx(inputClass, className)}
        value={value}
        maxLength={maxLength}
        aria-describedby={told}
        onPaste={(e) => {
          const { selectionStart, selectionEnd } = e.currentTarget;
          // As the field will hold them: a line's end is one character in it.
          const pasted = e.clipboardData.getData('text').replace(/\r\n/g, '\n').length;
          setCut(Math.max(0, pasted - (maxLength - (value.length - (selectionEnd - selectionStart)))));
        }}
        onChange={(e) => {
          if ((e.nativeEvent as InputEvent).inputType !== 'insertFromPaste') setCut(0);
          onChange(e.target.value);
        }}
        {...rest}
      />
      <span
        id={told}
        role="status"
        className={clsx('text-fine font-normal empty:absolute', cut > 0 || left === 0 ? 'text-copper' : 'text-soft')}
      >
        {rest.readOnly ? '' : words}
      </span>
    </>
  );
}
