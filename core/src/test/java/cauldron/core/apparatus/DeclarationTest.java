package cauldron.core.apparatus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.bead.Bead;
import cauldron.core.instrument.ruler.Ruler;
import cauldron.core.instrument.springscale.SpringScale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A declaration tells all that is wrong with it together, and can't be changed once it is closed. */
class DeclarationTest {

    /** Nothing wrong but what a test adds. */
    private abstract static class Whole extends Apparatus {

        Whole(String id) {
            super(id, 1, "Thing");
            about("A thing.", "things");
        }

        @Override
        public Experiment prepare(Settings settings, int seed) {
            throw new IllegalStateException("Nobody runs it");
        }

        @Override
        public Frame frame(View view, Settings settings) {
            return new Frame(0, 0, 1, 1);
        }
    }

    private static final class Faulty extends Whole {
        private final Channel foreign = new Bead().manifest().channel("x");
        final Amount length = amount("length", "L", "Length", "m").within(0, 1).first(2);
        final Amount again = amount("length", "l", "Length", "parsnip").within(1, 0).step(0);
        final Amount things = count("Things", "N", "Things").within(0, 3).first(0.5);
        final Choice<Double> size = choice("size", "Size", Double.class).option("a", "small", 1.0).option("b", "large", 1.0)
                .first("c");
        final Amount other = amount("other", "o", "Other", "").within(0, 1).when(size, 7.0);
        final Channel odd = channel("odd", "o", "Odd", "smoot").typically(1, 0).decimals(-1);
        final Flag nowhere = new Stray().flag;
        final Act act = act("do", "Do it").when(nowhere);
        final Layer trail = layer("trail", "Trail").trail(odd, foreign);
        final Handle handle = handle("grip", "grip", null, null);

        Faulty() {
            super("Not an id");
            time(0, 1, "blink");
            tray(Ruler.twoMetres(), Ruler.twoMetres(), SpringScale.upTo(1).called("unhooked", "Scale"));
            tray(SpringScale.upTo(3), foreign);
        }
    }

    @Test
    void allFaultsAreToldTogetherEachWithItsPlace() {
        DeclarationException told = catchThrowableOfType(DeclarationException.class, () -> new Faulty().manifest());
        assertThat(told.faults()).anySatisfy(f -> assertThat(f).startsWith("id “Not an id”"))
                .contains("setting “length”: begins with 2, outside its range", "setting “length”: declared twice",
                        "setting “length”: needs a range, the lower end first", "setting “length”: needs a step above 0",
                        "setting “Things”: an id has lower-case letters, digits, hyphens and full stops",
                        "setting “Things”: is a count, but begins or steps between whole numbers",
                        "setting “size”: has two options that stand for the same as “b”",
                        "setting “size”: begins with “c”, which it doesn't offer",
                        "setting “other”: depends on an option that setting “size” doesn't have",
                        "channel “odd”: needs a typical range, the lower end first", "channel “odd”: has 0 to 9 decimals, not -1",
                        "act “do”: names scene field “stray”, which isn't declared here",
                        "layer “trail”: names channel “x”, which isn't declared here",
                        "handle “grip”: names something not declared yet",
                        "tray: “unhooked” needs a channel to show", "tray: “ruler” lies there twice",
                        "tray: “spring-scale” is hooked into a channel that isn't declared here",
                        "time: interval and speed must be above 0, the fastest speed at least 1", "needs at least one view")
                .anySatisfy(f -> assertThat(f).startsWith("setting “length”: its unit can't be read"))
                .anySatisfy(f -> assertThat(f).startsWith("channel “odd”: its unit can't be read"))
                .anySatisfy(f -> assertThat(f).startsWith("time: its unit can't be read"));
        assertThat(told).hasMessageContaining("Thing:").hasMessageContaining(told.faults().get(0));
    }

    @Test
    void aPersonsTimeNeedsItsFlagAndAnswersNeedAPersonsTime() {
        class Timeless extends Whole {
            final Act answer = act("answer", "Answer").answers();
            final Act shown = act("shown", "Shown").whenShown(new Stray().flag);

            Timeless() {
                super("timeless");
            }
        }
        class Uncounted extends Whole {
            Uncounted() {
                super("uncounted");
                personsTime(new Stray().flag);
            }
        }
        assertThat(catchThrowableOfType(DeclarationException.class, () -> new Timeless().manifest()).faults()).contains(
                "time: there are answers to what is shown, but no person's time",
                "act “shown”: names scene field “stray”, which isn't declared here");
        assertThat(catchThrowableOfType(DeclarationException.class, () -> new Uncounted().manifest()).faults()).contains(
                "time: a person's counts while a flag of the scene is up, which isn't declared here");
    }

    @Test
    void aScaleFollowsAMarkThatThereIs() {
        class Odd extends Whole {
            final Distribution sizes = distribution("sizes", "d", "Size", "m").upTo(1).marks("mean").endingAt(2, 1);

            Odd() {
                super("odd");
            }
        }
        assertThat(catchThrowableOfType(DeclarationException.class, () -> new Odd().manifest()).faults())
                .contains("distribution “sizes”: has a scale that follows a mark it doesn't have");
    }

    @Test
    void whatIsClosedStaysAsItIs() {
        Bead bead = new Bead();
        Manifest manifest = bead.manifest();
        assertThat(bead.manifest()).isSameAs(manifest);
        Amount bend = (Amount) manifest.setting("bend");
        assertThatThrownBy(() -> bend.within(0, 1)).hasMessage("setting “bend” is declared already");
        assertThatThrownBy(() -> manifest.channel("x").decimals(5)).isInstanceOf(IllegalStateException.class);
    }

    @Test
    void unitsAreReadOnceAndRoundedOnce() {
        class Scales extends Whole {
            final Amount grams = amount("grams", "m", "Mass", "g").within(0, 1000);
            final Amount degrees = amount("degrees", "θ", "Angle", "°").within(-90, 90);
            final Choice<Double> radius = choice("radius", "Radius", Double.class).option("a", "small", 0.012)
                    .option("b", "large", 0.02);
            final Channel some = channel("some", "s", "Some", "m");
            final View view = view("view", "View");

            Scales() {
                super("scales");
            }
        }
        Scales scales = new Scales();
        Settings set = Settings.of(scales.manifest(), Map.of("grams", 70.0, "degrees", 30.0, "radius", "b"));
        assertThat(set.si(scales.grams)).isEqualTo(0.07);
        assertThat(set.si(scales.degrees)).isCloseTo(Math.PI / 6, within(1e-16));
        assertThat(set.value(scales.radius)).isEqualTo(0.02);
        for (int g = 1; g <= 1000; g++) {
            assertThat(Settings.of(scales.manifest(), Map.of("grams", (double) g)).si(scales.grams))
                    .isEqualTo(Double.parseDouble(g + "e-3"));
        }
    }
}
