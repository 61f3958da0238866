import type { KeyboardEvent } from 'react';

/** How far a page key goes, in rows. */
const PAGE = 15;

/** Where keys lead in a grid, as spreadsheets have it: `typed` are the columns that can be typed into. */
export function gridKeys(typed: number[], rows: number, focus: (row: number, column: number) => void) {
  return (e: KeyboardEvent<HTMLInputElement>, row: number, column: number) => {
    const input = e.currentTarget;
    const place = typed.indexOf(column);
    const all = input.selectionStart === 0 && input.selectionEnd === input.value.length;
    const go = (r: number, c: number | undefined) => {
      if (c !== undefined) {
        e.preventDefault();
        focus(r, c);
      }
    };
    if (e.key === 'Enter' || e.key === 'ArrowDown') go(row + 1, column);
    else if (e.key === 'ArrowUp') go(row - 1, column);
    else if (e.key === 'ArrowRight' && (all || input.selectionStart === input.value.length)) go(row, typed[place + 1]);
    else if (e.key === 'ArrowLeft' && (all || input.selectionEnd === 0)) go(row, typed[place - 1]);
    else if (e.key === 'PageDown') go(Math.min(rows - 1, row + PAGE), column);
    else if (e.key === 'PageUp') go(Math.max(0, row - PAGE), column);
    else if (e.ctrlKey && e.key === 'Home') go(0, typed[0]);
    else if (e.ctrlKey && e.key === 'End') go(rows - 1, typed.at(-1));
  };
}

/** Undoing and doing again by keys. */
export function historyKeys(history: { undo: () => void; redo: () => void }) {
  return (e: KeyboardEvent) => {
    if (!(e.ctrlKey || e.metaKey)) return;
    if (e.key === 'z' && !e.shiftKey) {
      e.preventDefault();
      history.undo();
    }
    if (e.key === 'y' || (e.key.toLowerCase() === 'z' && e.shiftKey)) {
      e.preventDefault();
      history.redo();
    }
  };
}
