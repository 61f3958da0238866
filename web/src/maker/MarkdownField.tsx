import { Bold, Heading2, Image, Italic, Link2, List, ListOrdered, Radical } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import { IconButton, inputClass } from '../ui';
import { between, lines, put, type Chosen } from './marks';
import { PictureDialog } from './PictureDialog';

/** A text in Markdown, with a bar for what is written most. */
export function MarkdownField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  const field = useRef<HTMLTextAreaElement>(null);
  const [picturing, setPicturing] = useState(false);
  const change = (how: (chosen: Chosen) => Chosen) => {
    const at = field.current!;
    const next = how({ text: value, from: at.selectionStart, to: at.selectionEnd });
    onChange(next.text);
    // The field has the new text only after this; then what was chosen is chosen again.
    requestAnimationFrame(() => {
      at.focus();
      at.setSelectionRange(next.from, next.to);
    });
  };
  const tool = (name: string, icon: ReactNode, how: (chosen: Chosen) => Chosen) => (
    <IconButton className="border-transparent!" label={name} onClick={() => change(how)}>
      {icon}
    </IconButton>
  );
  return (
    <div className="rounded-house border border-edge">
      <div className="flex flex-wrap border-b" role="toolbar" aria-label={`${label}, marks`}>
        {tool('Bold', <Bold size={15} />, (c) => between(c, '**'))}
        {tool('Italic', <Italic size={15} />, (c) => between(c, '*'))}
        {tool('Heading', <Heading2 size={15} />, (c) => lines(c, () => '## '))}
        {tool('List', <List size={15} />, (c) => lines(c, () => '- '))}
        {tool('Numbered list', <ListOrdered size={15} />, (c) => lines(c, (i) => `${i + 1}. `))}
        {tool('Link', <Link2 size={15} />, (c) =>
          put(c, `[${c.text.slice(c.from, c.to) || 'words'}](https://example.org)`),
        )}
        {tool('Formula', <Radical size={15} />, (c) =>
          put(c, `$${c.text.slice(c.from, c.to) || 'T = 2\\pi\\sqrt{L/g}'}$`),
        )}
        <IconButton className="border-transparent!" label="Picture" onClick={() => setPicturing(true)}>
          <Image size={15} />
        </IconButton>
      </div>
      <textarea
        ref={field}
        className={`${inputClass} min-h-32 w-full rounded-t-none border-0 py-2`}
        rows={Math.min(18, 3 + value.length / 55 + value.split('\n').length / 2)}
        aria-label={label}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
      {picturing && (
        <PictureDialog
          onClose={() => setPicturing(false)}
          onPicture={(words) => {
            setPicturing(false);
            change((c) => put(c, words));
          }}
        />
      )}
    </div>
  );
}
