package cauldron.core.apparatus;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A kind of apparatus: what it declares, in the fields of a subclass, and how one is made. One object stands for the
 * kind; it holds no state of any run.
 */
public abstract class Apparatus extends Declaration {

    private final String id;
    private final int modelVersion;
    private final String name;
    private String summary = "";
    private List<String> topics = List.of();
    private double interval = 1.0 / 60;
    private double speed = 1;
    private double fastest = 8;
    private String timeUnit = "s";
    private String scaleNote = "drawn to scale";
    private Clock clock = Clock.CONTINUOUS;
    private Flag counting;
    private final Portrait portrait = new Portrait(this);
    private final List<SetUp> setUps = new ArrayList<>();
    private Manifest manifest;

    /**
     * A kind of apparatus.
     *
     * @param id           lower-case letters, digits and hyphens; without the hyphens the name of its package
     * @param modelVersion rises when the same recipe would give other numbers
     * @param name         what people call it
     */
    protected Apparatus(String id, int modelVersion, String name) {
        this.id = id;
        this.modelVersion = modelVersion;
        this.name = name;
    }

    /** What it is and does, in a sentence, and what it is used to teach. */
    protected final void about(String sentence, String... about) {
        summary = sentence;
        topics = List.of(about);
    }

    /**
     * How its time runs; a sample every 1/60 s and true speed unless said.
     *
     * @param seconds between samples of the channels
     * @param atOnce  model seconds for each second on the wall at speed 1
     * @param unit    in which its time is shown
     */
    protected final void time(double seconds, double atOnce, String unit) {
        interval = seconds;
        speed = atOnce;
        timeUnit = unit;
    }

    /** The highest speed at which it can usefully be shown, as a multiple of speed 1; 8 unless said. */
    protected final void upToSpeed(double most) {
        fastest = most;
    }

    /** What its picture says of its scale, in small letters; “drawn to scale” unless said. */
    protected final void scale(String words) {
        scaleNote = words;
    }

    /** Its picture shows how things belong together, not how large they are: it has no grid and no scale. */
    protected final void schematic() {
        scaleNote = "";
    }

    /** It has no time: its time line is the list of what was done, and each moment on it a state in between. */
    protected final void steps() {
        clock = Clock.STEPS;
        time(1, 1, "");
    }

    /**
     * Its time is that of a person who answers: while a flag of the scene is up it goes on at the wall's own pace.
     *
     * @param whileUp up from the first thing done until the last was counted
     */
    protected final void personsTime(Flag whileUp) {
        clock = Clock.PERSON;
        counting = whileUp;
    }

    /**
     * All that it declares, closed at the first call, which must be over before other threads come: the inventory sees to
     * it. (A lock here would bring the browser's core all it takes to run threads.)
     *
     * @throws DeclarationException telling all that is wrong with it
     */
    public final Manifest manifest() {
        if (manifest == null) {
            Manifest closed = new Manifest(id, modelVersion, name, summary, topics, clock, counting, interval,
                    speed, fastest, timeUnit, scaleNote, List.copyOf(settings), List.copyOf(channels), List.copyOf(distributions), List.copyOf(events),
                    List.copyOf(views), List.copyOf(scene), List.copyOf(curves), List.copyOf(handles), List.copyOf(acts), List.copyOf(layers),
                    List.copyOf(bodies), List.copyOf(ledgers), List.copyOf(outcomes), List.copyOf(profiles), List.copyOf(forces),
                    List.copyOf(tray), hooks, List.copyOf(slips));
            closed.close();
            manifest = closed;
        }
        return manifest;
    }

    /** How it looks in lists; a subclass says so in its constructor. */
    public final Portrait portrait() {
        return portrait;
    }

    /**
     * A bench made ready for demonstrating one thing.
     *
     * @param about what to do with it and what it shows, for whoever stands before the class
     */
    protected final SetUp setUp(String setUpId, String setUpName, String about) {
        SetUp made = new SetUp(this, setUpId, setUpName, about);
        setUps.add(made);
        return made;
    }

