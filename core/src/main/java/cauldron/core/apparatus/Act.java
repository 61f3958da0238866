package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Something that can be done to an apparatus besides moving and setting, with arguments where it takes any. */
public final class Act extends Declared {

    private final Declaration owner;
    private final List<Setting> arguments = new ArrayList<>();
    private Condition possibleWhen;
    private boolean leads;
    private String told = "";
    private boolean answers;
    private boolean breaksOff;
    private List<Flag> cues = List.of();
    private Dragging dragging;
    private Amount pointingX;
    private Amount pointingY;

    Act(Declaration owner, String id, String name) {
        super(owner, id, name);
        this.owner = owner;
    }

    @Override
    String sort() {
        return "act";
    }

    /** Possible only while a flag of the scene is up. */
    public Act when(Flag flag) {
        stillOpen();
        possibleWhen = Condition.of(flag, true);
        return this;
    }

    /** Possible only while a flag of the scene is down. */
    public Act unless(Flag flag) {
        stillOpen();
        possibleWhen = Condition.of(flag, false);
        return this;
    }

    /** While it is possible it is what to do next, as nothing moves before; a bench puts it first. */
    public Act leads() {
        stillOpen();
        leads = true;
        return this;
    }

    boolean isLeading() {
        return leads;
    }

    /** While a person's time counts, any key or press does it, at the instant of that input; no button offers it. */
    public Act answers() {
        stillOpen();
        answers = true;
        return this;
    }

    /**
     * While a person's time counts, the page does it in the picture in which one of these flags of the scene is first seen,
     * or at the instant at which its tone is first heard; no button offers it.
     */
    public Act whenShown(Flag... flags) {
        stillOpen();
        cues = List.of(flags);
        return this;
    }

    /** It ends what a person's time counts; the page does it, too, when it goes out of sight meanwhile. */
    public Act breaksOff() {
        stillOpen();
        breaksOff = true;
        return this;
    }

    /** Whether it makes sense only with a person's time. */
    boolean isAPersons() {
        return answers || breaksOff || !cues.isEmpty();
    }

    /** How it is told that it was done, with arguments by their ids in braces; what is picked has to be told. */
    public Act told(String words) {
        stillOpen();
        told = words;
        return this;
    }

    /** An argument that is one of the things in a list. */
    public Pick pick(String id, String name, Items from) {
        return argument(new Pick(owner, id, name, from));
    }

    /** An argument that is a number in a unit. */
    public Amount amount(String id, String symbol, String name, String unit) {
        return argument(new Amount(owner, id, symbol, name, unit, false));
    }

    /** An argument that is one of several named things. */
    public <T> Choice<T> choice(String id, String name, Class<T> standsFor) {
        return argument(new Choice<>(owner, id, name));
    }

    /** What it is done with. */
    public List<Setting> arguments() {
        return List.copyOf(arguments);
    }

    private <S extends Setting> S argument(S argument) {
        stillOpen();
        arguments.add(argument);
        return argument;
    }

    /**
     * It is also done by dragging a thing; {@link Apparatus#dragged} tells what a place means.
     *
     * @param things where each of them is in the scene
     * @param radius how far around it can be taken hold of
     * @param many   how many of them there are
     */
    public Act dragging(List<Place> things, Coordinate radius, SceneNumber many) {
        stillOpen();
        dragging = new Dragging(things, radius, many, "", null);
        return this;
    }

    /**
     * It is also done by dragging one of some things that are always there, each an option of one of its choices.
     *
     * @param things where each of them is in the scene, in the order of the options
     */
    public Act dragging(List<Place> things, Coordinate radius, Choice<?> named) {
        stillOpen();
        dragging = new Dragging(things, radius, null, "", named);
        return this;
    }

    /** It is also done by dragging one thing that is always there; {@link Apparatus#dragged} tells what a place means. */
    public Act dragging(Place thing, Coordinate radius, String called) {
        stillOpen();
        dragging = new Dragging(List.of(thing), radius, null, called, null);
        return this;
    }

