package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** An account whose entries are channels of one unit, shown as bars: energies, momenta, the work of each force. */
public final class Ledger extends Declared {

    Ledger(Declaration owner, String id, String name) {
        super(owner, id, name);
    }

    @Override
    String sort() {
        return "ledger";
    }

    void check(Manifest all, Faults faults) {
        String unit = null;
        for (Channel channel : all.channels()) {
            if (channel.ledger() == this) {
                if (unit != null && !unit.equals(channel.unit())) {
                    faults.add(this, "adds up " + unit + " and " + channel.unit());
                }
                unit = channel.unit();
            }
        }
        if (unit == null) {
            faults.add(this, "has no entry");
        }
    }

    Map<String, Object> toTree() {
        return Tree.of("id", id(), "name", name());
    }
}
