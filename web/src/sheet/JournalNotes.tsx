import { Copy } from 'lucide-react';
import type { Schemas } from '../api/client';
import type { Journal } from '../notebook/journal';
import { Button } from '../ui';
import type { Sheet } from '../core';

/** Words of a value, to show and to copy. */
function textOf(value: Record<string, unknown>): string {
  const parts = ['text', 'number', 'unit', 'reason'].map((k) => value[k]).filter((v) => typeof v === 'string' && v);
  return parts.length ? parts.join(' ') : JSON.stringify(value);
}

/** Where a slot stands, in words. */
function placeOf(sheet: Sheet, block: string, slot: string): string {
  const part = sheet.parts.find((p) => p.blocks.some((b) => b.id === block));
  const found = part?.blocks.find((b) => b.id === block);
  const cell = slot.startsWith('cell/') ? ', a cell of the table' : '';
  return `${part?.title ?? ''}${found && 'title' in found ? `, ${found.title}` : ''}${cell}`;
}

/**
 * What a student must know of the notebook: what could not be kept, what another tab wrote in the same place, what
 * can't be read.
 */
export function JournalNotes({
  journal,
  sheet,
  unreadable,
}: {
  journal: Journal;
  sheet: Sheet;
  unreadable: Schemas['UnreadableView'][];
}) {
  const stillOdd = unreadable.filter((u) => journal.read(u.block, u.slot) === undefined);
  return (
    <>
      {journal.overlaps.map((o) => (
        <section
          key={`${o.block}/${o.slot}`}
          role="alert"
          className="rounded-house border-l-3 border-ochre bg-wash px-3 py-2"
        >
          <p>
            <b>{placeOf(sheet, o.block, o.slot)}:</b> in another tab or on another device you wrote
          </p>
          <p className="mono my-1 max-h-24 overflow-auto">{textOf(o.theirs)}</p>
          <p className="mb-2">Here stands what you wrote in this tab. Both are kept.</p>
          <div className="flex flex-wrap gap-2">
            <Button small onClick={() => journal.resolve(o, false)}>
              Stay with mine here
            </Button>
            <Button small onClick={() => journal.resolve(o, true)}>
              Take the other one
            </Button>
          </div>
        </section>
      ))}
      {journal.refused.map((r) => (
        <section key={r.id} role="alert" className="rounded-house border-l-3 border-copper bg-wash px-3 py-2">
          <p>
            <b>Not kept: {placeOf(sheet, r.block, r.slot)}.</b> {r.reason}
          </p>
          <p className="mono my-1 max-h-24 overflow-auto">{textOf(r.value)}</p>
          <div className="flex gap-2">
            <Button small onClick={() => void navigator.clipboard.writeText(textOf(r.value))}>
              <Copy size={13} aria-hidden />
              Copy it
            </Button>
            <Button small kind="quiet" onClick={() => void journal.forget(r.id)}>
              Let it go
            </Button>
          </div>
        </section>
      ))}
      {stillOdd.length > 0 && (
        <section role="status" className="rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
          <p className="font-semibold">Some of what was stored can’t be read and counts as missing:</p>
          <ul className="list-disc pl-5 text-fine">
            {stillOdd.map((u) => (
              <li key={`${u.block}/${u.slot}`}>
                {placeOf(sheet, u.block, u.slot)} ({u.reason})
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
