package cauldron.core.apparatus;

import java.util.List;

/** A declaration that can't be closed; it tells all its faults together. */
public final class DeclarationException extends IllegalStateException {

    private static final long serialVersionUID = 1L;

    private final transient List<String> faults;

    DeclarationException(String apparatus, List<String> faults) {
        super(apparatus + ":\n- " + String.join("\n- ", faults));
        this.faults = List.copyOf(faults);
    }

    /** Each fault, with its place. */
    public List<String> faults() {
        return faults;
    }
}
