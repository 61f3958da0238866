package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How an apparatus looks in a list of many: with some settings, after some acts, at a moment, through a frame. It is a
 * run like any other, so what is shown there is what the apparatus does. Without a word it stands as it is at first.
 */
public final class Portrait {

    private record Cue(double at, Act act, Map<String, Object> with) {
    }

    private final Apparatus of;
    private final Map<String, Object> settings = new LinkedHashMap<>();
    private final List<Cue> cues = new ArrayList<>();
    private final List<Layer> layers = new ArrayList<>();
    private double moment;
    private Frame frame;

    Portrait(Apparatus of) {
        this.of = of;
    }

    /** With a setting other than at first; an amount in its unit, a choice by the id of its option. */
    public Portrait with(Setting setting, Object value) {
        settings.put(setting.id(), value);
        return this;
    }

    /** After an act at a time in model seconds; acts come in their order. */
    public Portrait doing(Act act, double at) {
        return doing(act, at, Map.of());
    }

    /** After an act with its arguments at a time. */
    public Portrait doing(Act act, double at, Map<String, Object> with) {
        cues.add(new Cue(at, act, with));
        return this;
    }

    /** At a moment, in model seconds. */
    public Portrait at(double seconds) {
        moment = seconds;
        return this;
    }

    /** With a layer shown. */
    public Portrait showing(Layer layer) {
        layers.add(layer);
        return this;
    }

    /** What is shown over it. */
    public List<Layer> layers() {
        return List.copyOf(layers);
    }

    /** Seen through a frame of its own, when the first view's would show too much or too little. */
    public Portrait through(double left, double bottom, double width, double height) {
        frame = new Frame(left, bottom, width, height);
        return this;
    }

    /** The run at its moment. */
    public Run run() {
        Run run = new Run(of, Settings.of(of.manifest(), settings), 1);
        for (Cue cue : cues) {
            run.advance(cue.at() - run.time(), null);
            run.act(new Action.Perform(cue.act().id(), cue.with()));
        }
        if (moment > run.time()) {
            run.advance(moment - run.time(), null);
        }
        return run;
    }

    /** What of it is seen. */
    public Frame frame() {
        return frame != null ? frame : of.frame(of.manifest().views().get(0), Settings.of(of.manifest(), settings));
    }
}
