import { ArrowLeft, ArrowRight, ListOrdered, Pencil, Sigma, Trash2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ColumnSpec } from '../core';
import { menuBox, menuItem } from '../ui';

/** What can be done with a column, behind its name. */
export function ColumnMenu({
  column,
  index,
  last,
  children,
  onChange,
  onMove,
  onRemove,
  onFill,
  onStatistics,
}: {
  column: ColumnSpec;
  index: number;
  last: number;
  children: React.ReactNode;
  onChange: () => void;
  onMove: (to: number) => void;
  onRemove: () => void;
  onFill: () => void;
  onStatistics: () => void;
}) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <button
          type="button"
          aria-label={`Column ${column.name}: what to do with it`}
          title={column.description || 'What to do with this column'}
          className="-mx-1 rounded-house px-1 text-left leading-tight font-semibold hover:bg-line/60"
        >
          {children}
        </button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" className={menuBox}>
          <DropdownMenu.Item className={menuItem} onSelect={onChange}>
            <Pencil size={14} aria-hidden />
            Change …
          </DropdownMenu.Item>
          {column.kind === 'measured' && (
            <DropdownMenu.Item className={menuItem} onSelect={onFill}>
              <ListOrdered size={14} aria-hidden />
              Fill with a series …
            </DropdownMenu.Item>
          )}
          {column.kind !== 'label' && (
            <DropdownMenu.Item className={menuItem} onSelect={onStatistics}>
              <Sigma size={14} aria-hidden />
              Statistics
            </DropdownMenu.Item>
          )}
          <DropdownMenu.Item className={menuItem} disabled={index === 0} onSelect={() => onMove(index - 1)}>
            <ArrowLeft size={14} aria-hidden />
            Move left
          </DropdownMenu.Item>
          <DropdownMenu.Item className={menuItem} disabled={index === last} onSelect={() => onMove(index + 1)}>
            <ArrowRight size={14} aria-hidden />
            Move right
          </DropdownMenu.Item>
          <DropdownMenu.Item className={menuItem} onSelect={onRemove}>
            <Trash2 size={14} aria-hidden />
            Remove
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
