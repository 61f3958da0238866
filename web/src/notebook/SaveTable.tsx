import { Download } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { askFile } from '../api/client';
import { save } from '../ui/save';
import type { Worked } from '../core';
import { Button, menuBox, menuItem } from '../ui';
import type { NotebookTable } from './table';
import { tableCells, tableText } from './tableText';

const BOOKS = [
  ['xlsx', 'as XLSX, for spreadsheets'],
  ['ods', 'as ODS, for spreadsheets'],
] as const;

/** Saves a table as a file: text with commas here, spreadsheets made by the server. */
export function SaveTable({ title, table, worked }: { title: string; table: NotebookTable; worked: Worked }) {
  const [trouble, setTrouble] = useState('');
  const saving = async (saved: () => Promise<void>) => {
    setTrouble('');
    try {
      await saved();
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
  };
  const book = (format: 'xlsx' | 'ods') =>
    saving(async () =>
      save(
        `${title}.${format}`,
        '',
        await askFile(`/api/spreadsheets/${format}`, { title, ...tableCells(table, worked) }),
      ),
    );
  // The mark at the beginning tells spreadsheets that it is UTF-8.
  const text = () =>
    saving(async () => save(`${title}.csv`, 'text/csv;charset=utf-8', `\ufeff${await tableText(table, worked, ',')}`));
  return (
    <>
      {trouble && (
        <span role="alert" className="text-fine text-copper">
          {trouble}
        </span>
      )}
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger asChild>
          <Button small kind="quiet" aria-label="Save the table" title="Save the table">
            <Download size={14} />
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className={menuBox} align="end">
            <DropdownMenu.Item className={menuItem} onSelect={() => void text()}>
              as CSV
            </DropdownMenu.Item>
            {BOOKS.map(([format, name]) => (
              <DropdownMenu.Item key={format} className={menuItem} onSelect={() => void book(format)}>
                {name}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </>
  );
}
