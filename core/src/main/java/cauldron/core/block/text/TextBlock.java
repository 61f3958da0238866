package cauldron.core.block.text;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Kinds;

/** Words to read, in Markdown. */
public record TextBlock(String id, String markdown) implements Block {

    @Override
    public String type() {
        return "text";
    }

    /** How it is declared. */
    public static final class Kind extends BlockKind<TextBlock> {

        private final Field<TextBlock, String> words = field("markdown", Kinds.markdown(20_000), TextBlock::markdown);

        /** The kind. */
        public Kind() {
            super("text", "Text", "Words to read.");
        }

        @Override
        protected TextBlock make(Filled f) {
            return new TextBlock(f.get(id), f.get(words));
        }
    }
}
