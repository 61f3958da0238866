package cauldron.server.labs;

import cauldron.core.apparatus.Manifest;
import cauldron.core.block.Block;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.inventory.Inventory;
import cauldron.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Which version of each apparatus's model a lab works with. */
final class Models {

    private Models() {
    }

    /** The models of a sheet's apparatus as they are now. */
    static Map<String, Integer> of(Sheet sheet) {
        Map<String, Integer> models = new TreeMap<>();
        for (Sheet.Part part : sheet.parts()) {
            for (Block block : part.blocks()) {
                String apparatus = block instanceof FilmsBlock films ? films.plan().apparatus()
                        : block instanceof BenchBlock bench ? bench.plan().apparatus() : null;
                if (apparatus != null) {
                    models.put(apparatus, Inventory.get(apparatus).manifest().modelVersion());
                }
            }
        }
        return models;
    }

    /** What has changed since a lab was made ready, in words; empty where nothing has, or nothing is known. */
    static List<String> changed(Map<String, Integer> before, Sheet sheet) {
        List<String> words = new ArrayList<>();
        of(sheet).forEach((apparatus, now) -> {
            Integer was = before.get(apparatus);
            if (was != null && !was.equals(now)) {
                Manifest m = Inventory.get(apparatus).manifest();
                words.add("The " + m.name().toLowerCase() + " has a newer model: it was version " + was
                        + " when this lab was made ready, and is version " + now + " now. Runs can come out otherwise;"
                        + " what was recorded with the earlier model can't be played any more.");
            }
        });
        return words;
    }
}
