package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.marking.AnswerKey;
import java.util.List;
import java.util.Map;

/** One thing on a sheet. */
public sealed interface Block permits Block.Text, Block.Vocabulary, Block.Prediction, Block.Films, Block.Bench,
        Block.Table, Block.Graph, Block.NumberQuestion, Block.Explanation {

    String id();

    /** Points it can bring; 0 where it isn't marked. */
    default double points() {
        return 0;
    }

    /** What a student's browser gets: everything but key and hidden values. */
    Map<String, Object> forStudent();

    /** Words to read, in Markdown. */
    record Text(String id, String markdown) implements Block {
        @Override
        public Map<String, Object> forStudent() {
            return Tree.of("type", "text", "id", id, "markdown", markdown);
        }
    }

    /** Words to know. */
    record Vocabulary(String id, List<Map<String, Object>> terms) implements Block {
        @Override
        public Map<String, Object> forStudent() {
            return Tree.of("type", "vocabulary", "id", id, "terms", terms);
        }
    }

    /**
     * What the student expects: a choice, a sketched graph or both, a reason, and a seal. It is never marked.
     *
     * @param choices none: only a sketch is asked for
     * @param sketch  the empty axes to draw on, or null
     */
    record Prediction(String id, String prompt, List<String> choices, String reasonPrompt, Sketch sketch) implements Block {
        @Override
        public Map<String, Object> forStudent() {
            Map<String, Object> tree = Tree.of("type", "prediction", "id", id, "prompt", prompt, "choices", choices,
                    "reasonPrompt", reasonPrompt);
            if (sketch != null) {
                tree.put("sketch", sketch.toTree());
            }
            return tree;
        }
    }

    /** Recordings to ask for. */
    record Films(String id, FilmPlan plan, int distinctTrials) implements Block {
        @Override
        public Map<String, Object> forStudent() {
            Map<String, Object> tree = plan.forStudent();
            tree.put("type", "films");
            tree.put("id", id);
            tree.put("distinctTrials", (double) distinctTrials);
            return tree;
        }
    }

    /** An open bench, set up as the lab wants it; its trials are kept in the notebook. */
    record Bench(String id, BenchPlan plan, int distinctTrials) implements Block {
        @Override
        public Map<String, Object> forStudent() {
            Map<String, Object> tree = plan.toTree();
            tree.put("type", "bench");
            tree.put("id", id);
            tree.put("distinctTrials", (double) distinctTrials);
            return tree;
        }
    }

    /**
     * A table for readings.
     *
     * @param columns             the columns it starts with, as {@code DataTable} takes them
     * @param rows                complete rows that are asked for
     * @param unitsAsked          whether the student is to find the units of calculated columns, gradients and areas
     * @param uncertaintiesHidden whether ± is kept away
     */
    record Table(String id, String title, List<Map<String, Object>> columns, int rows, boolean unitsAsked,
                 boolean uncertaintiesHidden) implements Block {
        @Override
        public Map<String, Object> forStudent() {
            return Tree.of("type", "table", "id", id, "title", title, "columns", columns, "rows", (double) rows,
                    "unitsAsked", unitsAsked, "uncertaintiesHidden", uncertaintiesHidden);
        }
    }

    /**
     * A graph of a table.
     *
     * @param line whether a straight line is to be fitted
     */
    record Graph(String id, String table, boolean line) implements Block {
        @Override
        public Map<String, Object> forStudent() {
            return Tree.of("type", "graph", "id", id, "table", table, "line", line);
        }
    }

    /**
     * A question answered by a number with its unit.
     *
     * @param tries   how many tries can bring points
     * @param restsOn the table whose rows must be there before it opens; empty where it rests on none
     */
    record NumberQuestion(String id, String prompt, double points, int tries, String restsOn, AnswerKey key)
            implements Block {

        /** Tries where the lab doesn't say. */
        public static final int USUAL_TRIES = 6;
        private static final int MOST_TRIES = 100;

        /** Refuses a number of tries that can't be. */
        public NumberQuestion {
            if (tries < 1 || tries > MOST_TRIES) {
                throw new IllegalArgumentException("tries: 1 to " + MOST_TRIES);
            }
        }

        @Override
        public Map<String, Object> forStudent() {
            return Tree.of("type", "number", "id", id, "prompt", prompt, "points", points, "tries", (double) tries,
                    "restsOn", restsOn);
        }
    }

    /** A written explanation with a smallest length in words, marked by the teacher. */
    record Explanation(String id, String prompt, int words, double points) implements Block {
        @Override
        public Map<String, Object> forStudent() {
            return Tree.of("type", "explanation", "id", id, "prompt", prompt, "words", (double) words, "points",
                    points);
        }
    }
}
