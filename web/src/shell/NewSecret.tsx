import { Field } from '../ui';

/** A secret of one's own, chosen anew. */
export function NewSecret({
  label,
  value,
  onChange,
  error,
}: {
  label: string;
  value: string;
  onChange: (secret: string) => void;
  error: string | null;
}) {
  return (
    <Field
      label={label}
      type="password"
      autoComplete="new-password"
      value={value}
      onChange={(e) => onChange(e.target.value)}
      error={error}
      hint="At least 8 characters; three words you can remember are good"
      required
    />
  );
}
