package cauldron.core.block.bench;

import static cauldron.core.form.Kinds.ANY;
import static cauldron.core.form.Kinds.SETTING;
import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.map;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;

import cauldron.core.Tree;
import cauldron.core.apparatus.Recipe;
import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.block.Slot;
import cauldron.core.block.Written;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * An open bench, set up as the lab wants it; its trials are kept in the notebook.
 *
 * @param title what it is called where a lab has several
 * @param distinctTrials how many different trials are asked for
 */
public record BenchBlock(String id, String title, BenchPlan plan, int distinctTrials) implements Block {

    @Override
    public String lack(Written written) {
        int have = distinct(written);
        return have >= distinctTrials ? null : have + " of " + distinctTrials + " different trials run";
    }

    @Override
    public String counted(Written written) {
        int have = distinct(written);
        return have > distinctTrials ? have + " trials" : have + " of " + distinctTrials + (distinctTrials == 1 ? " trial" : " trials");
    }

    @Override
    public String type() {
        return "bench";
    }

    /**
     * A trial that was kept.
     *
     * @param removed whether the student took it away again
     */
    public record Kept(String name, String note, Double number, Map<String, Object> settings, boolean removed) {
    }

    /** Trials in a notebook that aren't deleted and differ in their settings from all others. */
    public int distinct(Written written) {
        Map<String, Object> slots = new LinkedHashMap<>();
        written.slots(id).forEach(name -> slots.put(name, written.slot(id, name)));
        return made(slots);
    }

    /** What its trials came to that aren't deleted, in the outcomes' own units. */
    public List<Map<String, Object>> outcomes(Written written) {
        List<Map<String, Object>> all = new ArrayList<>();
        for (String name : written.slots(id)) {
            Map<String, Object> kept = written.slot(id, name);
            if (name.startsWith("trial/") && !Tree.flag(kept, "removed") && kept.get("outcomes") instanceof Map<?, ?>) {
                all.add(Tree.map(kept, "outcomes"));
            }
        }
        return all;
    }

    /** The same, given what stands in its slots. */
    public static int made(Map<String, Object> slots) {
        List<Object> settings = new ArrayList<>();
        for (String name : slots.keySet()) {
            if (name.startsWith("trial/") && !Tree.flag(Tree.map(slots, name), "removed")) {
                settings.add(ran(Tree.map(slots, name)));
            }
        }
        return distinct(settings);
    }

    /** The settings under which a kept trial ran, without what was changed when it was over; those kept where it can't be read. */
    private static Map<String, Object> ran(Map<String, Object> kept) {
        try {
            return Recipe.fromTree(Tree.map(kept, "recipe")).ranUntil(Tree.number(kept, "until")).settingsInTheEnd();
        } catch (IllegalArgumentException e) {
            return Tree.map(kept, "settings");
        }
    }

    /** How many of some settings differ; neither the order of names nor 1 for 1.0 makes a difference. */
    public static int distinct(Iterable<?> settings) {
        Set<Object> different = new LinkedHashSet<>();
        settings.forEach(s -> different.add(plain(s)));
        return different.size();
    }

    private static Object plain(Object value) {
        if (value instanceof Number number) {
            return number.doubleValue() + 0.0;
        }
        if (value instanceof Map<?, ?> tree) {
            Map<Object, Object> map = new LinkedHashMap<>();
            tree.forEach((k, v) -> map.put(k, plain(v)));
            return map;
        }
        if (value instanceof List<?> list) {
            return list.stream().map(BenchBlock::plain).toList();
        }
        return value;
    }

    /** How it is declared, kept and done. */
    public static final class Kind extends BlockKind<BenchBlock> {

