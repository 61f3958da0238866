package cauldron.server.accounts;

import com.ibm.icu.text.Transliterator;
import java.util.Locale;

/** User names made from people's names, in letters that every keyboard has. */
final class UserNames {

    private static final int LONGEST = 24;
    /** Whatever script a name is written in, as the Unicode consortium's tables (CLDR) write it in Latin letters. */
    private static final Transliterator PLAIN = Transliterator.getInstance("Any-Latin; Latin-ASCII");

    private UserNames() {
    }

    /**
     * The user name a person's name suggests.
     *
     * @param displayName a name in any script, such as "Ragna Søby" or "Олена Коваль"
     * @return lower-case letters, digits and full stops, 1 to 24 of them: "ragna.soby", "olena.koval"; "student" where
     *     nothing in the name can be spelt
     */
    static String from(String displayName) {
        String plain = PLAIN.transliterate(displayName).toLowerCase(Locale.ROOT)
                .replaceAll("[\u2019'`\u02b9\u02bc]", "").replaceAll("[^a-z0-9]+", ".").replaceAll("^\\.+|\\.+$", "");
        String name = plain.substring(0, Math.min(plain.length(), LONGEST)).replaceAll("\\.+$", "");
        return name.isEmpty() ? "student" : name;
    }
}
