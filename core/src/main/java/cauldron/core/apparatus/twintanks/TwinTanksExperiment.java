package cauldron.core.apparatus.twintanks;

import cauldron.core.apparatus.Handle;
import cauldron.core.apparatus.OdeExperiment;
import cauldron.core.apparatus.Outcomes;
import cauldron.core.apparatus.Readings;
import cauldron.core.apparatus.Register;
import cauldron.core.apparatus.Scene;
import cauldron.core.apparatus.Settings;
import cauldron.core.matter.Water;

/**
 * Two well-stirred tanks of half a litre each, joined by a neck of length L and section A:
 * <pre>m₁ c(T₁) T₁' = −(k A/L)(T₁ − T₂) − w (h₁ − h₂) − G (T₁ − T_room)</pre>
 * and the like below, with the real {@link Water}. A core conducts (Fourier's law) and lets nothing through, w = 0. In
 * an open tube the denser water above sinks and as much rises, w = ρ Q, with the exchange flow through a vertical tube
 * of diameter D
 * <pre>
 * Q = √(D⁵ g Δρ/ρ) · 0.055 [1 + 400 r³]^(1/6) / [1 + 0.00527 (1 + 400 r³)^(1/2) (r⁶ + 117 r²)^(3/4)]^(1/3),  r = L/D
 * </pre>
 * (M. Epstein, J. Heat Transfer 110, 885, 1988, measured within a tenth). With the lighter water on top nothing flows:
 * there is conduction through the water of the tube and diffusion, D_s = 2.3 × 10⁻⁹ m²/s (M. Holz, PCCP 2, 4740, 2000).
 *
 * <p>Assumptions: each tank is mixed throughout at any time, the core holds no heat (a copper one holds 3 % of a
 * tank's) and its ends have the water's temperature, evaporation is left out; the room has 20 °C. Temperatures are in
 * °C inside, as the properties of water are tabulated.
 */
final class TwinTanksExperiment extends OdeExperiment {

    static final double ROOM = 20;
    /** In m³. */
    static final double VOLUME = 5e-4;
    private static final double GRAVITY = 9.81;
    private static final double SELF_DIFFUSION = 2.3e-9;
    private static final double EVEN = 0.5;
    private static final double BLENDED = 0.95;
    private static final double STEP = 0.5;

    private final TwinTanks d;
    private final int above = variable("temperature above, °C");
    private final int below = variable("temperature below, °C");
    private final int inAbove = variable("share of the upper water in the upper tank");
    private final int inBelow = variable("share of the upper water in the lower tank");
    private final int lost = variable("given to the room, J");
    private final Register evenAt = register(Double.NaN);
    private final Register reached = register(Double.NaN);
    private final Register blendedAt = register(Double.NaN);
    private final Neck neck;
    private final double area;
    private final double massAbove;
    private final double massBelow;
    private double loss;

    TwinTanksExperiment(TwinTanks declared, Settings s) {
        super(declared, s);
        d = declared;
        neck = s.value(declared.neck);
        area = s.value(declared.section);
        double first = s.si(declared.upper) - TwinTanks.ZERO;
        double second = s.si(declared.lower) - TwinTanks.ZERO;
        massAbove = VOLUME * Water.density(first);
        massBelow = VOLUME * Water.density(second);
        // Where the order turns, the law has a kink.
        when("order", (t, y) -> surplus(y)).crosses(0);
        when("even", (t, y) -> Math.abs(y[above] - y[below])).fallsTo(EVEN).orFromTheStart().then((rising, t, y, sink) -> {
            if (Double.isNaN(evenAt.get())) {
                evenAt.set(t);
                reached.set(TwinTanks.ZERO + (massAbove * y[above] + massBelow * y[below]) / (massAbove + massBelow));
                sink.event(d.even, t);
            }
        });
        when("blended", (t, y) -> 1 - y[inAbove] + y[inBelow]).risesTo(BLENDED).then((rising, t, y, sink) -> {
            blendedAt.set(t);
            sink.event(d.blended, t);
        });
        apply(s);
        begin(first, second, 1, 0, 0);
    }

    @Override
    protected void apply(Settings s) {
        loss = s.si(d.loss);
    }

    /** By how much the water above is denser, in kg/m³. */
    private double surplus(double[] y) {
        return Water.density(y[above]) - Water.density(y[below]);
    }

