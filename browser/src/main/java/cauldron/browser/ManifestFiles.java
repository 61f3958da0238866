package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Layer;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.inventory.Inventory;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.ObjectMapper;

/**
 * Writes what every apparatus declares as files of its own at build time: a page fetches the manifest of the
 * apparatus it shows, and a list needs none.
 */
final class ManifestFiles {

    private static final MathContext FIGURES = new MathContext(4);

    private ManifestFiles() {
    }

    /** Writes {@code <id>.json} for each, and {@code index.json} for lists, into the folder named by the argument; portraits beside. */
    public static void main(String[] args) throws IOException {
        Path folder = Files.createDirectories(Path.of(args[0]));
        Path portraits = Files.createDirectories(folder.resolveSibling("portraits"));
        ObjectMapper json = new ObjectMapper();
        List<Object> index = new ArrayList<>();
        List<Object> manifests = new ArrayList<>();
        List<Object> looks = new ArrayList<>();
        List<Object> tray = new ArrayList<>();
        for (Apparatus apparatus : Inventory.all()) {
            Manifest m = apparatus.manifest();
            Map<String, Object> tree = tree(apparatus);
            Map<String, Object> look = portrait(apparatus);
            manifests.add(tree);
            looks.add(look);
            tray.addAll((List<?>) tree.get("instruments"));
            Files.writeString(folder.resolve(m.id() + ".json"), json.writeValueAsString(tree));
            Files.writeString(portraits.resolve(m.id() + ".json"), json.writeValueAsString(look));
            index.add(Tree.of("id", m.id(), "name", m.name(), "summary", m.summary(), "topics", m.topics(),
                    "quantities", m.quantities()));
        }
        Files.writeString(folder.resolve("index.json"), json.writeValueAsString(index));
        Files.writeString(folder.resolve("shapes.d.ts"), "// Generated from all that is declared; don't edit.\n"
                + "export type Manifest = " + TreeTypes.of(manifests) + ";\n"
                + "export type Portrait = " + TreeTypes.of(looks) + ";\n"
                + "export type Instrument = " + TreeTypes.of(tray) + ";\n");
    }

    /** How it looks in lists: its scene, its crowd and the frame, in metres, so that no model is needed to draw it. */
    private static Map<String, Object> portrait(Apparatus apparatus) {
        Run run = apparatus.portrait().run();
        double[] crowd = new double[3 * run.crowdSize()];
        int n = run.crowd(crowd);
        List<Object> curves = new ArrayList<>();
        run.manifest().curves().forEach(c -> curves.add(list(run.scene().of(c))));
        return Tree.of("layers", apparatus.portrait().layers().stream().map(Layer::id).toList(), "frame",
                list(apparatus.portrait().frame().toArray()), "scene", list(run.scene().values()), "curves", curves, "crowd",
                list(Arrays.copyOf(crowd, 3 * n)));
    }

    /** As exactly as a card can show, whether in metres or nanometres. */
    private static List<Double> list(double[] values) {
        return Arrays.stream(values).mapToObj(v -> new BigDecimal(v).round(FIGURES).doubleValue()).toList();
    }

    /** The manifest, its views with their width over their height at first, by which a page lays itself out. */
    private static Map<String, Object> tree(Apparatus apparatus) {
        Manifest m = apparatus.manifest();
        Map<String, Object> tree = new LinkedHashMap<>(m.toTree());
        tree.put("views", m.views().stream().map(v -> {
            Frame frame = apparatus.frame(v, Settings.of(m, Map.of()));
            return Tree.of("id", v.id(), "name", v.name(), "aspect", frame.width() / frame.height());
        }).toList());
        tree.put("setUps", apparatus.setUpTrees());
        return tree;
    }
}
