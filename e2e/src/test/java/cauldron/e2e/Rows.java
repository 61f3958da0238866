package cauldron.e2e;

/** Takes lines of the bench's table. */
interface Rows {
    void row(String what, String format, Object... values);
}
