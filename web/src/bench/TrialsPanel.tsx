import { ChartScatter, FolderOpen, GitCompare, Repeat, Spline, Trash2 } from 'lucide-react';
import { use, useState } from 'react';
import { dayAndTime } from '../ui/dates';
import type { Manifest } from '../core';
import { whyNotReplay } from '../core/models';
import { sceneOf } from '../scenes';
import { NO_LAYERS, pictureOfRun } from '../picture/picture';
import { Button, inputClass, Trouble } from '../ui';
import { CompareDialog } from './CompareDialog';
import { OverTrials } from './OverTrials';
import { lengthText } from '../core/time';
import type { KeptTrial, TrialShelf } from './trials';
import { toldOutcomes } from '../core/words';
import type { Laid, MakeTable } from './IntoNotebook';
import { nameOf, outcomeText, summary } from './words';

interface Props {
  m: Manifest;
  shelf: TrialShelf;
  current: string | null;
  behind: string | null;
  onOpen: (t: KeptTrial) => void;
  onRepeat: (t: KeptTrial) => void;
  onBehind: (t: KeptTrial | null) => void;
  readOnly?: boolean;
  /** Outcomes that may be seen over all trials; without it, all. */
  allowed?: string[];
  /** Brings a table of trials into the notebook, where there is one. */
  onNotebook?: (make: MakeTable, trials: KeptTrial[]) => Laid;
}

