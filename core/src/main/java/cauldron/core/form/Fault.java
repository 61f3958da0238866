package cauldron.core.form;

/**
 * Something wrong in a structure.
 *
 * @param place where, from outside in: {@code part measure, block g, key}; empty for the whole
 * @param what  what is wrong and what is allowed, in words
 */
public record Fault(String place, String what) {

    /** Both in one line. */
    public String text() {
        return place.isEmpty() ? what : place + ": " + what;
    }
}
