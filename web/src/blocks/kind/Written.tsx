import { LongText } from '../../ui/LongText';

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
      <LongText className="min-h-24 py-2" value={text} readOnly={readOnly} maxLength={8000} onChange={onChange} />
    </label>
  );
}
