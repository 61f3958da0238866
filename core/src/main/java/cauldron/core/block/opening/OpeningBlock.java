package cauldron.core.block.opening;

import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Slot;
import cauldron.core.block.Words;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;

/**
 * A question to begin with, answered in words and never marked: what is known already.
 *
 * @param words the fewest that are asked for
 */
public record OpeningBlock(String id, String prompt, int words) implements Block {

    @Override
    public String type() {
        return "opening";
    }

    @Override
    public String answer(Written written) {
        return Words.of(written.slot(id, "answer"));
    }

    @Override
    public String lack(Written written) {
        int have = Words.in(written.slot(id, "answer"));
        return have >= words ? null : "answer the opening question";
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<OpeningBlock> {

        private final Field<OpeningBlock, String> prompt = field("prompt", text(4000), OpeningBlock::prompt);
        private final Field<OpeningBlock, Integer> words = field("words", whole(0, 200), OpeningBlock::words)
                .otherwise(3)
                .says("The fewest words that are asked for.");
        /** What was answered. */
        public final Slot<Words> answer = slot("answer", 0, Words.Kept::new);

        /** The kind. */
        public Kind() {
            super("opening", "OpeningQuestion", "A question to begin with: what students know already. Never marked.");
        }

        @Override
        protected OpeningBlock make(Filled f) {
            return new OpeningBlock(f.get(id), f.get(prompt), f.get(words));
        }
    }
}
