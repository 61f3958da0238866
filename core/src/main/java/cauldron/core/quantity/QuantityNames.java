package cauldron.core.quantity;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What a unit measures, in a word, for telling people that theirs belongs to another quantity. Where one dimension has
 * several meanings (energy and torque are both N m), the one that school uses it for most.
 */
public final class QuantityNames {

    private static final Map<Dimension, String> NAMES = new LinkedHashMap<>();

    static {
        String[][] all = {{"m", "a length"}, {"m²", "an area"}, {"m³", "a volume"}, {"kg", "a mass"}, {"s", "a time"},
            {"m/s", "a speed"}, {"m/s²", "an acceleration"}, {"N", "a force"}, {"J", "an energy"}, {"W", "a power"},
            {"Pa", "a pressure"}, {"N s", "a momentum"}, {"N/m", "a force for each length"}, {"kg/m³", "a density"},
            {"1/s", "a frequency or rate"}, {"s²", "the square of a time"}, {"m²/s²", "the square of a speed"},
            {"K", "a temperature"}, {"mol", "an amount of substance"}, {"mol/m³", "a concentration"},
            {"A", "a current"}, {"V", "a voltage"}, {"C", "a charge"}, {"Ω", "a resistance"}};
        for (String[] one : all) {
            NAMES.put(Units.parse(one[0]).dimension(), one[1]);
        }
    }

    private QuantityNames() {
    }

    /** What a unit measures, with its article; empty where there is no everyday word for it. */
    public static String of(Unit unit) {
        return NAMES.getOrDefault(unit.dimension(), "");
    }

    /** The same without its article, for lists: {@code length}. */
    public static String plain(Unit unit) {
        String named = of(unit);
        return named.substring(named.indexOf(' ') + 1);
    }
}
