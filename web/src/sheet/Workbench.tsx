import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { api, ask, type Schemas } from '../api/client';
import { workOut } from '../core';
import { fetchFilm } from '../films/film';
import { EmptyBench, FilmBench } from '../films/FilmBench';
import type { Placing } from '../instruments/placing';
import { GraphView, type GraphChoice } from '../notebook/GraphView';
import type { Journal } from '../notebook/journal';
import { tableOf, type Reading } from '../notebook/table';
import { TableView } from '../notebook/TableView';
import { Button, Select, Trouble } from '../ui';
import { find, type BlockOf, type Sheet } from './types';

interface Props {
  work: string;
  sheet: Sheet;
  journal: Journal;
  trials: Schemas['TrialView'][];
  readOnly: boolean;
  open: boolean;
}

interface BenchState { trial: string | null; frame: number; placing: Placing }

/** The right side of a lab: bench above, notebook below, all in view together. */
export function Workbench({ work, sheet, journal, trials, readOnly, open }: Props) {
  const films = find(sheet, 'films');
  const tableBlock = find(sheet, 'table');
  const graphBlock = find(sheet, 'graph');
  const [bench, setBench] = useState<BenchState>({ trial: null, frame: 0, placing: {} });
  const [shown, setShown] = useState<{ key: string; text: string; before: BenchState } | null>(null);

  const table = tableBlock && tableOf(journal, tableBlock.id, tableBlock.columns);
  const results = useMemo(() => (table ? workOut(table) : []), [journal.all()]);
  const choice = (graphBlock && journal.read<GraphChoice>(graphBlock.id, 'view')) || { origin: true };

  const trial = trials.find((t) => t.id === bench.trial) ?? (bench.trial ? undefined : trials.at(-1));
  const film = useQuery({ queryKey: ['film', trial?.id], queryFn: () => fetchFilm(trial!.id), enabled: !!trial, staleTime: Infinity });

  const write = (row: string, column: string, text: string) => {
    const kind = table!.columns.find((c) => c.id === column)!.kind;
    if (!table!.rows.some((r) => r.id === row)) {
      journal.write(tableBlock!.id, 'rows', { order: [...table!.rows.map((r) => r.id), row] });
    }
    // A value that is typed while a recording is on the bench remembers how it was read.
    const reading: Reading | undefined = kind === 'measured' && trial && text.trim() !== ''
      ? { trial: trial.id, frame: bench.frame, instruments: bench.placing } : undefined;
    journal.write(tableBlock!.id, `cell/${row}/${column}`, { text, ...(reading ? { reading } : {}) });
    setShown(null);
  };
  const show = (key: string, reading: Reading) => {
    const cell = table!.cells[key];
    setShown({ key, text: cell.text, before: shown?.before ?? bench });
    setBench({ trial: reading.trial, frame: reading.frame, placing: reading.instruments });
  };

  if (!open) {
    return <EmptyBench>The bench opens when you have sealed your prediction.</EmptyBench>;
  }
  return (
    <Group orientation="vertical" className="h-full">
      <Panel defaultSize="58%" minSize="25%">
        <div className="flex h-full flex-col">
          {films && (
            <TrialBar
              block={films} work={work} settle={() => journal.settle()} trials={trials} current={trial?.id ?? null} readOnly={readOnly}
              onChoose={(id) => { setShown(null); setBench({ trial: id, frame: 0, placing: bench.placing }); }}
            />
          )}
          <div className="min-h-0 flex-1">
            {film.data && trial ? (
              <FilmBench
                apparatus={films!.apparatus} view={films!.view} film={film.data} title={nameOf(films!, trial)}
                frame={Math.min(bench.frame, film.data.last)} onFrame={(frame) => setBench((b) => ({ ...b, trial: trial.id, frame }))}
                placing={bench.placing} onPlacing={(placing) => setBench((b) => ({ ...b, trial: trial.id, placing }))}
                note={shown && (
                  <div className="flex items-center gap-3 rounded-house border border-copper bg-sheet px-3 py-1.5 text-fine" role="status">
                    This is how <b className="mono">{shown.text}</b> was read.
                    <Button small onClick={() => { setBench(shown.before); setShown(null); }}>Back</Button>
                  </div>
                )}
              />
            ) : (
              <EmptyBench>
                {film.isLoading ? 'The recording is on its way …' : film.error ? <Trouble error={film.error} /> : readOnly ? 'No recording has been made.' : 'Choose above what to film, then ask for the recording.'}
              </EmptyBench>
            )}
          </div>
        </div>
      </Panel>
      <Separator aria-label="Divide bench and notebook" className="h-1.5 cursor-row-resize bg-line hover:bg-copper" />
      <Panel minSize="20%">
        <Group orientation="horizontal" className="h-full bg-paper">
          <Panel defaultSize="50%" minSize="25%">
            {table && (
              <TableView
                title={tableBlock!.title} table={table} results={results} readOnly={readOnly} shown={shown?.key ?? null}
                onCell={write} onShow={show} onColumns={(columns) => journal.write(tableBlock!.id, 'columns', { columns })}
              />
            )}
          </Panel>
          <Separator aria-label="Divide table and graph" className="w-1.5 cursor-col-resize bg-line hover:bg-copper" />
          <Panel minSize="25%">
            {table && graphBlock && (
              <GraphView table={table} results={results} choice={choice} readOnly={readOnly} onChoice={(c) => { if (!readOnly) journal.write(graphBlock.id, 'view', { ...c }); }} />
            )}
          </Panel>
        </Group>
      </Panel>
    </Group>
  );
}

export function nameOf(block: BlockOf<'films'>, trial: Schemas['TrialView']) {
  const names = block.choices.map((c) => c.options.find((o) => o.id === trial.chosen[c.id])?.name ?? '');
  return `Trial ${trial.number}: ${names.join(', ')}`;
}

/** Choosing what to film, asking for it, and going to what has been filmed. */
function TrialBar({ block, work, settle, trials, current, readOnly, onChoose }: {
  block: BlockOf<'films'>; work: string; settle: () => Promise<boolean>; trials: Schemas['TrialView'][]; current: string | null; readOnly: boolean; onChoose: (id: string) => void;
}) {
  const queries = useQueryClient();
  const [chosen, setChosen] = useState<Record<string, string>>(() => Object.fromEntries(block.choices.map((c) => [c.id, c.options[0].id])));
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>(null);
  const record = async () => {
    setBusy(true);
    setError(null);
    try {
      // The server must have heard of the seal before it may film.
      await settle();
      const made = await ask(api.POST('/api/works/{workId}/trials', { params: { path: { workId: work } }, body: { id: crypto.randomUUID(), block: block.id, chosen } }));
      queries.setQueryData<Schemas['WorkView']>(['work', work], (w) => w && { ...w, trials: [...w.trials.filter((t) => t.id !== made.id), made] });
      onChoose(made.id);
    } catch (e) {
      setError(e);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b bg-sheet px-3 py-1.5">
      {!readOnly && (
        <>
          {block.choices.map((c) => <Select key={c.id} label={c.name} value={chosen[c.id]} onChange={(v) => setChosen({ ...chosen, [c.id]: v })} options={c.options} />)}
          <Button kind="main" small onClick={() => void record()} disabled={busy}>{busy ? 'Filming …' : 'Record'}</Button>
        </>
      )}
      {trials.length > 0 && (
        <Select label="On the bench" className="ml-auto" value={current ?? ''} onChange={onChoose} options={trials.map((t) => ({ id: t.id, name: nameOf(block, t) }))} />
      )}
      <Trouble error={error} />
    </div>
  );
}
