package cauldron.core.form;

import cauldron.core.Tree;
import cauldron.core.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The kinds of value that forms are made of. */
public final class Kinds {

    /** Yes or no. */
    public static final Kind<Boolean> FLAG = new Simple<>(Tree.of("type", "boolean")) {
        @Override
        public Boolean read(Object value, Where at) {
            return value instanceof Boolean flag ? flag : wrong(at, "yes or no is needed");
        }
    };

    /** Whatever a tree can hold, as long as it can be kept. */
    public static final Kind<Object> ANY = new Simple<>(Tree.of()) {
        @Override
        public Object read(Object value, Where at) {
            String odd = Oddities.of(value);
            return odd == null ? value : wrong(at, odd);
        }
    };

    /** A number, a text or yes or no: what can be set. */
    public static final Kind<Object> VALUE = new Simple<>(Tree.of("type", List.of("number", "string", "boolean"))) {
        @Override
        public Object read(Object value, Where at) {
            boolean one = value instanceof Number || value instanceof String || value instanceof Boolean;
            return one ? ANY.read(value, at) : wrong(at, "a number, a text or yes or no is needed");
        }
    };

    /** What a setting may be: one value, or a list of things with values of their fields. */
    public static final Kind<Object> SETTING = new Simple<>(Tree.of("oneOf", List.of(
            Tree.of("type", List.of("number", "string", "boolean")), Tree.of("type", "array", "items",
                    Tree.of("type", "object", "additionalProperties", Tree.of("type", List.of("number", "string", "boolean"))))))) {
        @Override
        public Object read(Object value, Where at) {
            if (!(value instanceof List<?> things)) {
                return VALUE.read(value, at);
            }
            int before = at.count();
            List<Object> read = new ArrayList<>();
            for (int i = 0; i < things.size(); i++) {
                read.add(map(VALUE).read(things.get(i), at.in(String.valueOf(i + 1))));
            }
            return at.count() == before ? read : null;
        }
    };

    /** A number, or a list of numbers. */
    public static final Kind<Object> NUMBERS = new Simple<>(Tree.of("oneOf", List.of(Tree.of("type", "number"),
            Tree.of("type", "array", "items", Tree.of("type", "number"))))) {
        @Override
        public Object read(Object value, Where at) {
            boolean numbers = value instanceof Number
                    || value instanceof List<?> list && list.stream().allMatch(Number.class::isInstance);
            return numbers ? ANY.read(value, at) : wrong(at, "a number or a list of numbers is needed");
        }
    };

    private Kinds() {
    }

    /** Text of at most so many characters, without any that no database keeps. */
    public static Kind<String> text(int most) {
        return new Simple<>(Tree.of("type", "string", "maxLength", (double) most)) {
            @Override
            public String read(Object value, Where at) {
                if (!(value instanceof String text)) {
                    return wrong(at, "a text is needed");
                }
                if (text.length() > most) {
                    return wrong(at, "at most " + most + " characters");
                }
                return Oddities.isClean(text) ? text : wrong(at, "it holds a character that no text can have");
            }
        };
    }

    /** Text that says something, of at most so many characters. */
    public static Kind<String> said(int most) {
        Kind<String> plain = text(most);
        return new Simple<>(Tree.of("type", "string", "minLength", 1.0, "maxLength", (double) most)) {
            @Override
            public String read(Object value, Where at) {
                String text = plain.read(value, at);
                return text != null && text.isBlank() ? wrong(at, "it can't be empty") : text;
            }
        };
    }

    /** Whether a picture in Markdown has no word that stands for it. */
    private static boolean hasWordlessPicture(String text) {
        for (int at = text.indexOf("!["); at >= 0; at = text.indexOf("![", at + 2)) {
            int end = text.indexOf(']', at);
            if (end > 0 && text.startsWith("(", end + 1) && text.substring(at + 2, end).isBlank()) {
                return true;
            }
        }
        return false;
    }

    /** Text in Markdown, which the server sets. */
    public static Kind<String> markdown(int most) {
        Kind<String> plain = text(most);
        return new Simple<>(Tree.of("type", "string", "maxLength", (double) most, "contentMediaType", "text/markdown")) {
            @Override
            public String read(Object value, Where at) {
                String text = plain.read(value, at);
                return text != null && hasWordlessPicture(text)
                        ? wrong(at, "a picture needs words for whoever can't see it") : text;
            }
        };
    }

    /** A number between two, both allowed. */
    public static Kind<Double> number(double from, double to) {
        return new Simple<>(range("number", from, to)) {
            @Override
            public Double read(Object value, Where at) {
                if (!(value instanceof Number number) || Double.isNaN(number.doubleValue())) {
                    return wrong(at, "a number is needed");
                }
                double d = number.doubleValue();
                return d >= from && d <= to ? (Double) d : wrong(at, allowed("a number", from, to));
            }
        };
    }

