package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Recipe;
import cauldron.core.block.Block;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.graph.GraphBlock;
import cauldron.core.block.table.Gathered;
import cauldron.core.block.table.TableBlock;
import cauldron.core.form.Where;
import cauldron.core.inventory.Inventory;
import cauldron.core.reference.FitCheck;
import cauldron.core.reference.Judgement;
import cauldron.core.reference.Judging;
import cauldron.core.reference.Trial;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;

/** Tables of a student's notebook held against the trials on the same sheet. */
public final class TableJudgements {

    private TableJudgements() {
    }

    /**
     * A recording that was made.
     *
     * @param block  of the recordings
     * @param chosen option id for each choice id
     */
    public record Filmed(String block, Map<String, Object> chosen, Recipe recipe) {
    }

    /**
     * Judges a table.
     *
     * @param filmed the student's recordings, by their ids; trials on open benches are in the notebook
     * @param goesOn whether there is still time; once there isn't, what is left isn't held against anything
     */
    public static Judgement of(Sheet sheet, TableBlock table, Notebook notebook, Map<String, Filmed> filmed,
            BooleanSupplier goesOn) {
        Map<String, Object> tree = Gathered.table(table, notebook);
        Map<String, Map<String, Object>> kept = new LinkedHashMap<>();
        for (String slot : notebook.slots(table.id())) {
            if (slot.startsWith("cell/")) {
                kept.put(slot.substring("cell/".length()), notebook.slot(table.id(), slot));
            }
        }
        Map<String, Trial> trials = new LinkedHashMap<>();
        List<FitCheck.Asked> fits = new ArrayList<>();
        filmed.forEach((id, one) -> {
            if (sheet.block(one.block()) instanceof FilmsBlock films) {
                trials.put(id, ofFilm(films.plan(), one));
            }
        });
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                if (block instanceof BenchBlock bench) {
                    onBench(bench, notebook, trials);
                } else if (block instanceof GraphBlock graph && graph.table().equals(table.id())) {
                    graph.fits(notebook, DataTable.of(tree)).forEach(fit -> fits.add(new FitCheck.Asked(graph.id(), fit)));
                }
            }
        }
        return Judgement.of(table.judging(), table.columns(), table.rows(), tree, kept, trials, fits, goesOn);
    }

    private static Trial ofFilm(FilmPlan plan, Filmed one) {
        Map<String, Trial.Chosen> chosen = new LinkedHashMap<>();
        for (FilmPlan.Choice choice : plan.choices()) {
            choice.options().stream().filter(o -> o.id().equals(one.chosen().get(choice.id()))).forEach(o -> chosen.put(
                    choice.id(), new Trial.Chosen(choice.name(), o.name(),
                            choice.options().stream().map(FilmPlan.Option::name).toList())));
        }
        return new Trial(one.recipe(), plan.seconds(), plan.rate(), plan.views().get(0), plan.tray(), chosen);
    }

    /** Trials that a student kept on an open bench; one whose recipe can't be read is none. */
    private static void onBench(BenchBlock bench, Notebook notebook, Map<String, Trial> trials) {
        Manifest manifest = Inventory.get(bench.plan().apparatus()).manifest();
        for (String slot : notebook.slots(bench.id())) {
            Map<String, Object> kept = notebook.slot(bench.id(), slot);
            if (!slot.startsWith("trial/") || !(kept.get("recipe") instanceof Map<?, ?>)) {
                continue;
            }
            try {
                Recipe recipe = Recipe.fromTree(Tree.map(kept, "recipe"));
                if (recipe.apparatus().equals(manifest.id())) {
                    double until = Tree.number(kept, "until");
                    trials.put(slot.substring("trial/".length()), new Trial(recipe.ranUntil(until), until,
                            1 / manifest.interval(), manifest.views().get(0).id(), bench.plan().tray(), Map.of()));
                }
            } catch (IllegalArgumentException e) {
                // What can't be read is no trial; its readings aren't held against anything.
            }
        }
    }

    /** Notes what a table is held against that nothing on the sheet shows. */
    static void check(Sheet sheet, TableBlock table, Where at) {
        Judging judging = table.judging();
        List<FilmPlan> plans = new ArrayList<>();
        List<Manifest> manifests = new ArrayList<>();
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                String apparatus = block instanceof FilmsBlock films ? films.plan().apparatus()
                        : block instanceof BenchBlock bench ? bench.plan().apparatus() : null;
                if (block instanceof FilmsBlock films) {
                    plans.add(films.plan());
                }
                if (apparatus != null && Inventory.all().stream().anyMatch(a -> a.manifest().id().equals(apparatus))) {
                    manifests.add(Inventory.get(apparatus).manifest());
                }
            }
        }
        judging.check(table.columns(), manifests, plans.stream().flatMap(p -> p.choices().stream())
                .map(FilmPlan.Choice::id)
                .toList(), at.in("judging"));
    }
}
