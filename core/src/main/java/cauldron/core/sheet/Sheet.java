package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.marking.AnswerKey;
import cauldron.core.quantity.Unit;
import cauldron.core.quantity.Units;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A lab: a sheet of parts in the order in which they are worked through. A part that holds a prediction
 * must be sealed before the next one opens.
 *
 * @param minutes how long it takes
 */
public record Sheet(String title, String summary, int minutes, String apparatus, List<Part> parts) {

    /** A stage of the work; {@code kind} is aim, predict, measure, analyse or explain. */
    public record Part(String id, String kind, String title, List<Block> blocks) {
    }

    private static final Set<String> KINDS = Set.of("aim", "predict", "measure", "analyse", "explain");

    /**
     * Reads and checks a sheet.
     *
     * @throws SheetException naming the place that is wrong
     */
    public static Sheet fromTree(Map<String, Object> tree) {
        List<Part> parts = new ArrayList<>();
        Set<String> ids = new LinkedHashSet<>();
        for (Map<String, Object> p : Tree.maps(tree, "parts")) {
            String partId = Tree.text(p, "id");
            String kind = Tree.text(p, "kind");
            if (!KINDS.contains(kind)) {
                throw new SheetException("part " + partId, "there is no kind of part “" + kind + "”");
            }
            List<Block> blocks = new ArrayList<>();
            for (Map<String, Object> b : Tree.maps(p, "blocks")) {
                String place = "part " + partId + ", block " + Tree.text(b, "id", "without id");
                Block block;
                try {
                    block = block(b, place);
                } catch (SheetException e) {
                    throw e;
                } catch (IllegalArgumentException e) {
                    throw new SheetException(place, e.getMessage());
                }
                if (!ids.add(block.id())) {
                    throw new SheetException(place, "another block has this id");
                }
                blocks.add(block);
            }
            parts.add(new Part(partId, kind, Tree.text(p, "title"), blocks));
        }
        if (parts.isEmpty()) {
            throw new SheetException("parts", "a lab needs at least one part");
        }
        Sheet sheet = new Sheet(Tree.text(tree, "title"), Tree.text(tree, "summary"), (int) Tree.number(tree, "minutes"),
                Tree.text(tree, "apparatus"), parts);
        sheet.checkReferences();
        return sheet;
    }

    /** Blocks that speak of others must find them. */
    private void checkReferences() {
        for (Part part : parts) {
            for (Block block : part.blocks()) {
                String place = "part " + part.id() + ", block " + block.id();
                if (block instanceof Block.Graph && !(block(((Block.Graph) block).table()) instanceof Block.Table)) {
                    throw new SheetException(place, "there is no table “" + ((Block.Graph) block).table() + "”");
                }
                if (block instanceof Block.Prediction && ((Block.Prediction) block).sketch() != null) {
                    ((Block.Prediction) block).sketch().check(this, place);
                }
                if (block instanceof Block.NumberQuestion) {
                    String table = ((Block.NumberQuestion) block).restsOn();
                    if (!table.isEmpty() && !(block(table) instanceof Block.Table)) {
                        throw new SheetException(place, "restsOn: there is no table “" + table + "”");
                    }
                    try {
                        key((Block.NumberQuestion) block, 0);
                    } catch (IllegalArgumentException e) {
                        throw new SheetException(place, e.getMessage());
                    }
                }
            }
        }
    }

    /**
     * What is right for one student.
     *
     * @param personal the student's own seed
     */
    public AnswerKey key(Block.NumberQuestion question, int personal) {
        AnswerKey key = question.key();
        AnswerKey.Own own = key.own();
        if (key.following() != null) {
            return following(key, Map.of("rows", List.of()));
        }
        if (own == null) {
            return key;
        }
        if (!(block(own.films()) instanceof Block.Films)) {
            throw new IllegalArgumentException("there are no recordings “" + own.films() + "”");
        }
        FilmPlan plan = ((Block.Films) block(own.films())).plan();
        Unit unit = Units.parse(plan.unit(own.setting()));
        if (!unit.sameKind(key.unit())) {
            throw new IllegalArgumentException("“" + own.setting() + "” is in " + unit.symbol() + ", not in "
                    + key.unit().symbol());
        }
        double value = plan.value(own.choice(), own.option(), own.setting(), personal);
        return key.with(unit.toSi(value) / key.unit().factor());
    }

