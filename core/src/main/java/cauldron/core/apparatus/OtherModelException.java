package cauldron.core.apparatus;

/** A recipe of another version of a model, which would give other numbers now. The message is for people. */
public final class OtherModelException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    OtherModelException(Manifest manifest, int version) {
        super("Made with " + (version < manifest.modelVersion() ? "an earlier" : "a newer") + " model of the "
                + manifest.name().toLowerCase() + " (version " + version + ", here it is " + manifest.modelVersion()
                + "), which gave other numbers: it can't be shown again, but made anew with the same settings.");
    }
}
