package cauldron.core.apparatus;

/**
 * The choice of gravity that several apparatus offer: the settings {@code place} and, for a value of one's own,
 * {@code gravity}. Earth has the value schools use; Moon, Mars and Jupiter (at 1 bar) have GM/R² at the mean radius,
 * without the effect of their spin.
 */
public final class Gravity extends Declaration {

    /** A field strength in N/kg; NaN: one's own. */
    private final Choice<Double> place = choice("place", "Gravity", Double.class).option("earth", "Earth, 9.81 m/s²", 9.81)
            .option("moon", "Moon, 1.62 m/s²", 1.62).option("mars", "Mars, 3.73 m/s²", 3.73)
            .option("jupiter", "Jupiter, 25.9 m/s²", 25.92).option("own", "your own value", Double.NaN).live();
    private final Amount own = amount("gravity", "g", "Gravity, your own", "m/s²").within(0.5, 30).step(0.1).first(9.81)
            .live().when(place, Double.NaN);

    /** The field strength in N/kg that settings stand for. */
    public double of(Settings settings) {
        double g = settings.value(place);
        return Double.isNaN(g) ? settings.si(own) : g;
    }
}
