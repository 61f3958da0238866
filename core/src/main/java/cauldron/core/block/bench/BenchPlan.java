package cauldron.core.block.bench;

import cauldron.core.apparatus.Act;
import cauldron.core.apparatus.Channel;
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
 * @param open        settings that can be changed; null: all
 * @param acts        what can be done; null: all that its apparatus offers
 * @param readouts    channels shown as figures
 * @param layers      what is drawn over it
 * @param histograms  distributions shown
 * @param graphs      channels drawn against time, those of one unit together
 * @param bars        accounts shown as bars: {@code energy}, or the ids of ledgers
 * @param profiles    curves at an instant that are shown
 * @param table       channels, outcomes and profiles that may be taken from the run's table; empty: it isn't offered
 * @param tableAt     events at which that table has its rows at first; empty: as the apparatus suggests
 * @param instruments what lies on the tray; empty: all that make sense
 */
public record BenchPlan(String apparatus, Map<String, Object> setup, List<String> open, List<String> acts,
                        List<String> readouts, List<String> layers, List<String> histograms, List<String> graphs, List<String> bars,
                        List<String> profiles, List<String> table, List<String> tableAt, List<String> instruments) {

    private static final String ENERGY = "energy";

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
        opened(manifest).forEach(id -> at.attempt(() -> manifest.setting(id)));
        offered(manifest).forEach(id -> at.attempt(() -> manifest.act(id)));
        readouts.forEach(id -> at.attempt(() -> manifest.channel(id)));
        layers.forEach(id -> at.attempt(() -> manifest.checkShown(id)));
        histograms.forEach(id -> at.attempt(() -> manifest.distribution(id)));
        graphs.forEach(id -> at.attempt(() -> manifest.channel(id)));
        bars.forEach(id -> at.attempt(() -> checkBars(manifest, id)));
        profiles.forEach(id -> at.attempt(() -> manifest.profile(id)));
        table.forEach(id -> at.attempt(() -> checkTaken(manifest, id)));
        tableAt.forEach(id -> at.attempt(() -> manifest.event(id)));
        instruments.forEach(id -> at.attempt(() -> manifest.instrument(id)));
    }

    private static void checkBars(Manifest manifest, String id) {
        boolean energy = id.equals(ENERGY) && manifest.channels().stream().anyMatch(Channel::isInEnergyAccount);
        if (!energy) {
            manifest.ledger(id);
        }
    }

    private static void checkTaken(Manifest manifest, String id) {
        boolean known = manifest.outcomes().stream().anyMatch(o -> o.id().equals(id))
                || manifest.profiles().stream().anyMatch(p -> p.id().equals(id));
        if (!known) {
            manifest.channel(id);
        }
    }

    /** Settings that can be changed, all where the lab doesn't say. */
    List<String> opened() {
        return opened(Inventory.get(apparatus).manifest());
    }

    private List<String> opened(Manifest manifest) {
        return open == null ? manifest.settings().stream().map(s -> s.id()).toList() : open;
    }

    /** What can be done, all where the lab doesn't say. */
    List<String> offered() {
        return offered(Inventory.get(apparatus).manifest());
    }

    private List<String> offered(Manifest manifest) {
        return acts == null ? manifest.acts().stream().map(Act::id).toList() : acts;
    }

    /** What lies on the tray, all that makes sense where the lab doesn't say. */
    public List<String> tray() {
        return !instruments.isEmpty() ? instruments
                : Inventory.get(apparatus).manifest().instruments().stream().map(Instrument::id).toList();
    }
}
