package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Outcome;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A lab to begin with: aim, opening question, prediction, measuring on the open bench, graph and explanation, for one
 * apparatus. Nothing is wrong in it, and every word of it wants to be written anew.
 */
public final class Skeleton {

    private static final double MINUTES = 45;
    private static final double ROWS = 5;
    private static final double TRIALS = 3;
    private static final double WORDS = 40;
    private static final int MOST_COLUMNS = 2;

    private Skeleton() {
    }

    /** The sheet, as it is stored. */
    public static Map<String, Object> of(Manifest m) {
        List<Object> columns = columns(m);
        List<Object> analyse = new ArrayList<>();
        analyse.add(text("graph-how", "Draw your readings and say what the graph shows."));
        if (columns.size() > MOST_COLUMNS) {
            analyse.add(Tree.of("type", "graph", "id", "graph", "table", "readings", "line", false));
        }
        String name = m.name().toLowerCase();
        return Tree.of("version", (double) Sheet.VERSION, "title", "A lab with the " + name, "summary", "What students find out, "
                + "in a sentence.", "minutes", MINUTES, "apparatus", m.id(), "parts", List.of(
                        part("aim", "aim", "Aim", text("story", "Something from everyday life that asks for this experiment.\n\n"
                                + "You have done well when you can say …"), Tree.of("type", "opening", "id", "known", "prompt",
                                        "What do you know about it already?", "words", 3.0)),
                        part("predict", "predict", "Prediction", Tree.of("type", "prediction", "id", "expect", "prompt",
                                "What will happen, and to what?", "choices", List.of("It becomes larger.", "It becomes smaller.",
                                        "It stays the same."), "reasonPrompt", "Why do you think so?")),
                        part("measure", "measure", "Measure", text("measure-how", "What to change, what to leave, what to write "
                                + "down. Do it " + (int) TRIALS + " times or more."),
                                Tree.of("type", "bench", "id", "bench", "title", "Bench", "apparatus", m.id(), "distinctTrials", TRIALS),
                                Tree.of("type", "table", "id", "readings", "title", "Readings", "rows", ROWS, "columns", columns)),
                        Tree.of("id", "analyse", "kind", "analyse", "title", "Analyse", "blocks", analyse),
                        part("explain", "explain", "Explain", Tree.of("type", "explanation", "id", "why", "prompt",
                                "Explain what you found with your own readings. Was your prediction right?", "words", WORDS,
                                "points", 4.0, "rubric", List.of(
                                        level(4, "Answers with own readings and gives the reason"),
                                        level(2, "Answers with own readings, without a reason"),
                                        level(1, "Says something true about it"))))));
    }

    /** A row's trial, and the first quantities that can be read. */
    private static List<Object> columns(Manifest m) {
        Map<String, Object> bySymbol = new LinkedHashMap<>();
        for (Channel c : m.channels()) {
            measured(bySymbol, c.id(), c.name(), c.symbol(), c.unit());
        }
        for (Outcome o : m.outcomes()) {
            if (o.words().isEmpty()) {
                measured(bySymbol, o.id(), o.name(), o.symbol(), o.unit());
            }
        }
        List<Object> columns = new ArrayList<>();
        columns.add(Tree.of("id", "trial", "name", "trial", "symbol", "trial", "unit", "", "kind", "label"));
        columns.addAll(bySymbol.values());
        return columns;
    }

    private static void measured(Map<String, Object> bySymbol, String id, String name, String symbol, String unit) {
        if (bySymbol.size() < MOST_COLUMNS) {
            bySymbol.putIfAbsent(symbol, Tree.of("id", id, "name", name, "symbol", symbol, "unit", unit, "kind", "measured"));
        }
    }

    private static Map<String, Object> part(String id, String kind, String title, Object... blocks) {
        return Tree.of("id", id, "kind", kind, "title", title, "blocks", List.of(blocks));
    }

    private static Map<String, Object> text(String id, String markdown) {
        return Tree.of("type", "text", "id", id, "markdown", markdown);
    }

    private static Map<String, Object> level(double points, String like) {
        return Tree.of("points", points, "like", like);
    }
}
