import { ArrowDown, ArrowUp, CircleSlash, Plus, StickyNote, Trash2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { memo, useState } from 'react';
import type { RowSpec } from '../core';
import { Button, Dialog, Field, menuBox, menuItem } from '../ui';
import type { TableOps } from './tableOps';

/** The number of a row, and what can be done with it; a key typed into the row is none of its business. */
export const RowMenu = memo(
  function RowMenu({
    row,
    index,
    last,
    now,
  }: {
    row: RowSpec;
    index: number;
    last: number;
    /** What can be done to the table as it is when it is done. */ now: React.RefObject<TableOps>;
  }) {
    const [asking, setAsking] = useState<'out' | 'note' | null>(null);
    const [text, setText] = useState('');
    const ask = (what: 'out' | 'note') => {
      setText((what === 'out' ? row.out : row.note) ?? '');
      setAsking(what);
    };
    return (
      <>
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger asChild>
            <button
              type="button"
              aria-label={`Row ${index + 1}: what to do with it`}
              title={
                [row.out && `left out: ${row.out}`, row.note].filter(Boolean).join('\n') || 'What to do with this row'
              }
              className={
                `mono flex h-8 w-full items-center justify-center gap-0.5 rounded-house ` +
                `text-fine hover:bg-line/60 ${row.out ? 'text-copper line-through' : 'text-soft'}`
              }
            >
              {index + 1}
              {row.note && <StickyNote size={11} aria-label="has a note" className="text-plum" />}
            </button>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content align="start" className={menuBox}>
              {row.out ? (
                <DropdownMenu.Item className={menuItem} onSelect={() => now.current.leaveOut(row.id, '')}>
                  <CircleSlash size={14} aria-hidden />
                  Take it in again
                </DropdownMenu.Item>
              ) : (
                <DropdownMenu.Item className={menuItem} onSelect={() => ask('out')}>
                  <CircleSlash size={14} aria-hidden />
                  Leave it out …
                </DropdownMenu.Item>
              )}
              <DropdownMenu.Item className={menuItem} onSelect={() => ask('note')}>
                <StickyNote size={14} aria-hidden />
                Note …
              </DropdownMenu.Item>
              <DropdownMenu.Item className={menuItem} onSelect={() => now.current.insertRow(index)}>
                <Plus size={14} aria-hidden />
                New row above
              </DropdownMenu.Item>
              <DropdownMenu.Item className={menuItem} onSelect={() => now.current.insertRow(index + 1)}>
                <Plus size={14} aria-hidden />
                New row below
              </DropdownMenu.Item>
              <DropdownMenu.Item
                className={menuItem}
                disabled={index === 0}
                onSelect={() => now.current.moveRow(index, index - 1)}
              >
                <ArrowUp size={14} aria-hidden />
                Move up
              </DropdownMenu.Item>
              <DropdownMenu.Item
                className={menuItem}
                disabled={index === last}
                onSelect={() => now.current.moveRow(index, index + 1)}
              >
                <ArrowDown size={14} aria-hidden />
                Move down
              </DropdownMenu.Item>
              <DropdownMenu.Item className={menuItem} onSelect={() => now.current.deleteRow(row.id)}>
                <Trash2 size={14} aria-hidden />
                Delete the row
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
        {asking && (
          <Dialog
            open
            onClose={() => setAsking(null)}
            title={asking === 'out' ? `Leave row ${index + 1} out` : `Note on row ${index + 1}`}
          >
            <form
              className="flex flex-col gap-3"
              onSubmit={(e) => {
                e.preventDefault();
                if (asking === 'out') now.current.leaveOut(row.id, text.trim());
                else now.current.note(row.id, text.trim());
                setAsking(null);
              }}
            >
              <Field
                label={asking === 'out' ? 'Why?' : 'Note'}
                value={text}
                onChange={(e) => setText(e.target.value)}
                maxLength={200}
                hint={
                  asking === 'out'
                    ? 'The row stays in the table and hollow on the graph; fits and statistics pass over it.'
                    : ''
                }
              />
              <Button kind="main" type="submit" disabled={asking === 'out' && !text.trim()}>
                {asking === 'out' ? 'Leave it out' : 'Keep the note'}
              </Button>
            </form>
          </Dialog>
        )}
      </>
    );
  },
  (a, b) =>
    a.row.id === b.row.id &&
    a.row.out === b.row.out &&
    a.row.note === b.row.note &&
    a.index === b.index &&
    a.last === b.last,
);
