package cauldron.core.apparatus.crashrig;

import cauldron.core.apparatus.Settings;

/**
 * What a sled is built of: its mass, the length of its front, and what it costs.
 *
 * <p>Front and cabin are steel tubes that take up 10 kJ a kilogram in being crushed, the order that is measured for
 * square tubes of mild steel (W. Abramowicz and N. Jones, Int. J. Impact Engng 2 (1984) 179); so a longer or stronger
 * one is heavier. The prices are the vehicle shop's, made up.
 */
final class Design {

    /** Of a cabin that can be pushed in, in metres. */
    static final double ROOM = 1.4;
    private static final double TUBES = 10_000;
    private static final double BELT_MASS = 4;
    private static final double BAG_MASS = 6;
    private static final double BRAKE_MASS = 9;
    private static final double PRICE_OF_BASE = 4;
    private static final double PRICE_OF_STEEL = 35;
    private static final double PRICE_OF_BELT = 350;
    private static final double PRICE_OF_BAG = 1800;
    private static final double PRICE_OF_BRAKE = 1500;

    /** Of all but the front and the cabin, in kilograms. */
    final double base;
    /** Of the front, in metres. */
    final double length;
    /** Of steel in front and cabin, in kilograms. */
    final double steel;
    private final double fittings;
    private final double price;

    Design(CrashRig d, Settings s) {
        switch (s.value(d.build)) {
            case LIGHT:
                base = 700;
                length = 0.4;
                break;
            case MIDDLE:
                base = 1100;
                length = 0.6;
                break;
            case HEAVY:
                base = 1700;
                length = 0.8;
                break;
            default:
                base = s.si(d.ownMass);
                length = s.si(d.ownLength);
        }
        steel = (s.si(d.front) * length + s.si(d.cabin) * ROOM) / TUBES;
        fittings = (s.on(d.belt) ? BELT_MASS : 0) + (s.on(d.bag) ? BAG_MASS : 0) + (s.on(d.brake) ? BRAKE_MASS : 0);
        price = (s.on(d.belt) ? PRICE_OF_BELT : 0) + (s.on(d.bag) ? PRICE_OF_BAG : 0) + (s.on(d.brake) ? PRICE_OF_BRAKE : 0);
    }

    /** Without the figure, in kilograms. */
    double mass() {
        return base + steel + fittings;
    }

    /** In crowns. */
    double cost() {
        return base * PRICE_OF_BASE + steel * PRICE_OF_STEEL + price;
    }
}
