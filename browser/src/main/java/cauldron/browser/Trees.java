package cauldron.browser;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;
import org.teavm.jso.core.JSArray;
import org.teavm.jso.core.JSBoolean;
import org.teavm.jso.core.JSNumber;
import org.teavm.jso.core.JSString;
import org.teavm.jso.typedarrays.Float64Array;

/** The core's trees as JavaScript objects and back. */
final class Trees {

    private Trees() {
    }

    @JSBody(script = "return {};")
    private static native JSObject empty();

    @JSBody(params = {"object", "key", "value"}, script = "object[key] = value;")
    private static native void put(JSObject object, String key, JSObject value);

    @JSBody(params = {"object", "key"}, script = "return object[key];")
    private static native JSObject get(JSObject object, String key);

    @JSBody(params = "object", script = "return Object.keys(object);")
    private static native String[] keys(JSObject object);

    @JSBody(params = "object",
            script = "return object === null || object === undefined ? 'null' : Array.isArray(object) ? 'array' : typeof object;")
    private static native String kind(JSObject object);

    @JSBody(script = "return null;")
    private static native JSObject nothing();

    static JSObject toJs(Object value) {
        if (value instanceof String) {
            return JSString.valueOf((String) value);
        }
        if (value instanceof Number) {
            return JSNumber.valueOf(((Number) value).doubleValue());
        }
        if (value instanceof Boolean) {
            return JSBoolean.valueOf((Boolean) value);
        }
        if (value instanceof List) {
            JSArray<JSObject> array = new JSArray<>();
            for (Object item : (List<?>) value) {
                array.push(toJs(item));
            }
            return array;
        }
        if (value instanceof double[]) {
            return Float64Array.fromJavaArray((double[]) value);
        }
        if (value instanceof Map) {
            JSObject object = empty();
            for (Map.Entry<?, ?> entry : ((Map<?, ?>) value).entrySet()) {
                put(object, (String) entry.getKey(), toJs(entry.getValue()));
            }
            return object;
        }
        return nothing();
    }

    static Object fromJs(JSObject value) {
        switch (kind(value)) {
            case "string":
                return ((JSString) value).stringValue();
            case "number":
                return ((JSNumber) value).doubleValue();
            case "boolean":
                return ((JSBoolean) value).booleanValue();
            case "array":
                List<Object> list = new ArrayList<>();
                JSArray<?> array = (JSArray<?>) value;
                for (int i = 0; i < array.getLength(); i++) {
                    list.add(fromJs((JSObject) array.get(i)));
                }
                return list;
            case "object":
                return mapFromJs(value);
            default:
                return null;
        }
    }

    static Map<String, Object> mapFromJs(JSObject value) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (String key : keys(value)) {
            map.put(key, fromJs(get(value, key)));
        }
        return map;
    }

    /** Answers {@code {error}} where something was typed that can't be read. */
    static JSObject guarded(Supplier<Map<String, Object>> work) {
        try {
            return Trees.toJs(work.get());
        } catch (IllegalArgumentException e) {
            return Trees.toJs(Tree.of("error", e.getMessage()));
        }
    }

    /** TeaVM loses the class of String[] unless one is made by reflection somewhere. */
    static void mend() {
        java.lang.reflect.Array.newInstance(String.class, 0);
    }
}
