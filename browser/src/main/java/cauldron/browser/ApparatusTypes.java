package cauldron.browser;

import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Declared;
import cauldron.core.apparatus.Items;
import cauldron.core.apparatus.Manifest;
import cauldron.core.apparatus.SceneField;
import cauldron.core.apparatus.Setting;
import cauldron.core.inventory.Inventory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Writes every name that an apparatus declares as a TypeScript type at build time, so that a scene which reads a field
 * there isn't, or a drawing of a layer nobody offers, doesn't compile.
 */
final class ApparatusTypes {

    private ApparatusTypes() {
    }

    /** Writes the types of all apparatus into a file of the folder named by the argument. */
    public static void main(String[] args) throws IOException {
        StringBuilder out = new StringBuilder("// Generated from the inventory; don't edit.\n");
        out.append("export interface ApparatusTypes {\n");
        for (Apparatus apparatus : Inventory.all()) {
            Manifest m = apparatus.manifest();
            out.append("  '").append(m.id()).append("': {\n    settings: {\n");
            m.settings().forEach(s -> out.append("      '").append(s.id()).append("': ").append(type(s)).append(";\n"));
            out.append("    };\n");
            names(out, "channels", m.channels());
            names(out, "events", m.events());
            names(out, "views", m.views());
            names(out, "layers", m.layers());
            names(out, "acts", m.acts());
            names(out, "handles", m.handles());
            names(out, "distributions", m.distributions());
            names(out, "curves", m.curves());
            names(out, "fields", m.scene());
            names(out, "filmed", m.scene().stream().filter(SceneField::isFilmed).toList());
            out.append("  };\n");
        }
        out.append("}\nexport type ApparatusId = keyof ApparatusTypes;\n");
        Files.writeString(Files.createDirectories(Path.of(args[0])).resolve("types.d.ts"), out);
    }

    private static void names(StringBuilder out, String what, List<? extends Declared> list) {
        String union = list.stream().map(d -> "'" + d.id() + "'").collect(Collectors.joining(" | "));
        out.append("    ").append(what).append(": ").append(union.isEmpty() ? "never" : union).append(";\n");
    }

    private static String type(Setting setting) {
        if (setting instanceof Amount) {
            return "number";
        }
        if (setting instanceof Items items) {
            return "{ " + items.fields().stream().map(f -> "'" + f.id() + "': " + type(f) + "; ").collect(Collectors.joining())
                    + "}[]";
        }
        return setting instanceof Choice<?> choice
                ? choice.options().stream().map(o -> "'" + o.id() + "'").collect(Collectors.joining(" | ")) : "boolean";
    }
}
