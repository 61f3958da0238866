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

/** Writes the TypeScript declarations of the doors at build time, so that they can't drift from them. */
final class DoorTypes {

    private DoorTypes() {
    }

    /** Writes the declarations into the folder named by the only argument. */
    public static void main(String[] args) throws IOException {
        Path folder = Files.createDirectories(Path.of(args[0]));
        write(folder.resolve("notebook.d.ts"), NotebookDoor.class, TableDoor.class, SheetDoor.class);
        write(folder.resolve("bench.d.ts"), BenchDoor.class, RunDoor.class, FollowerDoor.class);
    }

    private static void write(Path file, Class<?> door, Class<?>... objects) throws IOException {
        StringBuilder out = new StringBuilder("// Generated from " + door.getName() + "; don't edit.\n");
        for (Class<?> object : objects) {
            out.append("export interface ").append(object.getSimpleName()).append(" {\n");
            methods(object, false, out, "  ");
            out.append("}\n");
        }
        methods(door, true, out, "export function ");
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
        // A door handed to another may be missing; everything else is always given.
        boolean door = parameter.getType().getSimpleName().endsWith("Door");
        return parameter.getName() + ": " + type(parameter.getType()) + (door ? " | null" : "");
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
