package cauldron.browser;

import java.io.IOException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Parameter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.Collectors;
import org.teavm.jso.JSExport;

/** Writes the TypeScript declarations of the door at build time, so that they can't drift from it. */
final class DoorTypes {

    private DoorTypes() {
    }

    /** Writes the declarations to the file named by the only argument. */
    public static void main(String[] args) throws IOException {
        StringBuilder out = new StringBuilder("// Generated from cauldron.browser.Door; don't edit.\n");
        out.append("export interface RunDoor {\n");
        methods(RunDoor.class, false, out, "  ");
        out.append("}\n\nexport interface TableDoor {\n");
        methods(TableDoor.class, false, out, "  ");
        out.append("}\n");
        methods(Door.class, true, out, "export function ");
        Path file = Path.of(args[0]);
        Files.createDirectories(file.getParent());
        Files.writeString(file, out);
    }

    private static void methods(Class<?> type, boolean isStatic, StringBuilder out, String before) {
        Arrays.stream(type.getDeclaredMethods())
                .filter(m -> m.isAnnotationPresent(JSExport.class) && Modifier.isStatic(m.getModifiers()) == isStatic)
                .sorted(Comparator.comparing(Method::getName))
                .forEach(m -> out.append(before).append(m.getName()).append('(')
                        .append(Arrays.stream(m.getParameters()).map(DoorTypes::parameter)
                                .collect(Collectors.joining(", ")))
                        .append("): ").append(type(m.getReturnType())).append(";\n"));
    }

    private static String parameter(Parameter parameter) {
        return parameter.getName() + ": " + type(parameter.getType());
    }

    private static String type(Class<?> type) {
        switch (type.getSimpleName()) {
            case "double":
            case "int":
                return "number";
            case "boolean":
            case "String":
            case "void":
                return type.getSimpleName().toLowerCase();
            case "JSObject":
                return "unknown";
            default:
                return type.getSimpleName();
        }
    }
}
