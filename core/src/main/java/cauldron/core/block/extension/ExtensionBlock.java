package cauldron.core.block.extension;

import static cauldron.core.form.Kinds.text;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Slot;
import cauldron.core.block.Words;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;

/** A task for those who want to go further. It is never missing and never marked; what is written is in the report. */
public record ExtensionBlock(String id, String title, String prompt) implements Block {

    @Override
    public String type() {
        return "extension";
    }

    /** How it is declared and kept. */
    public static final class Kind extends BlockKind<ExtensionBlock> {

        private final Field<ExtensionBlock, String> title = field("title", text(60), ExtensionBlock::title)
                .otherwise("Going further");
        private final Field<ExtensionBlock, String> prompt = field("prompt", text(4000), ExtensionBlock::prompt);
        /** What was written. */
        public final Slot<Words> answer = slot("answer", 0, Words.Kept::new);

        /** The kind. */
        public Kind() {
            super("extension", "Extension", "A task for those who want to go further; nobody has to.");
        }

        @Override
        protected ExtensionBlock make(Filled f) {
            return new ExtensionBlock(f.get(id), f.get(title), f.get(prompt));
        }
    }
}
