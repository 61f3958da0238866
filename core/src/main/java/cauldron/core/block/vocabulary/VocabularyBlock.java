package cauldron.core.block.vocabulary;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.text;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import java.util.List;

/** Words to know. */
public record VocabularyBlock(String id, List<Term> terms) implements Block {

    /** A word and what it means. */
    public record Term(String term, String meaning) {
    }

    @Override
    public String type() {
        return "vocabulary";
    }

    /** How it is declared. */
    public static final class Kind extends BlockKind<VocabularyBlock> {

        private final Field<VocabularyBlock, List<Term>> terms = field("terms", list(new TermForm(), 60), VocabularyBlock::terms);

        /** The kind. */
        public Kind() {
            super("vocabulary", "Vocabulary", "Words to know, each with its meaning.");
        }

        @Override
        protected VocabularyBlock make(Filled f) {
            return new VocabularyBlock(f.get(id), f.get(terms));
        }
    }

    private static final class TermForm extends Form<Term> {

        private final Field<Term, String> term = field("term", text(200), Term::term);
        private final Field<Term, String> meaning = field("meaning", text(2000), Term::meaning);

        TermForm() {
            super("Term", "A word and what it means.");
        }

        @Override
        protected Term make(Filled f) {
            return new Term(f.get(term), f.get(meaning));
        }
    }
}
