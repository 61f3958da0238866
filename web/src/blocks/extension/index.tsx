import { useState } from 'react';
import { notesOf } from '../../notebook/notes';
import type { BlockKind, ViewProps } from '../kind/kind';
import { Written } from '../kind/Written';

function Extension({ block, context }: ViewProps<'extension'>) {
  const notes = notesOf(context.journal, block);
  const text = notes.read('answer')?.text ?? '';
  // Who has begun finds it open; from then on it is as they leave it, also with the last word deleted.
  const [begun] = useState(text !== '');
  return (
    <details className="rounded-house border px-3 py-2" open={begun || undefined}>
      <summary className="cursor-pointer font-bold">
        {block.title} <span className="text-fine font-normal text-soft">if you like</span>
      </summary>
      <div className="pt-2">
        <Written
          prompt={block.prompt}
          text={text}
          readOnly={context.readOnly}
          onChange={(more) => notes.write('answer', { text: more })}
        />
      </div>
    </details>
  );
}

export const extension: BlockKind<'extension'> = { type: 'extension', View: Extension };