    /**
     * What follows from a table; a value that isn't a number where the table doesn't give one yet.
     *
     * @param student the table's tree, or one without columns: those of the sheet
     * @throws IllegalArgumentException where it can never give such a quantity
     */
    AnswerKey following(AnswerKey key, Map<String, Object> student) {
        Block block = block(key.following().table());
        if (!(block instanceof Block.Table)) {
            throw new IllegalArgumentException("there is no table “" + key.following().table() + "”");
        }
        Map<String, Object> tree = student.containsKey("columns") ? student
                : Tree.of("columns", ((Block.Table) block).columns(), "rows", Tree.maps(student, "rows"));
        DataTable.Column found = DataTable.whole(tree, key.following().formula());
        if (found.trouble() != null) {
            throw new IllegalArgumentException(found.trouble());
        }
        if (!found.unit().sameKind(key.unit())) {
            throw new IllegalArgumentException("“" + key.following().formula() + "” gives " + found.unit().symbol() + ", not "
                    + key.unit().symbol());
        }
        for (double value : found.values()) {
            if (!Double.isNaN(value) && !Double.isInfinite(value)) {
                return key.with(found.unit().toSi(value) / key.unit().factor());
            }
        }
        return key.with(Double.NaN);
    }

    private static Block block(Map<String, Object> b, String place) {
        String id = Tree.text(b, "id");
        switch (Tree.text(b, "type")) {
            case "text":
                return new Block.Text(id, Tree.text(b, "markdown"));
            case "vocabulary":
                return new Block.Vocabulary(id, Tree.maps(b, "terms"));
            case "prediction":
                return new Block.Prediction(id, Tree.text(b, "prompt"),
                        b.containsKey("choices") ? Tree.texts(b, "choices") : List.of(),
                        Tree.text(b, "reasonPrompt", "Why do you think so?"),
                        b.containsKey("sketch") ? Sketch.fromTree(Tree.map(b, "sketch"), place) : null);
            case "films":
                return new Block.Films(id, FilmPlan.fromTree(b, place), (int) Tree.number(b, "distinctTrials", 0));
            case "bench":
                return new Block.Bench(id, BenchPlan.fromTree(b, place), (int) Tree.number(b, "distinctTrials", 0));
            case "table":
                return new Block.Table(id, Tree.text(b, "title"), Tree.maps(b, "columns"),
                        (int) Tree.number(b, "rows"), chosen(b, "units", "given", "asked"),
                        chosen(b, "uncertainties", "shown", "hidden"));
            case "graph":
                return new Block.Graph(id, Tree.text(b, "table"), !b.containsKey("line") || Tree.flag(b, "line"));
            case "number":
                AnswerKey key = AnswerKey.fromTree(Tree.map(b, "key"));
                return new Block.NumberQuestion(id, Tree.text(b, "prompt"), Tree.number(b, "points"),
                        (int) Tree.number(b, "tries", Block.NumberQuestion.USUAL_TRIES),
                        Tree.text(b, "restsOn", key.following() == null ? "" : key.following().table()), key);
            case "explanation":
                return new Block.Explanation(id, Tree.text(b, "prompt"), (int) Tree.number(b, "words"),
                        Tree.number(b, "points"));
            default:
                throw new SheetException(place, "there is no block “" + Tree.text(b, "type") + "”");
        }
    }

    /** Whether of two words the second stands there; without either it is the first. */
    private static boolean chosen(Map<String, Object> b, String field, String usual, String other) {
        String word = Tree.text(b, field, usual);
        if (!word.equals(usual) && !word.equals(other)) {
            throw new IllegalArgumentException(field + ": “" + usual + "” or “" + other + "”, not “" + word + "”");
        }
        return word.equals(other);
    }

    /** The block of that id, or null. */
    public Block block(String id) {
        for (Part part : parts) {
            for (Block block : part.blocks()) {
                if (block.id().equals(id)) {
                    return block;
                }
            }
        }
        return null;
    }

    /** All points of the lab. */
    public double points() {
        double sum = 0;
        for (Part part : parts) {
            for (Block block : part.blocks()) {
                sum += block.points();
            }
        }
        return sum;
    }

    /** What a student's browser gets, without key and hidden values. */
    public Map<String, Object> forStudent() {
        List<Object> list = new ArrayList<>();
        for (Part part : parts) {
            List<Object> blocks = new ArrayList<>();
            part.blocks().forEach(b -> blocks.add(b.forStudent()));
            list.add(Tree.of("id", part.id(), "kind", part.kind(), "title", part.title(), "blocks", blocks));
        }
        return Tree.of("title", title, "summary", summary, "minutes", (double) minutes, "apparatus", apparatus,
                "points", points(), "parts", list);
    }
}
