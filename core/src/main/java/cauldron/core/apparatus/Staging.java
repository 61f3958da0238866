package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A run that an apparatus keeps ready: with some settings, after some acts, at a moment. Without a word it stands as it
 * is at first.
 *
 * @param <S> itself
 */
abstract class Staging<S extends Staging<S>> {

    private final Apparatus of;
    private final Map<String, Object> settings = new LinkedHashMap<>();
    private final List<Recipe.Timed> actions = new ArrayList<>();
    private final List<Layer> layers = new ArrayList<>();
    private double moment;

    Staging(Apparatus of) {
        this.of = of;
    }

    abstract S self();

    final Apparatus of() {
        return of;
    }

    /** With a setting other than at first; an amount in its unit, a choice by the id of its option. */
    public final S with(Setting setting, Object value) {
        settings.put(setting.id(), value);
        return self();
    }

    /** After an act at a time in model seconds, or at a step; acts come in their order. */
    public final S doing(Act act, double at) {
        return doing(act, at, Map.of());
    }

    /** After an act with its arguments. */
    public final S doing(Act act, double at, Map<String, Object> with) {
        actions.add(new Recipe.Timed(at, new Action.Perform(act.id(), with)));
        return self();
    }

    /** At a moment, in model seconds or steps. */
    public final S at(double when) {
        moment = when;
        return self();
    }

    /** With a layer shown. */
    public final S showing(Layer layer) {
        layers.add(layer);
        return self();
    }

    /** What is shown over it. */
    public final List<Layer> layers() {
        return List.copyOf(layers);
    }

    /** The settings it begins with. */
    final Settings settings() {
        return Settings.of(of.manifest(), settings);
    }

    /** What it takes to have it again. */
    final Recipe recipe() {
        return new Recipe(of.manifest().id(), of.manifest().modelVersion(), settings().toTree(), 1, List.copyOf(actions));
    }

    /** The moment it is shown at. */
    final double moment() {
        return moment;
    }

    /** The run at its moment. */
    public final Run run() {
        Run run = new Run(of, settings(), 1);
        for (Recipe.Timed timed : actions) {
            if (timed.time() > run.time()) {
                run.seek(timed.time());
            }
            run.act(timed.action());
        }
        if (moment > run.time()) {
            run.seek(moment);
        }
        return run;
    }
}