    /** Any number that can be kept. */
    public static Kind<Double> number() {
        return number(-Double.MAX_VALUE, Double.MAX_VALUE);
    }

    /** A whole number between two, both allowed. */
    public static Kind<Integer> whole(int from, int to) {
        return new Simple<>(range("integer", from, to)) {
            @Override
            public Integer read(Object value, Where at) {
                if (value instanceof Number number && number.doubleValue() == Math.rint(number.doubleValue())
                        && number.doubleValue() >= from && number.doubleValue() <= to) {
                    return number.intValue();
                }
                return wrong(at, allowed("a whole number", from, to));
            }

            @Override
            public Object write(Integer value) {
                return value.doubleValue();
            }
        };
    }

    /** One of some words. */
    public static Kind<String> word(String... words) {
        return new Simple<>(Tree.of("enum", List.of(words))) {
            @Override
            public String read(Object value, Where at) {
                for (String word : words) {
                    if (word.equals(value)) {
                        return word;
                    }
                }
                return wrong(at, "one of “" + String.join("”, “", words) + "” is needed");
            }
        };
    }

    /** A list of at most so many of a kind. What can't be read of it is told, item by item. */
    public static <V> Kind<List<V>> list(Kind<V> of, int most) {
        return new Kind<>() {
            @Override
            public List<V> read(Object value, Where at) {
                if (!(value instanceof List<?> items)) {
                    at.fault("a list is needed");
                    return null;
                }
                if (items.size() > most) {
                    at.fault("at most " + most);
                    return null;
                }
                int before = at.count();
                List<V> read = new ArrayList<>();
                for (int i = 0; i < items.size(); i++) {
                    read.add(of.read(items.get(i), at.item(i)));
                }
                return at.count() == before ? read : null;
            }

            @Override
            public Object write(List<V> value) {
                List<Object> list = new ArrayList<>();
                value.forEach(v -> list.add(of.write(v)));
                return list;
            }

            @Override
            public Object show(List<V> value) {
                List<Object> list = new ArrayList<>();
                value.forEach(v -> list.add(of.show(v)));
                return list;
            }

            @Override
            public Map<String, Object> schema(Schemas schemas) {
                return Tree.of("type", "array", "items", of.schema(schemas), "maxItems", (double) most);
            }
        };
    }

    /** Names of one's own, each with a value of a kind. */
    public static <V> Kind<Map<String, V>> map(Kind<V> of) {
        return new Kind<>() {
            @Override
            public Map<String, V> read(Object value, Where at) {
                if (!(value instanceof Map<?, ?> entries)) {
                    at.fault("a group of fields is needed");
                    return null;
                }
                int before = at.count();
                Map<String, V> read = new LinkedHashMap<>();
                entries.forEach((name, v) -> read.put(String.valueOf(name), of.read(v, at.in(String.valueOf(name)))));
                return at.count() == before ? read : null;
            }

            @Override
            public Object write(Map<String, V> value) {
                Map<String, Object> tree = new LinkedHashMap<>();
                value.forEach((name, v) -> tree.put(name, of.write(v)));
                return tree;
            }

            @Override
            public Map<String, Object> schema(Schemas schemas) {
                return Tree.of("type", "object", "additionalProperties", of.schema(schemas));
            }
        };
    }

    private static <V> V wrong(Where at, String what) {
        at.fault(what);
        return null;
    }

    private static Map<String, Object> range(String type, double from, double to) {
        return Tree.of("type", type, "minimum", Math.abs(from) == Double.MAX_VALUE ? null : (Object) from, "maximum",
                Math.abs(to) == Double.MAX_VALUE ? null : (Object) to);
    }

    private static String allowed(String what, double from, double to) {
        boolean open = to == Double.MAX_VALUE || to == Integer.MAX_VALUE;
        if (open && from == -Double.MAX_VALUE) {
            return "a number is too large to keep";
        }
        return what + (open ? " of at least " + Numbers.printShort(from)
                : " from " + Numbers.printShort(from) + " to " + Numbers.printShort(to)) + " is needed";
    }

    /** A kind whose values are the same in Java and in a tree. */
    private abstract static class Simple<V> implements Kind<V> {

        private final Map<String, Object> schema;

        Simple(Map<String, Object> schema) {
            this.schema = schema;
        }

        @Override
        public Object write(V value) {
            return value;
        }

        @Override
        public Map<String, Object> schema(Schemas schemas) {
            return new LinkedHashMap<>(schema);
        }
    }
}
