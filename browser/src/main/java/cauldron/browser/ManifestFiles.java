package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.inventory.Inventory;
import cauldron.core.apparatus.Manifest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.ObjectMapper;

/**
 * Writes what every apparatus declares as files of its own at build time: a page fetches the manifest of the
 * apparatus it shows, and a list needs none.
 */
final class ManifestFiles {

    private ManifestFiles() {
    }

    /** Writes {@code <id>.json} for each, and {@code index.json} for lists, into the folder named by the argument. */
    public static void main(String[] args) throws IOException {
        Path folder = Files.createDirectories(Path.of(args[0]));
        ObjectMapper json = new ObjectMapper();
        List<Object> index = new ArrayList<>();
        for (Apparatus apparatus : Inventory.all()) {
            Manifest m = apparatus.manifest();
            Files.writeString(folder.resolve(m.id() + ".json"), json.writeValueAsString(m.toTree()));
            index.add(Tree.of("id", m.id(), "name", m.name(), "summary", m.summary(), "topics", m.topics()));
        }
        Files.writeString(folder.resolve("index.json"), json.writeValueAsString(index));
    }
}
