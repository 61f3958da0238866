import { Lock } from 'lucide-react';
import { notesOf } from '../../notebook/notes';
import { Button, inputClass } from '../../ui';
import { AfterCheck } from '../kind/Checked';
import type { ViewProps } from '../kind/kind';
import { Points } from '../kind/Marked';
import { useCheck } from '../kind/useCheck';

export default function Comparison({ block, context }: ViewProps<'comparison'>) {
  const { journal, readOnly } = context;
  const notes = notesOf(journal, block);
  const sealed = notes.read('seal')?.sealed === true;
  const taken = (slot: 'predicted' | 'seen') => block.cases.map((_, i) => notes.read(`${slot}/${i + 1}`)?.option ?? 0);
  const predicted = taken('predicted');
  const seen = taken('seen');
  const checking = useCheck(block, context, seen.join(', '), '');
  const whole = (options: number[]) => options.every((o) => o > 0);
  return (
    <section className="flex flex-col gap-2 border-t pt-4">
      <form
        className="flex flex-col gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void checking.check();
        }}
      >
        <p className="font-bold">
          {block.prompt} <Points of={block.points} />
        </p>
        <table className="w-full border-collapse">
          <thead>
            <tr className="border-b text-left text-fine text-soft">
              <th scope="col" className="py-1 pr-2 font-semibold">
                Case
              </th>
              <th scope="col" className="px-1 py-1 font-semibold text-plum">
                Predicted
              </th>
              {sealed && (
                <th scope="col" className="py-1 pl-1 font-semibold text-copper">
                  Seen
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {block.cases.map(({ text }, i) => (
              <tr key={text} className="border-b">
                <th scope="row" className="py-1.5 pr-2 text-left font-normal">
                  {text}
                </th>
                <td className="px-1 py-1.5">
                  {sealed || readOnly ? (
                    <span className="text-plum">{block.options[predicted[i] - 1] ?? '–'}</span>
                  ) : (
                    <Taking
                      name={`Predicted: ${text}`}
                      options={block.options}
                      taken={predicted[i]}
                      onTake={(option) => notes.write(`predicted/${i + 1}`, { option })}
                    />
                  )}
                </td>
                {sealed && (
                  <td className="py-1.5 pl-1">
                    {readOnly ? (
                      <span>{block.options[seen[i] - 1] ?? '–'}</span>
                    ) : (
                      <Taking
                        name={`Seen: ${text}`}
                        options={block.options}
                        taken={seen[i]}
                        onTake={(option) => {
                          checking.forget();
                          notes.write(`seen/${i + 1}`, { option });
                        }}
                      />
                    )}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
        {!readOnly && !sealed && (
          <div className="flex items-center gap-3">
            <Button
              kind="main"
              className="border-plum! bg-plum!"
              disabled={!whole(predicted)}
              onClick={() => notes.write('seal', { sealed: true })}
            >
              <Lock size={15} aria-hidden />
              Seal my predictions
            </Button>
            <span className="text-fine text-soft">
              {whole(predicted) ? 'They can’t be changed afterwards.' : 'Predict every case first.'}
            </span>
          </div>
        )}
        {!readOnly && sealed && (
          <Button
            kind="main"
            type="submit"
            className="self-start"
            disabled={checking.busy || checking.done || !whole(seen)}
          >
            Check
          </Button>
        )}
      </form>
      <p className="text-fine text-soft">
        {sealed ? 'Only what you saw brings points.' : 'What you predict is never wrong; only what you see is marked.'}
      </p>
      <AfterCheck block={block} context={context} checking={checking} />
    </section>
  );
}

/** One of the options; none is taken before somebody takes one. */
function Taking({
  name,
  options,
  taken,
  onTake,
}: {
  name: string;
  options: string[];
  taken: number;
  onTake: (option: number) => void;
}) {
  return (
    <select
      className={`${inputClass} w-full min-w-18 px-1!`}
      aria-label={name}
      value={taken}
      onChange={(e) => onTake(Number(e.target.value))}
    >
      {taken === 0 && <option value={0}>…</option>}
      {options.map((o, i) => (
        <option key={o} value={i + 1}>
          {o}
        </option>
      ))}
    </select>
  );
}
