package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.Map;

/** A quantity that can be read off a running experiment at any time. Values are in SI; its unit is what people see. */
public final class Channel extends Shown<Channel> {

    /** The part an energy plays in the account. */
    public enum Account { KINETIC, POTENTIAL, ELASTIC, THERMAL, TOTAL }

    private double typicalMin;
    private double typicalMax = 1;
    private Account account;
    private Ledger ledger;
    private Body body;

    Channel(Declaration owner, String id, String symbol, String name, String unit) {
        super(owner, id, symbol, name, unit);
    }

    @Override
    Channel self() {
        return this;
    }

    @Override
    String sort() {
        return "channel";
    }

    /** Where it usually lies, in its unit: the first axis of a graph. */
    public Channel typically(double from, double to) {
        stillOpen();
        typicalMin = from;
        typicalMax = to;
        return this;
    }

    /** Its part in the energy account. */
    public Channel account(Account part) {
        stillOpen();
        account = part;
        return this;
    }

    /** An entry of an account. */
    public Channel in(Ledger account) {
        stillOpen();
        ledger = account;
        return this;
    }

    /** It belongs to a body. */
    public Channel of(Body owner) {
        stillOpen();
        body = owner;
        return this;
    }

    /** Whether it is an entry of the energy account. */
    public boolean isInEnergyAccount() {
        return account != null;
    }

    /** The account it is an entry of, or null; the energy account has no ledger of its own. */
    Ledger ledger() {
        return ledger;
    }

    /** The body it belongs to, or null. */
    public Body body() {
        return body;
    }

    @Override
    void check(Faults faults) {
        super.check(faults);
        if (!(typicalMin < typicalMax)) {
            faults.add(this, "needs a typical range, the lower end first");
        }
    }

    void check(Manifest all, Faults faults) {
        if (ledger != null) {
            faults.known(this, ledger, all.ledgers());
        }
        if (body != null) {
            faults.known(this, body, all.bodies());
        }
    }

    Map<String, Object> toTree() {
        Map<String, Object> tree = Tree.of("id", id(), "symbol", symbol(), "name", name(), "unit", unit(), "typicalMin",
                typicalMin, "typicalMax", typicalMax, "figures", decimals(),
                "account", account == null ? null : account.name().toLowerCase());
        tree.put("ledger", ledger == null ? "" : ledger.id());
        tree.put("body", body == null ? "" : body.id());
        tree.put("perSi", 1 / factor());
        tree.put("zero", read().offset());
        return tree;
    }
}