    /** Volume that sinks, and that rises, each second, in m³/s. */
    private double exchange(double[] y) {
        double surplus = surplus(y);
        return neck == Neck.OPEN && surplus > 0 ? exchange(area, surplus / Water.density(y[below])) : 0;
    }

    /**
     * Epstein's exchange flow in m³/s.
     *
     * @param area     section of the tube in m²
     * @param relative surplus of density over density
     */
    static double exchange(double area, double relative) {
        double diameter = Math.sqrt(4 * area / Math.PI);
        double r = TwinTanks.NECK / diameter;
        double a = 1 + 400 * r * r * r;
        double b = Math.pow(Math.pow(r, 6) + 117 * r * r, 0.75);
        return Math.sqrt(Math.pow(diameter, 5) * GRAVITY * relative) * 0.055 * Math.pow(a, 1.0 / 6)
                / Math.cbrt(1 + 0.00527 * Math.sqrt(a) * b);
    }

    /** Mass exchanged each second, in kg/s. */
    private double massFlow(double[] y) {
        return exchange(y) * 0.5 * (Water.density(y[above]) + Water.density(y[below]));
    }

    private double conductance(double[] y) {
        double k = neck == Neck.OPEN ? Water.conductivity(0.5 * (y[above] + y[below])) : neck.conductivity;
        return k * area / TwinTanks.NECK;
    }

    private double downwards(double[] y) {
        return conductance(y) * (y[above] - y[below])
                + massFlow(y) * (Water.enthalpy(y[above]) - Water.enthalpy(y[below]));
    }

    @Override
    protected void law(double t, double[] y, double[] dy) {
        double down = downwards(y);
        double roomAbove = loss * (y[above] - ROOM);
        double roomBelow = loss * (y[below] - ROOM);
        dy[above] = (-down - roomAbove) / (massAbove * Water.heatCapacity(y[above]));
        dy[below] = (down - roomBelow) / (massBelow * Water.heatCapacity(y[below]));
        dy[lost] = roomAbove + roomBelow;
        if (neck == Neck.OPEN) {
            double diffused = SELF_DIFFUSION * area / TwinTanks.NECK * Water.density(y[above]);
            double traced = (massFlow(y) + diffused) * (y[inAbove] - y[inBelow]);
            dy[inAbove] = -traced / massAbove;
            dy[inBelow] = traced / massBelow;
        }
    }

    @Override
    protected double step(double[] y) {
        return STEP;
    }

    @Override
    protected void grabbed(Handle handle, EventSink sink) {
        throw new IllegalArgumentException("Restart to change what the tanks begin with");
    }

    @Override
    public void read(Readings out) {
        double[] y = state();
        out.put(d.above, TwinTanks.ZERO + y[above]);
        out.put(d.below, TwinTanks.ZERO + y[below]);
        out.put(d.mixed, 1 - y[inAbove] + y[inBelow]);
        out.put(d.flow, exchange(y));
        out.put(d.power, downwards(y));
        out.put(d.densityAbove, Water.density(y[above]));
        out.put(d.densityBelow, Water.density(y[below]));
        double one = massAbove * Water.enthalpy(y[above]);
        double other = massBelow * Water.enthalpy(y[below]);
        out.put(d.energyAbove, one);
        out.put(d.energyBelow, other);
        out.put(d.energyLost, y[lost]);
        out.put(d.energyTotal, one + other + y[lost]);
    }

    @Override
    public void outcomes(Outcomes out) {
        if (!Double.isNaN(evenAt.get())) {
            out.put(d.evenAt, evenAt.get());
            out.put(d.reached, reached.get());
        }
        if (!Double.isNaN(blendedAt.get())) {
            out.put(d.blendedAt, blendedAt.get());
        }
    }

    @Override
    public void scene(Scene out) {
        double[] y = state();
        out.put(d.mercuryAbove, TwinTanks.THERMOMETER, TwinTanks.foot(true) + TwinTanks.KELVIN * y[above]);
        out.put(d.mercuryBelow, TwinTanks.THERMOMETER, TwinTanks.foot(false) + TwinTanks.KELVIN * y[below]);
        out.put(d.middle, 0, 0);
        out.put(d.width, Math.sqrt(4 * area / Math.PI));
        out.put(d.kind, neck.ordinal());
        out.put(d.fromAboveAbove, y[inAbove]);
        out.put(d.fromAboveBelow, y[inBelow]);
        out.put(d.flows, exchange(y) > 0);
        out.put(d.grip, 0.012);
    }
}
