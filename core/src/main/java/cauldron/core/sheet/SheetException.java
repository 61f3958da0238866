package cauldron.core.sheet;

import cauldron.core.form.Fault;
import java.util.List;
import java.util.stream.Collectors;

/** A sheet that can't be used. It tells all its faults, each with its place: part, block, field. */
public final class SheetException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final transient List<Fault> faults;

    SheetException(List<Fault> faults) {
        super(faults.stream().map(Fault::text).collect(Collectors.joining("\n")));
        this.faults = List.copyOf(faults);
    }

    /** All that is wrong. */
    public List<Fault> faults() {
        return faults;
    }
}
