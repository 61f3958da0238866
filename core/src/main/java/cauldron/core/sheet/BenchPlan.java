package cauldron.core.sheet;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Settings;
import cauldron.core.instrument.Instrument;
import java.util.List;
import java.util.Map;

/**
 * How a lab sets up an open bench.
 *
 * @param setup       settings it begins with
 * @param open        settings that can be changed; empty: all
 * @param readouts    channels shown as figures
 * @param layers      what is drawn over it
 * @param histograms  distributions shown
 * @param instruments what lies on the tray; empty: all that make sense
 */
public record BenchPlan(String apparatus, Map<String, Object> setup, List<String> open, List<String> readouts,
                        List<String> layers, List<String> histograms, List<String> instruments) {

    /**
     * Reads and checks it.
     *
     * @throws SheetException naming the place that is wrong
     */
    static BenchPlan fromTree(Map<String, Object> tree, String place) {
        BenchPlan plan = new BenchPlan(Tree.text(tree, "apparatus"), Tree.map(tree, "setup"), Tree.texts(tree, "open"),
                Tree.texts(tree, "readouts"), Tree.texts(tree, "layers"), Tree.texts(tree, "histograms"),
                Tree.texts(tree, "instruments"));
        try {
            Manifest manifest = Inventory.get(plan.apparatus).manifest();
            Settings.of(manifest, plan.setup);
            plan.open.forEach(manifest::setting);
            plan.readouts.forEach(manifest::channel);
            plan.instruments.forEach(Instrument::get);
            plan.layers.forEach(manifest::layer);
            plan.histograms.forEach(manifest::distribution);
        } catch (IllegalArgumentException e) {
            throw new SheetException(place, e.getMessage());
        }
        return plan;
    }

    Map<String, Object> toTree() {
        Manifest manifest = Inventory.get(apparatus).manifest();
        return Tree.of("apparatus", apparatus, "setup", setup, "open",
                open.isEmpty() ? manifest.settings().stream().map(s -> s.id()).toList() : open, "readouts", readouts,
                "layers", layers, "histograms", histograms, "instruments",
                instruments.isEmpty() ? manifest.instruments() : instruments);
    }
}
