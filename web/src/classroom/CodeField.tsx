import { Field } from '../ui';

/** The code of a class, as its teacher gives it. */
export function CodeField(props: { value: string; onChange: (code: string) => void; error?: string | null }) {
  return (
    <Field
      label="Class code"
      mono
      autoCapitalize="characters"
      autoComplete="off"
      value={props.value}
      onChange={(e) => props.onChange(e.target.value)}
      error={props.error}
      hint="Six letters and digits, from your teacher"
      required
    />
  );
}
