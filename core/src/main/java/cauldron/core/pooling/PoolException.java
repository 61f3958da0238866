package cauldron.core.pooling;

/** A formula that can't be worked out. */
public final class PoolException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;
    private final String axis;

    PoolException(String axis, String message) {
        super(message);
        this.axis = axis;
    }

    /** Which: along or up. */
    public String axis() {
        return axis;
    }
}