    /** Benches made ready for demonstrating. */
    public final List<SetUp> setUps() {
        return List.copyOf(setUps);
    }

    /** They as plain data; each is run for it. */
    public final List<Object> setUpTrees() {
        List<Object> trees = new ArrayList<>();
        setUps.forEach(s -> trees.add(s.toTree()));
        return trees;
    }

    /** A fresh experiment. */
    public abstract Experiment prepare(Settings settings, int seed);

    /**
     * What a recipe of an older version of the model is now, where it still gives the same numbers: one whose setting
     * only got another name, say. Null where the numbers changed.
     */
    protected Recipe migrate(Recipe older) {
        return null;
    }

    /**
     * A recipe as today's model takes it. One that would give other numbers now is refused, never silently replayed.
     *
     * @throws OtherModelException telling why, for people
     */
    public final Recipe now(Recipe recipe) {
        int version = manifest().modelVersion();
        if (recipe.modelVersion() == version) {
            return recipe;
        }
        Recipe migrated = recipe.modelVersion() < version ? migrate(recipe) : null;
        if (migrated == null || migrated.modelVersion() != version) {
            throw new OtherModelException(manifest(), recipe.modelVersion());
        }
        return migrated;
    }

    /**
     * What a view shows.
     *
     * <p>It may follow the settings only in coarse steps, so that a film's frame doesn't give away a
     * hidden size.
     */
    public abstract Frame frame(View view, Settings settings);

    /**
     * What a handle moved to a place, in metres, means for the settings before a run has begun, such as the release
     * angle for a bob drawn aside. Means nothing unless an apparatus says so.
     */
    protected void placed(Handle handle, double x, double y, Settings settings, Placing placing) {
        // Most handles only mean something while it runs.
    }

    /**
     * What it means to drag one of an act's things to a place, in metres: with what the act is then done. What isn't
     * named is as it was chosen last.
     *
     * @param which the thing, from 0 on
     * @return null where nothing is meant
     */
    protected Map<String, Object> dragged(Act act, int which, double x, double y, Settings settings) {
        return null;
    }

    /** The same where it depends on how things stand now. */
    protected Map<String, Object> dragged(Act act, int which, double x, double y, Settings settings, Scene now) {
        return dragged(act, which, x, y, settings);
    }

    /**
     * What dragging one of an act's things to a place in metres means, as the act it comes to; null where it means nothing.
     *
     * @param scene     how things stand now
     * @param otherwise arguments as they were chosen last
     */
    final Action.Perform meant(Act act, int which, double x, double y, Settings now, Scene scene,
            Map<String, Object> otherwise) {
        Map<String, Object> meant = dragged(act, which, x, y, now, scene);
        if (meant == null) {
            return null;
        }
        Map<String, Object> with = new LinkedHashMap<>(otherwise);
        with.putAll(meant);
        return new Action.Perform(act.id(), with);
    }

    /** What a setting that was declared with a forecast will bring about; null where that can't be told now. */
    protected Forecast forecast(Setting setting, Settings settings) {
        return null;
    }

    /** What a setting will bring about under some settings; null where nothing is told. */
    public final Forecast forecast(String settingId, Settings settings) {
        return forecast(manifest().setting(settingId), settings);
    }

    /** What people should know of a setting that was declared as advised; null where there is nothing to say now. */
    protected Advice advice(Setting setting, Settings settings) {
        return null;
    }

    /** What people should know of a setting under some settings; null where nothing is told. */
    public final Advice advice(String settingId, Settings settings) {
        Setting setting = manifest().setting(settingId);
        return setting.isAdvised() ? advice(setting, settings) : null;
    }

    /** What a handle moved to a place means for the settings before a run has begun. */
    public final Placing placed(Handle handle, double x, double y, Settings settings) {
        Placing placing = new Placing();
        placed(handle, x, y, settings, placing);
        return placing;
    }
}
