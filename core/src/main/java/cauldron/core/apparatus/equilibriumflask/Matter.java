package cauldron.core.apparatus.equilibriumflask;

import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Body;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Declaration;
import cauldron.core.apparatus.Ledger;
import cauldron.core.apparatus.Outcome;
import cauldron.core.chemistry.Reaction;
import cauldron.core.chemistry.Substance;

/** One substance of one reaction: what is put in of it, and how much of it is there. */
final class Matter extends Declaration {

    final Amount put;
    final Body body;
    final Channel amount;
    final Channel concentration;
    final Channel counted;
    final Outcome settled;

    /**
     * @param place from 1 on, among the substances of the reaction
     * @param first what is put in at first, in the unit of the reaction
     */
    Matter(Choice<Reversible> reaction, Reversible of, int place, double first, Ledger amounts) {
        Reaction.Term term = of.terms().get(place - 1);
        Substance substance = term.substance();
        String id = of.id + "-" + place;
        String printed = substance.formula().printed();
        String text = substance.formula().toString();
        String symbol = plain(text);
        String unit = of == Reversible.IRON_AND_THIOCYANATE ? "mmol" : "mol";
        put = amount(id, "n_0_" + symbol, printed + " put in", unit).within(0, 10).step(0.1).first(first)
                .when(reaction, of)
                .live();
        body = body(id, first(substance.called())).when(reaction, of);
        amount = channel(id + "-n", "n_" + symbol, "Amount", "mol").typically(0, 10)
                .decimals(unit.equals("mol") ? 2 : 5).of(body).in(amounts);
        concentration = Reversible.counts(term) ? channel(id + "-c", "c_" + symbol, "Concentration", unit + "/L")
                .typically(0, 1).decimals(4).of(body) : null;
        counted = channel(id + "-p", "p_" + symbol, "Amount by particles", "mol").typically(0, 10)
                .decimals(unit.equals("mol") ? 2 : 5).of(body);
        settled = outcome(id + "-e", "n_" + symbol, printed + " at equilibrium", unit).decimals(3)
                .when(reaction, of);
    }

    private static String first(String called) {
        return called.substring(0, 1).toUpperCase() + called.substring(1);
    }

    /** A formula without its charge, in letters and digits. */
    private static String plain(String printed) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < printed.length(); i++) {
            char c = printed.charAt(i);
            if (c >= '₀' && c <= '₉') {
                out.append((char) ('0' + c - '₀'));
            } else if (c >= 'A' && c <= 'Z' || c >= 'a' && c <= 'z') {
                out.append(c);
            }
        }
        return out.toString();
    }
}
