package cauldron.core.drawing;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import cauldron.core.quantity.Numbers;
import java.util.List;
import java.util.stream.Stream;

/**
 * One thing that a drawing should show: so many pieces in a place; a label at a place or a piece; an arrow that begins
 * at a place, points somewhere, and is as long as or longer than another; or words below.
 *
 * @param piece   a piece's id; with a label, what it points to; else null
 * @param place   a place's id; null where none is asked for
 * @param count   how many pieces
 * @param label   a label's words, or null
 * @param arrow   an arrow's name, or null
 * @param towards where the arrow points, in degrees counter-clockwise from the right
 * @param within  by how many degrees it may be off
 * @param asLong  the arrow that it is as long as, or null
 * @param longer  the arrow that it is longer than, or null
 * @param caption a caption's id, or null
 * @param right   what may be written there
 * @param hint    what to say where it is missing; empty: something of its own
 */
public record Wanted(String piece, String place, Integer count, String label, String arrow, Double towards, double within,
        String asLong, String longer, String caption, List<String> right, String hint) {

    private static final double WITHIN = 15;
    private static final int MOST = 200;

    /** Notes what the paper doesn't have. */
    public void check(Paper paper, Where at) {
        if (place != null && paper.place(place) == null) {
            at.fault("there is no place “" + place + "” on the paper");
        }
        if (piece != null && paper.piece(piece) == null) {
            at.fault("there is no piece “" + piece + "”");
        }
        if (label != null && !paper.labels().contains(label)) {
            at.fault("there is no label “" + label + "”");
        }
        for (String name : new String[] {arrow, asLong, longer}) {
            if (name != null && !paper.arrows().contains(name)) {
                at.fault("there is no arrow “" + name + "”");
            }
        }
        if (caption != null && paper.captions().stream().noneMatch(c -> c.id().equals(caption))) {
            at.fault("there is no caption “" + caption + "”");
        }
    }

    /** In words for a teacher, by the names that things have on the paper. */
    public String words(Paper paper) {
        String there = place == null ? "" : "“" + paper.place(place).name() + "”";
        if (caption != null) {
            String name = paper.captions().stream().filter(c -> c.id().equals(caption)).findFirst().orElseThrow()
                    .name();
            return "“" + name + "” is " + String.join(" or ", right);
        }
        if (arrow != null) {
            return "arrow “" + arrow + "”" + (there.isEmpty() ? "" : " from " + there)
                    + (towards == null ? "" : " towards " + Numbers.printShort(towards) + "° (within "
                    + Numbers.printShort(within) + "°)")
                    + (asLong == null ? "" : ", as long as “" + asLong + "”")
                    + (longer == null ? "" : ", longer than “" + longer + "”");
        }
        String what = piece == null ? "" : paper.piece(piece).name();
        if (label != null) {
            return "“" + label + "” points at " + (what.isEmpty() ? there : what);
        }
        return (count == null ? "" : count + " × ") + what + (there.isEmpty() ? "" : " at " + there);
    }

    /** How one is declared. */
    public static final class Declared extends Form<Wanted> {
        private final Field<Wanted, String> piece = field("piece", text(Paper.ID), Wanted::piece).optional();
        private final Field<Wanted, String> place = field("place", text(Paper.ID), Wanted::place).optional();
        private final Field<Wanted, Integer> count = field("count", whole(0, MOST), Wanted::count).optional();
        private final Field<Wanted, String> label = field("label", text(Paper.NAME), Wanted::label).optional();
        private final Field<Wanted, String> arrow = field("arrow", text(Paper.NAME), Wanted::arrow).optional();
        private final Field<Wanted, Double> towards = field("towards", number(0, 360), Wanted::towards).optional()
                .says("Where the arrow points, in degrees counter-clockwise from the right.");
        private final Field<Wanted, Double> within = field("within", number(1, 90), Wanted::within).otherwise(WITHIN)
                .says("By how many degrees it may be off.");
        private final Field<Wanted, String> asLong = field("asLong", text(Paper.NAME), Wanted::asLong).optional()
                .says("The arrow that it is as long as.");
        private final Field<Wanted, String> longer = field("longer", text(Paper.NAME), Wanted::longer).optional()
                .says("The arrow that it is longer than.");
        private final Field<Wanted, String> caption = field("caption", text(Paper.ID), Wanted::caption).optional();
        private final Field<Wanted, List<String>> right = field("right", list(text(Paper.NAME), 20), Wanted::right)
                .otherwise(List.of()).says("What may be written there.");
        private final Field<Wanted, String> hint = field("hint", text(1000), Wanted::hint).otherwise("")
                .says("What to say where it is missing.");

        /** The form. */
        public Declared() {
            super("WantedInDrawing", "One thing that a drawing should show.");
        }

        @Override
        protected Wanted make(Filled f) {
            return new Wanted(f.get(piece), f.get(place), f.get(count), f.get(label), f.get(arrow), f.get(towards),
                    f.get(within), f.get(asLong), f.get(longer), f.get(caption), f.get(right), f.get(hint));
        }

        @Override
        protected void check(Wanted w, Where at) {
            long kinds = Stream.of(w.label(), w.arrow(), w.caption(), w.count()).filter(o -> o != null).count();
            if (kinds != 1) {
                at.fault("one of count, label, arrow and caption is needed");
            } else if (w.count() != null && (w.piece() == null || w.place() == null)) {
                at.fault("count: of which piece, in which place?");
            } else if (w.label() != null && (w.piece() == null) == (w.place() == null)) {
                at.fault("label: it points to a piece or to a place");
            } else if (w.arrow() != null && w.towards() == null) {
                at.fault("arrow: towards is needed");
            } else if (w.caption() != null && w.right().isEmpty()) {
                at.fault("caption: what may be written there?");
            }
        }
    }
}
