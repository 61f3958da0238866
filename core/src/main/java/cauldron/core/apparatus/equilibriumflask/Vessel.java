package cauldron.core.apparatus.equilibriumflask;

import cauldron.core.apparatus.Amount;
import cauldron.core.apparatus.Body;
import cauldron.core.apparatus.Channel;
import cauldron.core.apparatus.Choice;
import cauldron.core.apparatus.Declaration;
import cauldron.core.apparatus.Ledger;
import java.util.ArrayList;
import java.util.List;

/** What belongs to one of the reactions: its substances, its temperature and volume, its constant and quotient. */
final class Vessel extends Declaration {

    final List<Matter> matter = new ArrayList<>();
    final Amount temperature;
    final Amount volume;
    final Channel constant;
    final Channel quotient;
    final Channel absorbance;

    Vessel(Choice<Reversible> reaction, Reversible of, Ledger amounts, double... first) {
        for (int i = 1; i <= first.length; i++) {
            matter.add(include(new Matter(reaction, of, i, first[i - 1], amounts)));
        }
        Reversible.Range hot = of.temperatures;
        temperature = amount(of.id + "-t", "T", "Temperature", "°C").within(hot.least(), hot.most()).step(1)
                .first(hot.first()).when(reaction, of).live();
        Reversible.Range wide = of.volumes;
        volume = amount(of.id + "-v", "V", "Volume", "L").within(wide.least(), wide.most()).step(wide.least() / 5)
                .first(wide.first()).when(reaction, of).live();
        Body equilibrium = body(of.id, of.reaction.equation("⇌")).when(reaction, of);
        constant = channel(of.id + "-k", "K", "Equilibrium constant", of.unit()).typically(0, 100).decimals(4)
                .of(equilibrium);
        quotient = channel(of.id + "-q", "Q", "Reaction quotient now", of.unit()).typically(0, 100).decimals(4)
                .of(equilibrium);
        absorbance = of.absorbing == 0 ? null : channel(of.id + "-a", "A", "Absorbance, through " + of.pathInWords(),
                "")
                .typically(0, 3).decimals(3).of(equilibrium);
    }
}
