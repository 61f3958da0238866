package cauldron.core.drawing;

import cauldron.core.marking.AnswerCheck.Result;
import cauldron.core.marking.AnswerCheck.Verdict;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * A drawing held against what it should show, thing by thing. What isn't asked for is free, with two exceptions: pieces
 * of a kind that is counted belong nowhere else, and where arrows are asked for, there are no others.
 */
public final class DrawingCheck {

    /** By how much arrows may differ that should be as long, and must where one should be longer. */
    private static final double ALIKE = 0.25;
    private static final double LONGER = 1.15;
    /** How long an arrow has to be before its direction says anything. */
    private static final double SHORTEST = 3;

    private final Drawing drawing;
    private final List<Wanted> wanted;

    private DrawingCheck(Drawing drawing, List<Wanted> wanted) {
        this.drawing = drawing;
        this.wanted = wanted;
    }

    /** What was found; each thing brings its share, what is too much takes one away. */
    public static Result of(Drawing drawing, List<Wanted> wanted) {
        if (drawing.drawn().isEmpty()) {
            return new Result(Verdict.NOT_A_NUMBER, "Draw something first.");
        }
        return new DrawingCheck(drawing, wanted).result();
    }

    private Result result() {
        int met = 0;
        Wanted first = null;
        for (Wanted one : wanted) {
            boolean is = isMet(one);
            met += is ? 1 : 0;
            first = is || first != null ? first : one;
        }
        String much = tooMuch();
        if (met == wanted.size() && much == null) {
            return new Result(Verdict.RIGHT, "All of it is as it should be.");
        }
        String next = first == null ? much : first.hint().isEmpty() ? missing(first) : first.hint();
        int share = Math.max(0, met - (much == null ? 0 : 1));
        return new Result(first != null && !first.hint().isEmpty() ? Verdict.KNOWN_SLIP : Verdict.VALUE, met + " of "
                + wanted.size() + " things are as they should be. " + next, (double) share / wanted.size());
    }

    private boolean isMet(Wanted w) {
        Paper paper = drawing.paper();
        if (w.caption() != null) {
            String written = plain(drawing.drawn().captions().getOrDefault(w.caption(), ""));
            return w.right().stream().anyMatch(r -> plain(r).equals(written));
        }
        if (w.count() != null) {
            return drawing.count(paper.piece(w.piece()), paper.place(w.place())) == w.count();
        }
        if (w.label() != null) {
            int which = paper.labels().indexOf(w.label()) + 1;
            List<Drawn.Label> laid = drawing.drawn().labels().stream().filter(l -> l.label() == which).toList();
            return !laid.isEmpty() && laid.stream().allMatch(l -> w.piece() != null
                    ? drawing.isAt(paper.piece(w.piece()), l.x(), l.y()) : paper.place(w.place()).has(l.x(), l.y()));
        }
        Drawn.Arrow arrow = arrow(w.arrow());
        if (arrow == null || arrow.length() < SHORTEST) {
            return false;
        }
        double off = Math.abs((arrow.towards() - w.towards() + 540) % 360 - 180);
        return off <= w.within() && (w.place() == null || paper.place(w.place()).has(arrow.x(), arrow.y()))
                && isAsLong(arrow, w);
    }

    private boolean isAsLong(Drawn.Arrow arrow, Wanted w) {
        Drawn.Arrow alike = w.asLong() == null ? null : arrow(w.asLong());
        Drawn.Arrow shorter = w.longer() == null ? null : arrow(w.longer());
        return (w.asLong() == null || alike != null && Math.abs(arrow.length() - alike.length())
                <= ALIKE * Math.max(arrow.length(), alike.length()))
                && (w.longer() == null || shorter != null && arrow.length() >= LONGER * shorter.length());
    }

    /** The only arrow of a name; null where there is none, or more than one. */
    private Drawn.Arrow arrow(String name) {
        int which = drawing.paper().arrows().indexOf(name) + 1;
        List<Drawn.Arrow> all = drawing.drawn().arrows().stream().filter(a -> a.arrow() == which).toList();
        return all.size() == 1 ? all.get(0) : null;
    }

    /** What is there and shouldn't be; null where nothing is. */
    private String tooMuch() {
        Paper paper = drawing.paper();
        for (Piece kind : paper.pieces()) {
            Set<String> places = new HashSet<>();
            wanted.stream().filter(w -> w.count() != null && w.piece().equals(kind.id())).forEach(w -> places.add(w.place()));
            boolean stray = !places.isEmpty() && drawing.drawn().pieces().stream().anyMatch(p -> {
                Spot place = p.piece().equals(kind.id()) ? paper.placeAt(p.x(), p.y()) : null;
                return p.piece().equals(kind.id()) && (place == null || !places.contains(place.id()));
            });
            if (stray) {
                return "A piece lies where none belongs: " + kind.name() + ".";
            }
        }
        boolean asked = wanted.stream().anyMatch(w -> w.arrow() != null);
        for (String name : paper.arrows()) {
            int which = paper.arrows().indexOf(name) + 1;
            if (asked && wanted.stream().noneMatch(w -> name.equals(w.arrow()))
                    && drawing.drawn().arrows().stream().anyMatch(a -> a.arrow() == which)) {
                return "One arrow is too many: “" + name + "”.";
            }
        }
        return null;
    }

    private String missing(Wanted w) {
        Paper paper = drawing.paper();
        if (w.caption() != null) {
            String name = paper.captions().stream().filter(c -> c.id().equals(w.caption())).findFirst().orElseThrow().name();
            return "Look again at “" + name + "”.";
        }
        if (w.count() != null) {
            return "Count again, " + paper.place(w.place()).name() + ": " + paper.piece(w.piece()).name() + ".";
        }
        return w.label() != null ? "Look again at the label “" + w.label() + "”."
                : "Look again at the arrow “" + w.arrow() + "”: where does it begin, which way does it point, how long is it?";
    }

    /** Without spaces, with one kind of minus, signs after numbers or before them alike: 2− is −2. */
    private static String plain(String written) {
        String bare = written.replaceAll("\\s", "").replace('−', '-').replace('–', '-').replace('⁻', '-').replace('⁺', '+')
                .toLowerCase(Locale.ROOT);
        return bare.matches("[+-]\\d+") ? bare.substring(1) + bare.charAt(0) : bare;
    }
}
