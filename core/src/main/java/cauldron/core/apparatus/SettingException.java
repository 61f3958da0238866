package cauldron.core.apparatus;

/** A value that a setting can't take. The message names the setting and the allowed range. */
public final class SettingException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final String setting;

    public SettingException(String setting, String message) {
        super(message);
        this.setting = setting;
    }

    /** The id of the setting. */
    public String setting() {
        return setting;
    }
}
