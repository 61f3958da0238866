package cauldron.server.classwork;

import cauldron.core.Tree;
import cauldron.core.analysis.Formula;
import cauldron.core.block.Block;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.graph.GraphBlock;
import cauldron.core.block.table.Gathered;
import cauldron.core.block.table.TableBlock;
import cauldron.core.pooling.Pool;
import cauldron.core.reference.Expected;
import cauldron.core.sheet.Notebook;
import cauldron.core.sheet.Sheet;
import cauldron.server.classwork.PoolController.Offer;
import cauldron.server.marking.Marking;
import cauldron.server.trials.Trials;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;

/** What of a lab can be pooled: its tables with two columns of numbers, and what their rows can be grouped by. */
final class Poolable {

    /** A table, how its graph begins, and what there is to choose. */
    record Table(TableBlock block, String along, String up, List<Offer> axes, List<Offer> by) {
    }

    private final Sheet sheet;
    private final List<Table> tables = new ArrayList<>();

    Poolable(Sheet sheet) {
        this.sheet = sheet;
        List<Offer> choices = new ArrayList<>();
        all(FilmsBlock.class).forEach(films -> films.plan().choices().forEach(c -> choices.add(new Offer(c.id(),
                c.name()))));
        for (TableBlock block : all(TableBlock.class)) {
            List<Offer> axes = new ArrayList<>();
            List<Offer> by = new ArrayList<>(choices);
            for (Map<String, Object> column : block.columns()) {
                boolean label = Tree.text(column, "kind", "").equals("label");
                if (!label) {
                    axes.add(new Offer(Tree.text(column, "symbol"), Tree.text(column, "name")));
                } else if (by.stream().noneMatch(o -> o.id().equals(Tree.text(column, "id")))) {
                    by.add(new Offer(Tree.text(column, "id"), Tree.text(column, "name")));
                }
            }
            block.judging().expected().forEach(e -> axes.add(new Offer(e.formula(), e.name())));
            if (axes.size() > 1) {
                tables.add(table(block, axes, by));
            }
        }
    }

    private <B extends Block> List<B> all(Class<B> kind) {
        return sheet.parts().stream().flatMap(p -> p.blocks().stream()).filter(kind::isInstance).map(kind::cast)
                .toList();
    }

    private Table table(TableBlock block, List<Offer> axes, List<Offer> by) {
        GraphBlock graph = all(GraphBlock.class).stream().filter(g -> g.table().equals(block.id())).findFirst()
                .orElse(null);
        String along = graph == null ? "" : symbol(block, graph.along());
        String up = graph == null ? "" : symbol(block, graph.up());
        // What is to be worked out last is mostly what makes the graph a straight line.
        String last = block.judging().expected().isEmpty() ? up : axes.get(axes.size() - 1).id();
        List<Expected> expected = block.judging().expected();
        // Where the column along only serves to work something out, that stands along.
        boolean serves = expected.stream().anyMatch(e -> uses(block, e.formula(), along));
        String other = serves && expected.size() > 1 ? expected.get(0).formula() : along;
        return new Table(block, other.isEmpty() ? axes.get(0).id() : other, last.isEmpty() ? axes.get(1).id() : last,
                axes, by);
    }

    private static boolean uses(TableBlock block, String formula, String symbol) {
        return Formula.parse(formula, block.columns().stream().map(c -> Tree.text(c, "symbol"))
                .collect(Collectors.toSet()))
                .symbols().contains(symbol);
    }

    private static String symbol(TableBlock block, String column) {
        return block.columns().stream().filter(c -> column.equals(c.get("id"))).map(c -> Tree.text(c, "symbol"))
                .findFirst()
                .orElse("");
    }

    String title() {
        return sheet.title();
    }

    List<Table> tables() {
        return tables;
    }

    /** The table of an id, or the first; null where there is none. */
    Table table(String id) {
        return tables.stream().filter(t -> t.block().id().equals(id)).findFirst()
                .orElse(tables.isEmpty() ? null : tables.get(0));
    }

    /** All students' tables, with what each row belongs to. */
    List<Pool.Source> sources(Table table, String by, Map<UUID, Marking.Standing> stands) {
        List<Pool.Source> sources = new ArrayList<>();
        stands.forEach((work, standing) -> {
            Notebook book = standing.progress().written();
            Map<String, Object> tree = Gathered.table(table.block(), book);
            if (!Tree.maps(tree, "rows").isEmpty()) {
                sources.add(new Pool.Source(work.toString(), tree,
                        by.isEmpty() ? Map.of() : groups(table.block(), by, book, tree, standing.trials())));
            }
        });
        return sources;
    }

    /**
     * What each row belongs to: what was chosen for the recording it was read on, or the words in one of its columns.
     */
    private Map<String, String> groups(TableBlock table, String by, Notebook book, Map<String, Object> tree,
            List<Trials.TrialInfo> trials) {
        Map<String, String> chosen = new LinkedHashMap<>();
        for (Trials.TrialInfo trial : trials) {
            if (sheet.block(trial.block()) instanceof FilmsBlock films) {
                films.plan().choices().stream().filter(c -> c.id().equals(by)).flatMap(c -> c.options().stream())
                        .filter(o -> o.id().equals(trial.chosen().get(by))).map(FilmPlan.Option::name)
                        .forEach(name -> chosen.put(trial.id().toString(), name));
            }
        }
        Map<String, String> groups = new LinkedHashMap<>();
        for (Map<String, Object> row : Tree.maps(tree, "rows")) {
            String id = Tree.text(row, "id");
            String words = Tree.text(Tree.map(row, "cells"), by, "").strip();
            String found = words;
            for (Map<String, Object> column : Tree.maps(tree, "columns")) {
                Object reading = book.slot(table.id(), "cell/" + id + "/" + Tree.text(column, "id")).get("reading");
                if (reading instanceof Map<?, ?> r && chosen.containsKey(String.valueOf(r.get("trial")))) {
                    found = chosen.get(String.valueOf(r.get("trial")));
                    break;
                }
            }
            groups.put(id, found);
        }
        return groups;
    }
}
