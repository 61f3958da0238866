package cauldron.core.apparatus;

import cauldron.core.Chance;
import cauldron.core.Tree;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
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
        Run run = Run.replay(recipe, until);
        for (int k = 1; k <= INSTANTS; k++) {
            state(run, until * k / INSTANTS, text);
        }
        return digest(text.toString());
    }

    private static void state(Run run, double time, StringBuilder text) {
        run.seek(time);
        Map<String, String> named = new TreeMap<>();
        Manifest m = run.manifest();
        for (int c = 0; c < m.channels().size(); c++) {
            named.put("channel " + m.channels().get(c).id(), short9(run.read(c)));
        }
        double[] scene = new double[m.scene().size()];
        run.scene(scene);
        for (int f = 0; f < scene.length; f++) {
            named.put("scene " + m.scene().get(f).id(), short9(scene[f]));
        }
        double[] crowd = new double[3 * run.crowdSize()];
        int n = run.crowd(crowd);
        double sum = 0;
        for (int i = 0; i < 3 * n; i++) {
            sum += crowd[i] * (1 + i % 7);
        }
        named.put("crowd", n + " " + short9(sum));
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (int e = 0; e < m.events().size(); e++) {
            counts.put(m.events().get(e).id(), run.count(e, -1, time));
        }
        named.put("events", new TreeMap<>(counts).toString());
        named.put("settings", new TreeMap<>(run.settingsNow().toTree()).toString());
        text.append(short9(time)).append(named).append('\n');
    }

    /** Films of every view, as many frames as there are instants. */
    static Map<String, Object> films(Recipe recipe, double until) {
        Map<String, Object> films = new LinkedHashMap<>();
        for (Manifest.View view : Inventory.get(recipe.apparatus()).manifest().views()) {
            Film film = Film.shoot(recipe, view.id(), INSTANTS / until, until);
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

    /** A recipe such as a busy student makes: odd settings, changes on the way, acts and grabs that are possible then. */
    static Recipe recipe(Apparatus apparatus, int seed, double until) {
        Manifest m = apparatus.manifest();
        Chance chance = new Chance(seed);
        Map<String, Object> some = new LinkedHashMap<>();
        m.settings().forEach(s -> {
            if (seed % 12 != 1 && chance.unit() < 0.6) {
                some.put(s.id(), any(s, chance));
            }
        });
        Run run = new Run(apparatus, Settings.of(m, some), seed);
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < (seed % 12 == 1 ? 0 : 6); i++) {
            times.add(until * (0.02 + 0.9 * chance.unit()));
        }
        times.sort(null);
        for (double time : times) {
            run.seek(time);
            for (Action action : any(run, m, chance)) {
                try {
                    run.act(action);
                } catch (IllegalArgumentException | IllegalStateException e) {
                    // Not possible now: a student would be told so.
                    break;
                }
            }
        }
        return run.recipe();
    }

    private static Object any(Setting setting, Chance chance) {
        if (setting instanceof Setting.Amount a) {
            double steps = Math.floor((a.max() - a.min()) / a.step());
            double most = a.id().startsWith("count") ? Math.min(steps, 600 / a.step()) : steps;
            return a.min() + a.step() * Math.floor(chance.unit() * (most + 1));
        }
        if (setting instanceof Setting.Choice c) {
            List<?> options = Tree.maps(c.toTree(), "options");
            return ((Map<?, ?>) options.get((int) (chance.unit() * options.size()))).get("id");
        }
        return chance.unit() < 0.5;
    }

    private static List<Action> any(Run run, Manifest m, Chance chance) {
        List<Setting> live = m.settings().stream().filter(Setting::live).toList();
        double which = chance.unit();
        if (which < 0.3 && !m.acts().isEmpty()) {
            return List.of(new Action.Perform(m.acts().get((int) (chance.unit() * m.acts().size())).id()));
        }
        if (which < 0.55 && !m.handles().isEmpty()) {
            Manifest.Handle handle = m.handles().get((int) (chance.unit() * m.handles().size()));
            double[] scene = new double[m.scene().size()];
            run.scene(scene);
            double[] frame = run.frame(m.views().get(0).id());
            double x = scene[m.sceneField(handle.xField())] + 0.1 * frame[2] * (chance.unit() - 0.5);
            double y = scene[m.sceneField(handle.yField())] + 0.1 * frame[3] * (chance.unit() - 0.5);
            return List.of(new Action.Grab(handle.id()), new Action.Move(x, y), new Action.LetGo());
        }
        Setting setting = live.get((int) (chance.unit() * live.size()));
        return List.of(new Action.Change(setting.id(), any(setting, chance)));
    }
}
