package cauldron.browser;

import cauldron.core.Tree;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Slot;
import cauldron.core.form.Form;
import cauldron.core.form.Schemas;
import cauldron.core.sheet.Blocks;
import cauldron.core.sheet.Sheet;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.ObjectMapper;

/**
 * Writes what a student's browser gets of a sheet, and what each block keeps in the notebook, as TypeScript at build
 * time: from the same declarations by which the core reads both. Markdown is set by the server, so a field
 * {@code markdown} arrives as {@code html}. What may be written into a lab goes beside it, as JSON Schema.
 */
final class SheetTypes {

    private SheetTypes() {
    }

    /** Writes the types into a file of the folder named by the argument. */
    public static void main(String[] args) throws IOException {
        Schemas shown = Schemas.ofShown();
        Sheet.form().schema(shown);
        StringBuilder out = new StringBuilder("// Generated from the kinds of block; don't edit.\n");
        shown.definitions().forEach((name, schema) -> declare(out, name, schema));
        List<BlockKind<?>> kinds = Blocks.ALL.all().values().stream().<BlockKind<?>>map(f -> (BlockKind<?>) f).toList();
        out.append("export type Block = ").append(kinds.stream().map(Form::name).collect(Collectors.joining(" | "))).append(";\n");
        Schemas stored = Schemas.ofStored();
        StringBuilder slots = new StringBuilder("/** What each kind of block keeps in a notebook, by slot. */\nexport interface Slots {\n");
        for (BlockKind<?> kind : kinds) {
            slots.append("  ").append(kind.type()).append(": {\n");
            for (Slot<?> slot : kind.slots()) {
                slots.append("    [slot: `").append(slot.name()).append("/${string}".repeat(slot.parts())).append("`]: ")
                        .append(type(slot.holds().schema(stored)))
                        .append(slot.version() == 1 ? "" : " & { " + Slot.VERSION + ": " + slot.version() + " }").append(";\n");
            }
            slots.append("  };\n");
        }
        stored.definitions().keySet().removeAll(shown.definitions().keySet());
        stored.definitions().forEach((name, schema) -> declare(out, name, schema));
        out.append(slots.toString().replaceAll("\\[slot: `(\\w+)`]", "$1")).append("}\n");
        Path folder = Files.createDirectories(Path.of(args[0]));
        Files.writeString(folder.resolve("sheet.d.ts"), out);
        Files.writeString(folder.resolve("lab-form.json"), new ObjectMapper().writeValueAsString(Schemas.document(Sheet.form())));
    }

    @SuppressWarnings("unchecked")
    private static void declare(StringBuilder out, String name, Object schema) {
        Map<String, Object> tree = (Map<String, Object>) schema;
        out.append("/** ").append(tree.get("description")).append(" */\n");
        out.append("export interface ").append(name).append(" {\n");
        List<String> required = Tree.texts(tree, "required");
        Tree.map(tree, "properties").forEach((field, value) -> {
            Map<String, Object> property = (Map<String, Object>) value;
            if (property.containsKey("description")) {
                out.append("  /** ").append(property.get("description")).append(" */\n");
            }
            String told = "text/markdown".equals(property.get("contentMediaType")) ? "html" : field;
            out.append("  ").append(told).append(required.contains(field) ? ": " : "?: ").append(type(property)).append(";\n");
        });
        out.append("}\n");
    }

    @SuppressWarnings("unchecked")
    private static String type(Map<String, Object> schema) {
        if (schema.get("$ref") instanceof String ref) {
            return ref.substring(ref.lastIndexOf('/') + 1);
        }
        if (schema.get("oneOf") instanceof List<?> each) {
            return each.stream().map(s -> type((Map<String, Object>) s)).collect(Collectors.joining(" | "));
        }
        if (schema.get("enum") instanceof List<?> words) {
            return words.stream().map(w -> "'" + w + "'").collect(Collectors.joining(" | "));
        }
        if (schema.get("const") instanceof String word) {
            return "'" + word + "'";
        }
        if (schema.get("type") instanceof List<?> each) {
            return each.stream().map(String::valueOf).collect(Collectors.joining(" | "));
        }
        switch (String.valueOf(schema.get("type"))) {
            case "integer":
            case "number":
                return "number";
            case "string":
            case "boolean":
                return String.valueOf(schema.get("type"));
            case "array":
                String of = type(Tree.map(schema, "items"));
                return (of.contains("|") ? "(" + of + ")" : of) + "[]";
            case "object":
                return "Record<string, " + type(Tree.map(schema, "additionalProperties")) + ">";
            default:
                return "unknown";
        }
    }
}
