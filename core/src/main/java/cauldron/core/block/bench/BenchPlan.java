package cauldron.core.block.bench;

import cauldron.core.apparatus.Manifest;
import cauldron.core.form.Where;
import cauldron.core.instrument.Instrument;
import cauldron.core.inventory.Inventory;
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

    /** Notes all that its apparatus doesn't have. */
    void check(Where at) {
        Manifest manifest;
        try {
            manifest = Inventory.get(apparatus).manifest();
        } catch (IllegalArgumentException e) {
            at.fault(e.getMessage());
            return;
        }
        setup.forEach((id, value) -> at.attempt(() -> manifest.setting(id).check(value)));
        open.forEach(id -> at.attempt(() -> manifest.setting(id)));
        readouts.forEach(id -> at.attempt(() -> manifest.channel(id)));
        layers.forEach(id -> at.attempt(() -> manifest.layer(id)));
        histograms.forEach(id -> at.attempt(() -> manifest.distribution(id)));
        instruments.forEach(id -> at.attempt(() -> manifest.instrument(id)));
    }

    /** Settings that can be changed, all where the lab doesn't say. */
    List<String> opened() {
        return open.isEmpty() ? Inventory.get(apparatus).manifest().settings().stream().map(s -> s.id()).toList() : open;
    }

    /** What lies on the tray, all that makes sense where the lab doesn't say. */
    List<String> tray() {
        return !instruments.isEmpty() ? instruments
                : Inventory.get(apparatus).manifest().instruments().stream().map(Instrument::id).toList();
    }
}
