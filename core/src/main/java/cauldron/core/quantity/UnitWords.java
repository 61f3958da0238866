package cauldron.core.quantity;

import java.util.LinkedHashMap;
import java.util.Map;

/** Names of units as people write them out: {@code joules}, {@code per cent}, {@code metres per second}. */
final class UnitWords {

    private static final Map<String, String> SYMBOLS = new LinkedHashMap<>();
    private static final String[] PREFIXES = {"kilo", "k", "milli", "m", "centi", "c", "mega", "M", "micro", "µ", "nano", "n"};

    static {
        words("m", "metre", "meter");
        words("g", "gram", "gramme", "gm");
        words("s", "second", "sec");
        words("min", "minute");
        SYMBOLS.put("mins", "min");
        words("h", "hour", "hr");
        words("d", "day");
        words("yr", "year");
        words("A", "ampere", "amp");
        words("K", "kelvin");
        words("mol", "mole");
        words("N", "newton");
        words("J", "joule");
        words("W", "watt");
        words("Pa", "pascal");
        words("Hz", "hertz");
        words("C", "coulomb");
        words("V", "volt");
        words("Ω", "ohm");
        words("T", "tesla");
        words("L", "litre", "liter");
        words("°", "degree");
        words("rad", "radian");
        words("%", "percent");
        words("kg", "kilo");
        SYMBOLS.put("kgs", "kg");
        SYMBOLS.put("cms", "cm");
        words("mi", "mile");
    }

    private UnitWords() {
    }

    private static void words(String symbol, String... names) {
        for (String name : names) {
            SYMBOLS.put(name, symbol);
            SYMBOLS.put(name + "s", symbol);
        }
    }

    /** The unit of a name, or null: in one number or several, with a prefix or without. */
    static Unit named(String word) {
        String small = word.toLowerCase();
        String symbol = SYMBOLS.get(small);
        for (int i = 0; symbol == null && i < PREFIXES.length; i += 2) {
            String bare = small.startsWith(PREFIXES[i]) ? SYMBOLS.get(small.substring(PREFIXES[i].length())) : null;
            symbol = bare == null || small.length() - PREFIXES[i].length() < 3 ? null : PREFIXES[i + 1] + bare;
        }
        return symbol == null ? null : Units.lookUp(symbol);
    }

    /** The same text with “per cent” as one sign, and every other “per” as a slash. */
    static String slashed(String text) {
        String cents = text.replace("per cent", "%");
        return cents.contains(" per ") ? cents.replace(" per ", "/") : cents;
    }
}
