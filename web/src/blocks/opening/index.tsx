import { notesOf } from '../../notebook/notes';
import type { BlockKind, ViewProps } from '../kind/kind';
import { Written } from '../kind/Written';

function Opening({ block, context }: ViewProps<'opening'>) {
  const notes = notesOf(context.journal, block);
  return (
    <section className="rounded-house border-l-3 border-plum bg-stage px-3 py-3">
      <Written
        prompt={block.prompt}
        text={notes.read('answer')?.text ?? ''}
        readOnly={context.readOnly}
        onChange={(text) => notes.write('answer', { text })}
      />
      <p className="pt-1 text-fine text-soft">To begin with; nobody marks this.</p>
    </section>
  );
}

export const opening: BlockKind<'opening'> = { type: 'opening', View: Opening };
