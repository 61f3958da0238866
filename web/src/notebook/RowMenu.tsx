import { ArrowDown, ArrowUp, CircleSlash, Plus, StickyNote, Trash2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import type { RowSpec } from '../core';
import { Button, Dialog, Field, menuBox, menuItem } from '../ui';
import type { TableOps } from './tableOps';

/** The number of a row, and what can be done with it. */
export function RowMenu({ row, index, last, ops }: { row: RowSpec; index: number; last: number; ops: TableOps }) {
  const [asking, setAsking] = useState<'out' | 'note' | null>(null);
  const [text, setText] = useState('');
  const ask = (what: 'out' | 'note') => { setText((what === 'out' ? row.out : row.note) ?? ''); setAsking(what); };
  return (
    <>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger asChild>
          <button type="button" aria-label={`Row ${index + 1}: what to do with it`} title={[row.out && `left out: ${row.out}`, row.note].filter(Boolean).join('\n') || 'What to do with this row'} className={`mono flex h-8 w-full items-center justify-center gap-0.5 rounded-house text-fine hover:bg-line/60 ${row.out ? 'text-copper line-through' : 'text-soft'}`}>
            {index + 1}{row.note && <StickyNote size={11} aria-label="has a note" className="text-plum" />}
          </button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="start" className={menuBox}>
            {row.out
              ? <DropdownMenu.Item className={menuItem} onSelect={() => ops.leaveOut(row.id, '')}><CircleSlash size={14} aria-hidden />Take it in again</DropdownMenu.Item>
              : <DropdownMenu.Item className={menuItem} onSelect={() => ask('out')}><CircleSlash size={14} aria-hidden />Leave it out …</DropdownMenu.Item>}
            <DropdownMenu.Item className={menuItem} onSelect={() => ask('note')}><StickyNote size={14} aria-hidden />Note …</DropdownMenu.Item>
            <DropdownMenu.Item className={menuItem} onSelect={() => ops.insertRow(index)}><Plus size={14} aria-hidden />New row above</DropdownMenu.Item>
            <DropdownMenu.Item className={menuItem} onSelect={() => ops.insertRow(index + 1)}><Plus size={14} aria-hidden />New row below</DropdownMenu.Item>
            <DropdownMenu.Item className={menuItem} disabled={index === 0} onSelect={() => ops.moveRow(index, index - 1)}><ArrowUp size={14} aria-hidden />Move up</DropdownMenu.Item>
            <DropdownMenu.Item className={menuItem} disabled={index === last} onSelect={() => ops.moveRow(index, index + 1)}><ArrowDown size={14} aria-hidden />Move down</DropdownMenu.Item>
            <DropdownMenu.Item className={menuItem} onSelect={() => ops.deleteRow(row.id)}><Trash2 size={14} aria-hidden />Delete the row</DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {asking && (
        <Dialog open onClose={() => setAsking(null)} title={asking === 'out' ? `Leave row ${index + 1} out` : `Note on row ${index + 1}`}>
          <form className="flex flex-col gap-3" onSubmit={(e) => {
            e.preventDefault();
            if (asking === 'out') ops.leaveOut(row.id, text.trim()); else ops.note(row.id, text.trim());
            setAsking(null);
          }}>
            <Field label={asking === 'out' ? 'Why?' : 'Note'} value={text} onChange={(e) => setText(e.target.value)} maxLength={200} hint={asking === 'out' ? 'The row stays in the table and hollow on the graph; fits and statistics pass over it.' : ''} />
            <Button kind="main" type="submit" disabled={asking === 'out' && !text.trim()}>{asking === 'out' ? 'Leave it out' : 'Keep the note'}</Button>
          </form>
        </Dialog>
      )}
    </>
  );
}
