package cauldron.core.apparatus.reactionbalance;

import cauldron.core.apparatus.Settings;

/**
 * What stands in the dish at first.
 *
 * @param moles  of what the reaction takes, in its order; oxygen is the vessel's, and counts as without end
 * @param mass   in kg, with all water
 * @param volume in m³
 */
record Sample(Mixing mixing, double[] moles, double mass, double volume) {

    private static final double ACID = 2000;
    private static final double ACID_DENSITY = 1033;
    private static final double PEROXIDE_DENSITY = 1034;
    private static final double PEROXIDE_SHARE = 0.1;
    private static final double SOLUTION = 1000;
    private static final double CHLORIDE_DENSITY = 1085;
    private static final double CARBONATE_DENSITY = 1100;
    /** Water for the tablet, and its density; catalyst in the foam. */
    private static final double WATER = 4e-5;
    private static final double WATER_DENSITY = 998.2;
    private static final double CATALYST = 1e-3;
    /** Densities of solids are near enough to this for their buoyancy. */
    private static final double SOLID = 2500;

    /** What some settings put there. */
    static Sample of(ReactionBalance d, Settings s) {
        Mixing mixing = s.value(d.mixing);
        switch (mixing) {
            case CARBONATE:
                return of(mixing, s.si(d.chips), s.si(d.acid), ACID_DENSITY,
                        s.si(d.chips) / mixing.molarMass(0), s.si(d.acid) * ACID);
            case WOOL:
                return of(mixing, s.si(d.wool), 0, 0, s.si(d.wool) / mixing.molarMass(0), Double.POSITIVE_INFINITY);
            case TABLET:
                return of(mixing, s.si(d.hydrogencarbonate) + s.si(d.citric), WATER, WATER_DENSITY,
                        s.si(d.hydrogencarbonate) / mixing.molarMass(0), s.si(d.citric) / mixing.molarMass(1));
            case FOAM:
                return of(mixing, CATALYST, s.si(d.peroxide), PEROXIDE_DENSITY,
                        s.si(d.peroxide) * PEROXIDE_DENSITY * PEROXIDE_SHARE / mixing.molarMass(0));
            default:
                double mass = s.si(d.chloride) * CHLORIDE_DENSITY + s.si(d.carbonate) * CARBONATE_DENSITY;
                return new Sample(mixing, new double[] {s.si(d.chloride) * SOLUTION, s.si(d.carbonate) * SOLUTION},
                        mass,
                        s.si(d.chloride) + s.si(d.carbonate));
        }
    }

    private static Sample of(Mixing mixing, double solid, double liquid, double density, double... moles) {
        return new Sample(mixing, moles, solid + liquid * density, solid / SOLID + liquid);
    }

    /** How far the reaction can go with what is in the dish, in mol. */
    double furthest() {
        return mixing.reaction.furthest(moles);
    }

    /** Which of the substances it takes is used up first: 0 or 1. */
    int limiting() {
        return moles.length < 2 || moles[0] / -mixing.reaction.taken().get(0).count() <= moles[1]
                / -mixing.reaction.taken().get(1).count() ? 0 : 1;
    }

    /** Mass in kg of what is left of one of them when the reaction has gone so far. */
    double left(int which, double extent) {
        return (moles[which] + mixing.reaction.taken().get(which).count() * extent) * mixing.molarMass(which);
    }
}
