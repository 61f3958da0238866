import { inputClass } from '../../ui';

/** Something written in words, which nobody marks. */
export function Written({
  prompt,
  text,
  readOnly,
  onChange,
}: {
  prompt: string;
  text: string;
  readOnly: boolean;
  onChange: (text: string) => void;
}) {
  return (
    <label className="flex flex-col gap-2">
      <span className="font-semibold">{prompt}</span>
      <textarea
        className={`${inputClass} min-h-24 py-2`}
        value={text}
        readOnly={readOnly}
        maxLength={8000}
        onChange={(e) => onChange(e.target.value)}
      />
    </label>
  );
}
