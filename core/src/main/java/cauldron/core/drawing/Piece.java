package cauldron.core.drawing;

import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.word;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import java.util.Map;

/**
 * A kind of thing that can be laid on the paper.
 *
 * @param sign what stands in its circle, such as + for a proton; empty: nothing
 * @param tone a colour of the house's
 * @param size radius on the paper
 */
public record Piece(String id, String name, String sign, String tone, double size) {

    private static final double USUAL = 3;

    /** From plain data that was read before. */
    static Piece of(Map<String, Object> tree) {
        return new Piece(Tree.text(tree, "id"), Tree.text(tree, "name"), "", "ink", Tree.number(tree, "size", USUAL));
    }

    /** As plain data. */
    public Map<String, Object> toTree() {
        return Tree.of("id", id, "name", name, "sign", sign, "tone", tone, "size", size);
    }

    /** How one is declared. */
    static final class Declared extends Form<Piece> {
        private final Field<Piece, String> id = field("id", text(Paper.ID), Piece::id);
        private final Field<Piece, String> name = field("name", text(Paper.NAME), Piece::name);
        private final Field<Piece, String> sign = field("sign", text(2), Piece::sign).otherwise("")
                .says("What stands in its circle.");
        private final Field<Piece, String> tone = field("tone", word("copper", "indigo", "verdigris", "plum", "ochre",
                "ink"), Piece::tone).otherwise("ink");
        private final Field<Piece, Double> size = field("size", number(1, 10), Piece::size).otherwise(USUAL)
                .says("Its radius on the paper.");

        Declared() {
            super("DrawnPiece", "A kind of thing that can be laid on the paper.");
        }

        @Override
        protected Piece make(Filled f) {
            return new Piece(f.get(id), f.get(name), f.get(sign), f.get(tone), f.get(size));
        }
    }
}