    /** It is done by pointing at a place in the picture, which two of its arguments tell; no button offers it. */
    public Act pointing(Amount x, Amount y) {
        stillOpen();
        pointingX = x;
        pointingY = y;
        return this;
    }

    /** What pointing at a place in metres means. */
    public Action.Perform pointedAt(double x, double y) {
        return new Action.Perform(id(), Tree.of(pointingX.id(), pointingX.own(x), pointingY.id(), pointingY.own(y)));
    }

    private record Dragging(List<Place> things, Coordinate radius, SceneNumber many, String called, Choice<?> named) {

        Map<String, Object> toTree() {
            List<Object> all = new ArrayList<>();
            things.forEach(p -> all.add(Tree.of("xField", p.x().id(), "yField", p.y().id())));
            return Tree.of("things", all, "radiusField", radius.id(), "manyField", many == null ? "" : many.id(),
                    "called", called, "named", named == null ? "" : named.id());
        }
    }

    /** Whether it can be done. */
    boolean isPossible(Scene scene) {
        return possibleWhen == null || possibleWhen.holds(scene);
    }

    /**
     * What it is done with, checked.
     *
     * @param now the settings that rule, for what is picked from their lists
     */
    Settings read(Map<String, Object> with, Settings now) {
        Settings read = Settings.of(arguments, with, "“" + name() + "”");
        for (Setting argument : arguments) {
            if (argument instanceof Pick) {
                ((Pick) argument).among(now, read.kept(argument));
            }
        }
        return read;
    }

    /** What it says when it has been done: its name, or how it is told. */
    String inWords(Map<String, Object> with, Settings now) {
        String words = told.isEmpty() ? name() : told;
        Settings read = Settings.of(arguments, with, name());
        for (Setting argument : arguments) {
            Object value = read.kept(argument);
            String word = argument instanceof Pick ? ((Pick) argument).nameOf(now, value)
                    : argument instanceof Choice ? ((Choice<?>) argument).nameOf((String) value)
                    : ((Amount) argument).print((Double) value);
            words = words.replace("{" + argument.id() + "}", word);
        }
        return words;
    }

    void check(Manifest all, Faults faults) {
        if (possibleWhen != null) {
            possibleWhen.check(this, all, faults);
        }
        for (int i = 0; i < arguments.size(); i++) {
            arguments.get(i).check(faults);
            arguments.get(i).index(i);
            if (arguments.get(i) instanceof Pick) {
                faults.known(this, ((Pick) arguments.get(i)).from(), all.settings());
            }
        }
        for (Setting argument : arguments) {
            if (argument instanceof Pick && !told.contains("{" + argument.id() + "}")) {
                faults.add(this, "isn't told with its " + argument);
            }
        }
        cues.forEach(cue -> faults.known(this, cue, all.scene()));
        if (pointingX != null) {
            faults.known(this, pointingX, arguments);
            faults.known(this, pointingY, arguments);
        }
        if (dragging != null) {
            faults.known(this, dragging.radius(), all.scene());
            if (dragging.named() != null) {
                faults.known(this, dragging.named(), arguments);
                if (dragging.named().options().size() != dragging.things().size()) {
                    faults.add(this, "drags other things than its " + dragging.named() + " has options");
                }
            } else if (dragging.called().isEmpty()) {
                faults.known(this, dragging.many(), all.scene());
            }
            dragging.things().forEach(p -> faults.known(this, p.x(), all.scene()));
        }
    }

    /** All that pages need to know of it. */
    public Map<String, Object> toTree() {
        List<Object> with = new ArrayList<>();
        arguments.forEach(a -> with.add(a.toTree()));
        return Tree.of("id", id(), "name", name(), "shownWhen", Condition.text(possibleWhen), "leads", leads, "arguments",
                with, "dragging", dragging == null ? null : dragging.toTree(), "pointed", pointingX != null, "answers",
                answers, "breaksOff", breaksOff, "cues", cues.stream().map(Declared::id).toList());
    }
}