/** The run history: every run with its picture, settings and date; name it, open it, repeat it, compare it. */
export function TrialsPanel({
  m,
  shelf,
  current,
  behind,
  onOpen,
  onRepeat,
  onBehind,
  readOnly,
  allowed,
  onNotebook,
}: Props) {
  const [ticked, setTicked] = useState<string[]>([]);
  const [comparing, setComparing] = useState(false);
  const [removed, setRemoved] = useState<KeptTrial | null>(null);
  const trials = shelf.trials.filter((t) => !t.removed);
  const [tabled, setTabled] = useState(false);
  const told = toldOutcomes(m).filter((o) => !allowed || allowed.includes(o.id));
  const pair = ticked.map((id) => trials.find((t) => t.id === id)).filter((t) => t !== undefined);
  return (
    <section className="flex h-full flex-col gap-2" aria-label="Trials">
      <div className="flex flex-wrap items-center justify-between gap-1">
        <h2 className="font-bold">Trials</h2>
        <span className="flex gap-1">
          {told.some((o) => o.words.length === 0) && (
            <Button
              small
              disabled={trials.length < 2}
              onClick={() => setTabled(true)}
              title="All trials in a table and a graph"
            >
              <ChartScatter size={14} aria-hidden />
              Over all
            </Button>
          )}
          <Button small disabled={pair.length !== 2} onClick={() => setComparing(true)} title="Tick two trials first">
            <GitCompare size={14} aria-hidden />
            Compare
          </Button>
        </span>
      </div>
      <Trouble error={shelf.trouble} />
      {trials.length === 0 && (
        <p className="text-soft">
          Every run is kept here with its settings. Press Run, and the first one appears when you pause.
        </p>
      )}
      {removed && (
        <p className="flex items-center justify-between gap-2 rounded-house bg-wash px-2 py-1 text-fine" role="status">
          {nameOf(removed)} is deleted.
          <Button
            small
            onClick={() => {
              shelf.keep({ ...removed, removed: false });
              setRemoved(null);
            }}
          >
            Undo
          </Button>
        </p>
      )}
      <ul className="flex flex-col gap-2">
        {[...trials]
          .reverse()
          .map((t) => ({ t, why: whyNotReplay(t.recipe) }))
          .map(({ t, why }) => (
            <li
              key={t.id}
              className={`flex flex-col gap-1 rounded-house border p-2 ${t.id === current ? 'border-copper' : ''}`}
              data-trial={t.number}
            >
              <div className="flex gap-2">
                <Thumbnail m={m} trial={t} />
                <div className="min-w-0 flex-1">
                  <label className="flex items-center gap-1.5">
                    <input
                      type="checkbox"
                      className="h-4 w-4 accent-(--copper)"
                      aria-label={`Compare ${nameOf(t)}`}
                      disabled={!!why}
                      checked={ticked.includes(t.id)}
                      onChange={(e) =>
                        setTicked(e.target.checked ? [...ticked, t.id].slice(-2) : ticked.filter((x) => x !== t.id))
                      }
                    />
                    <input
                      className={
                        'w-full min-w-0 rounded-house border border-transparent bg-transparent px-1 ' +
                        'font-semibold hover:border-edge'
                      }
                      aria-label={`Name of trial ${t.number}`}
                      value={t.name}
                      placeholder={`Trial ${t.number}`}
                      maxLength={60}
                      readOnly={readOnly}
                      onChange={(e) => shelf.keep({ ...t, name: e.target.value })}
                    />
                  </label>
                  <p className="text-fine text-soft">
                    {dayAndTime(t.at)} · <span className="mono whitespace-nowrap">{lengthText(m, t.until)}</span>
                  </p>
                  <p className="text-fine">{summary(m, t.recipe.settings)}</p>
                </div>
              </div>
              <CameTo m={m} trial={t} />
              {why && <p className="text-fine text-copper">{why}</p>}
              <input
                className={`${inputClass} min-h-7! text-fine`}
                aria-label={`Note on trial ${t.number}`}
                value={t.note}
                placeholder="note"
                maxLength={300}
                readOnly={readOnly}
                onChange={(e) => shelf.keep({ ...t, note: e.target.value })}
              />
              <div className="flex flex-wrap gap-1">
                <Button small onClick={() => onOpen(t)} disabled={t.id === current || !!why}>
                  <FolderOpen size={13} aria-hidden />
                  Open
                </Button>
                {!readOnly && (
                  <Button small onClick={() => onRepeat(t)}>
                    <Repeat size={13} aria-hidden />
                    Repeat
                  </Button>
                )}
                {m.clock !== 'person' && (
                  <Button
                    small
                    disabled={!!why}
                    aria-pressed={behind === t.id}
                    className={behind === t.id ? 'border-copper! text-copper!' : ''}
                    onClick={() => onBehind(behind === t.id ? null : t)}
                  >
                    <Spline size={13} aria-hidden />
                    Trace behind
                  </Button>
                )}
                {!readOnly && (
                  <Button
                    small
                    aria-label={`Delete ${nameOf(t)}`}
                    title="Delete"
                    onClick={() => {
                      shelf.keep({ ...t, removed: true });
                      setRemoved(t);
                      setTicked(ticked.filter((x) => x !== t.id));
                    }}
                  >
                    <Trash2 size={13} aria-hidden />
                  </Button>
                )}
              </div>
            </li>
          ))}
      </ul>
      {tabled && <OverTrials {...{ m, trials, told, onNotebook }} onClose={() => setTabled(false)} />}
      {comparing && pair.length === 2 && (
        <CompareDialog m={m} one={pair[0]} two={pair[1]} onClose={() => setComparing(false)} />
      )}
    </section>
  );
}

/** What a trial came to. */
function CameTo({ m, trial }: { m: Manifest; trial: KeptTrial }) {
  const known = toldOutcomes(m).filter((o) => !o.aside && trial.outcomes?.[o.id] !== undefined);
  if (known.length === 0) return null;
  return (
    <dl className="text-fine" data-outcomes>
      {known.map((o) => (
        <div key={o.id} className="flex justify-between gap-2">
          <dt className="text-soft">{o.name}</dt>
          <dd className="mono whitespace-nowrap">{outcomeText(o, trial)}</dd>
        </div>
      ))}
    </dl>
  );
}

function Thumbnail({ m, trial }: { m: Manifest; trial: KeptTrial }) {
  const { Drawing } = use(sceneOf(m.id));
  const picture = pictureOfRun(
    m,
    Float64Array.from(trial.scene),
    Float64Array.from(trial.frame),
    undefined,
    trial.curves?.map((c) => Float64Array.from(c)),
  );
  return (
    <svg
      className="h-16 w-20 shrink-0 rounded-house border bg-stage"
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      aria-hidden
    >
      <Drawing picture={picture} layers={NO_LAYERS} />
    </svg>
  );
}
