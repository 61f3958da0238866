package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/**
 * A quantity that can be read off a running experiment at any time. Values are in SI; {@code unit} is
 * what people see.
 *
 * @param symbol  printed in graphs and formulas
 * @param figures decimals shown in a readout, in the shown unit
 * @param account its part in the energy account, or null if it has none
 */
public record Channel(String id, String symbol, String name, String unit, double typicalMin, double typicalMax,
                      int figures, Account account) {

    /** The part an energy plays in the account. */
    public enum Account { KINETIC, POTENTIAL, ELASTIC, THERMAL, TOTAL }

    Map<String, Object> toTree() {
        return Tree.of("id", id, "symbol", symbol, "name", name, "unit", unit, "typicalMin", typicalMin,
                "typicalMax", typicalMax, "figures", figures,
                "account", account == null ? null : account.name().toLowerCase());
    }
}
