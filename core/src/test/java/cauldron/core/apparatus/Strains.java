package cauldron.core.apparatus;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Runs that strain an apparatus, drawn by chance from a seed. */
public final class Strains {

    private Strains() {
    }

    /** A run such as a busy student makes: odd settings, changes on the way, acts and grabs that are possible then. */
    public static Run strained(Apparatus apparatus, int seed, double until) {
        Manifest m = apparatus.manifest();
        RandomSource chance = new RandomSource(seed);
        Map<String, Object> some = new LinkedHashMap<>();
        m.settings().forEach(s -> {
            if (seed % 12 != 1 && chance.unit() < 0.6) {
                some.put(s.id(), any(s, chance));
            }
        });
        Run run = new Run(apparatus, Settings.of(m, some), seed);
        if (m.clock() == Clock.PERSON) {
            answer(run, m, chance, until);
            return run;
        }
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
        return run;
    }

    /** Somebody answers, mostly to what is shown, at times before it. */
    private static void answer(Run run, Manifest m, RandomSource chance, double until) {
        Act begin = m.acts().stream().filter(act -> Boolean.TRUE.equals(act.toTree().get("leads"))).findFirst().orElseThrow();
        Act answers = m.acts().stream().filter(act -> Boolean.TRUE.equals(act.toTree().get("answers"))).findFirst().orElseThrow();
        Act shown = m.acts().stream().filter(act -> !((List<?>) act.toTree().get("cues")).isEmpty()).findFirst().orElseThrow();
        run.seek(0.3 * chance.unit());
        run.act(new Action.Perform(begin.id(), Map.of()));
        while (run.time() < Math.max(until, 20) && !run.isOver()) {
            run.seek(run.time() + 1.0 / 60);
            if (shown.isPossible(run.scene())) {
                run.act(new Action.Perform(shown.id(), Map.of()));
                run.seek(run.time() + 0.08 + 0.3 * chance.unit());
                run.act(new Action.Perform(answers.id(), Map.of()));
            } else if (chance.unit() < 0.002) {
                run.act(new Action.Perform(answers.id(), Map.of()));
            }
        }
    }

    static Object any(Setting setting, RandomSource chance) {
        if (setting instanceof Items items) {
            return any(items, chance);
        }
        if (setting instanceof Pick pick) {
            return String.valueOf(1 + (int) (chance.unit() * pick.from().most()));
        }
        if (setting instanceof Amount a) {
            double steps = Math.floor((a.max() - a.min()) / a.step());
            double most = a.id().startsWith("count") ? Math.min(steps, 600 / a.step()) : steps;
            return a.min() + a.step() * Math.floor(chance.unit() * (most + 1));
        }
        if (setting instanceof Choice<?> c) {
            List<?> options = Tree.maps(c.toTree(), "options");
            return ((Map<?, ?>) options.get((int) (chance.unit() * options.size()))).get("id");
        }
        return chance.unit() < 0.5;
    }

    /** As many as may be; where each must lie above the one before, spread over the range. */
    private static Object any(Items items, RandomSource chance) {
        int n = items.least() + (int) (chance.unit() * (items.most() - items.least() + 1));
        List<Object> rows = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Map<String, Object> row = new LinkedHashMap<>();
            for (Setting field : items.fields()) {
                row.put(field.id(), field instanceof Amount a && items.toTree().get("rising").equals(a.id())
                        ? a.min() + (a.max() - a.min()) * (i + 0.5 * chance.unit()) / n : any(field, chance));
            }
            rows.add(row);
        }
        return rows;
    }

    private static Map<String, Object> with(Act act, RandomSource chance) {
        Map<String, Object> with = new LinkedHashMap<>();
        act.arguments().forEach(argument -> with.put(argument.id(), any(argument, chance)));
        return with;
    }

    private static List<Action> any(Run run, Manifest m, RandomSource chance) {
        List<Setting> live = m.settings().stream().filter(Setting::isLive).toList();
        double which = chance.unit();
        if (which < (m.clock() == Clock.STEPS ? 0.8 : 0.3) && !m.acts().isEmpty()) {
            Act act = m.acts().get((int) (chance.unit() * m.acts().size()));
            return List.of(new Action.Perform(act.id(), with(act, chance)));
        }
        if (which < 0.55 && !m.handles().isEmpty()) {
            Handle handle = m.handles().get((int) (chance.unit() * m.handles().size()));
            Frame frame = run.frame(m.views().get(0));
            double x = run.scene().of(handle.at().x()) + 0.1 * frame.width() * (chance.unit() - 0.5);
            double y = run.scene().of(handle.at().y()) + 0.1 * frame.height() * (chance.unit() - 0.5);
            return List.of(new Action.Grab(handle.id()), new Action.Move(x, y), new Action.LetGo());
        }
        if (live.isEmpty()) {
            return List.of();
        }
        Setting setting = live.get((int) (chance.unit() * live.size()));
        return List.of(new Action.Change(setting.id(), any(setting, chance)));
    }
}
