package cauldron.core.apparatus;

import cauldron.core.inventory.Inventory;
import cauldron.core.Tree;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a recipe came to, in short: a digest of everything that can be read at fifty instants, and of its films. Values
 * are named, so that it says the same however they are laid out; nine figures of each count, since processors differ in
 * the last ones of sines.
 */
final class Golden {

    private static final int INSTANTS = 50;
    private static final MathContext FIGURES = new MathContext(9);

    private Golden() {
    }

    /** Every channel, place and event of a run at each of the instants. */
    static String states(Recipe recipe, double until) {
        StringBuilder text = new StringBuilder();
        Run run = Inventory.replay(recipe, until);
        for (int k = 1; k <= INSTANTS; k++) {
            state(run, until * k / INSTANTS, text);
        }
        return digest(text.toString());
    }

    private static void state(Run run, double time, StringBuilder text) {
        run.seek(time);
        Map<String, String> named = new TreeMap<>();
        Manifest m = run.manifest();
        m.channels().forEach(c -> named.put("channel " + c.id(), short9(run.read(c))));
        m.scene().forEach(f -> named.put("scene " + f.id(), short9(run.scene().of(f))));
        double[] crowd = new double[3 * run.crowdSize()];
        int n = run.crowd(crowd);
        double sum = 0;
        for (int i = 0; i < 3 * n; i++) {
            sum += crowd[i] * (1 + i % 7);
        }
        named.put("crowd", n + " " + short9(sum));
        Map<String, Integer> counts = new LinkedHashMap<>();
        m.events().forEach(e -> counts.put(e.id(), run.count(e, -1, time)));
        named.put("events", new TreeMap<>(counts).toString());
        named.put("settings", new TreeMap<>(run.settingsNow().toTree()).toString());
        text.append(short9(time)).append(named).append('\n');
    }

    /** Films of every view, as many frames as there are instants. */
    static Map<String, Object> films(Recipe recipe, double until) {
        Map<String, Object> films = new LinkedHashMap<>();
        for (View view : Inventory.get(recipe.apparatus()).manifest().views()) {
            Film film = Inventory.shoot(recipe, view.id(), INSTANTS / until, until);
            Map<String, StringBuilder> fields = new TreeMap<>();
            film.still().forEach((id, value) -> fields.put(id, new StringBuilder("still " + value)));
            int wide = film.moving().size();
            for (int i = 0; i < film.body().length; i++) {
                fields.computeIfAbsent(film.moving().get(i % wide), id -> new StringBuilder()).append(film.body()[i]).append(' ');
            }
            films.put(view.id(), digest(film.width() + "x" + film.height() + " " + film.frames() + fields));
        }
        return films;
    }

    private static String short9(double value) {
        return Double.isFinite(value) ? new BigDecimal(value).round(FIGURES).stripTrailingZeros().toString() : String.valueOf(value);
    }

    private static String digest(String text) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)), 0, 10);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
