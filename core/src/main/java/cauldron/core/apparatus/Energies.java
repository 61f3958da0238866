package cauldron.core.apparatus;

import cauldron.core.apparatus.Channel.Account;

/** The account of what moves, lies higher and warms: kinetic, potential and thermal energy, and their sum, in joules. */
public final class Energies extends Declaration {

    private final Channel kinetic;
    private final Channel potential;
    private final Channel thermal;
    private final Channel total;

    /**
     * The four channels.
     *
     * @param upTo     what they typically reach, in J
     * @param decimals shown
     */
    public Energies(double upTo, int decimals) {
        kinetic = entry("kinetic", "E_k", "Kinetic energy", Account.KINETIC, upTo, decimals);
        potential = entry("potential", "E_p", "Potential energy", Account.POTENTIAL, upTo, decimals);
        thermal = entry("thermal", "E_th", "Thermal energy", Account.THERMAL, upTo, decimals);
        total = entry("total", "E", "Total energy", Account.TOTAL, upTo, decimals);
    }

    private Channel entry(String id, String symbol, String name, Account part, double upTo, int decimals) {
        return channel(id, symbol, name, "J").typically(0, upTo).decimals(decimals).account(part);
    }

    /** Their values now, in J; the sum follows. */
    public void put(Readings out, double moving, double lifted, double warmed) {
        out.put(kinetic, moving);
        out.put(potential, lifted);
        out.put(thermal, warmed);
        out.put(total, moving + lifted + warmed);
    }

    /** Kinetic energy. */
    public Channel kinetic() {
        return kinetic;
    }

    /** Thermal energy. */
    public Channel thermal() {
        return thermal;
    }

    /** Their sum. */
    public Channel total() {
        return total;
    }
}