        private final Field<BenchBlock, String> title = field("title", text(60), BenchBlock::title).otherwise("")
                .says("What it is called where a lab has several.");
        private final Field<BenchBlock, String> apparatus = field("apparatus", text(60), (BenchBlock b) -> b.plan().apparatus());
        private final Field<BenchBlock, Map<String, Object>> setup = field("setup", map(SETTING), (BenchBlock b) -> b.plan().setup())
                .otherwise(Map.of()).says("Settings it begins with.");
        private final Field<BenchBlock, List<String>> open = field("open", list(text(60), 100), (BenchBlock b) -> b.plan().open())
                .optional().given(b -> b.plan().opened()).says("What students may change. Left alone, it is everything; with every tick taken away, nothing.");
        private final Field<BenchBlock, List<String>> acts = field("acts", list(text(60), 40), (BenchBlock b) -> b.plan().acts())
                .optional().given(b -> b.plan().offered()).says("What can be done to it; without it, all that it offers.");
        private final Field<BenchBlock, List<String>> readouts = field("readouts", list(text(60), 100),
                (BenchBlock b) -> b.plan().readouts()).otherwise(List.of()).says("Channels shown as figures.");
        private final Field<BenchBlock, List<String>> layers = field("layers", list(text(60), 100),
                (BenchBlock b) -> b.plan().layers()).otherwise(List.of()).says("What is drawn over it.");
        private final Field<BenchBlock, List<String>> histograms = field("histograms", list(text(60), 20),
                (BenchBlock b) -> b.plan().histograms()).otherwise(List.of()).says("Distributions shown.");
        private final Field<BenchBlock, List<String>> graphs = field("graphs", list(text(60), 20),
                (BenchBlock b) -> b.plan().graphs()).otherwise(List.of())
                .says("Channels drawn against time, those of one unit together.");
        private final Field<BenchBlock, List<String>> bars = field("bars", list(text(60), 20), (BenchBlock b) -> b.plan().bars())
                .otherwise(List.of()).says("Which accounts stand beside the picture as bars.");
        private final Field<BenchBlock, List<String>> profiles = field("profiles", list(text(60), 20),
                (BenchBlock b) -> b.plan().profiles()).otherwise(List.of()).says("Curves at an instant that are shown.");
        private final Field<BenchBlock, List<String>> table = field("table", list(text(60), 100), (BenchBlock b) -> b.plan().table())
                .otherwise(List.of()).says("Channels, outcomes and profiles that may be taken from the run's table; without it, none.");
        private final Field<BenchBlock, List<String>> tableAt = field("tableAt", list(text(60), 20),
                (BenchBlock b) -> b.plan().tableAt()).otherwise(List.of()).says("Events at which the run's table has its rows at first.");
        private final Field<BenchBlock, List<String>> instruments = field("instruments", list(text(60), 40),
                (BenchBlock b) -> b.plan().instruments()).otherwise(List.of()).given(b -> b.plan().tray())
                .says("What lies on the tray; without it, all that make sense.");
        private final Field<BenchBlock, Integer> distinct = field("distinctTrials", whole(0, 1000), BenchBlock::distinctTrials)
                .otherwise(0).says("How many different trials are asked for.");
        /** A trial that was kept: {@code trial/id}. */
        public final Slot<Kept> trial = slot("trial", 1, KeptForm::new);

        /** The kind. */
        public Kind() {
            super("bench", "Bench", "An open bench, set up as the lab wants it.");
        }

        @Override
        protected BenchBlock make(Filled f) {
            return new BenchBlock(f.get(id), f.get(title), new BenchPlan(f.get(apparatus), f.get(setup), f.get(open), f.get(acts), f.get(readouts),
                    f.get(layers), f.get(histograms), f.get(graphs), f.get(bars), f.get(profiles), f.get(table),
                    f.get(tableAt), f.get(instruments)), f.get(distinct));
        }

        @Override
        public void checkAmong(BenchBlock block, Neighbours all, Where at) {
            block.plan().check(at);
        }
    }

    private static final class KeptForm extends Form<Kept> {
        private final Field<Kept, String> name = field("name", text(1000), Kept::name).otherwise("");
        private final Field<Kept, String> note = field("note", text(100_000), Kept::note).otherwise("");
        private final Field<Kept, Double> number = field("number", number(), Kept::number).optional();
        private final Field<Kept, Map<String, Object>> settings = field("settings", map(ANY), Kept::settings).otherwise(Map.of());
        private final Field<Kept, Boolean> removed = field("removed", FLAG, Kept::removed).otherwise(false);

        KeptForm() {
            super("Kept", "A trial that was kept.");
        }

        @Override
        protected Kept make(Filled f) {
            return new Kept(f.get(name), f.get(note), f.get(number), f.get(settings), f.get(removed));
        }
    }
}
