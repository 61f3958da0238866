package cauldron.core.inventory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.Tree;
import cauldron.core.apparatus.Apparatus;
import cauldron.core.apparatus.Clock;
import cauldron.core.apparatus.Frame;
import cauldron.core.apparatus.Recipe;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.SetUp;
import cauldron.core.bead.Bead;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What holds for the list of apparatus and for every declaration on it. */
class InventoryTest {

    static List<Apparatus> all() {
        return Inventory.all();
    }

    @Test
    void thereAreSomeAndNoTwoOfOneId() {
        assertThat(Inventory.all()).hasSizeGreaterThanOrEqualTo(5);
        assertThat(Inventory.all().stream().map(a -> a.manifest().id())).doesNotHaveDuplicates();
        assertThatThrownBy(() -> Inventory.gather(List.of(new Bead(), new Bead())))
                .hasMessage("There are two apparatus “bead”");
        assertThatThrownBy(() -> Inventory.get("perpetuum-mobile")).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @MethodSource("all")
    void thePackageIsNamedLikeTheId(Apparatus apparatus) {
        String id = apparatus.manifest().id();
        assertThat(apparatus.getClass().getPackageName()).endsWith("." + id.replace("-", ""));
        assertThat(apparatus.getClass().getSimpleName()).isEqualToIgnoringCase(id.replace("-", ""));
    }

    /** What can be taken hold of is what it is about: in its portrait it is in view, with room around. */
    @ParameterizedTest
    @MethodSource("all")
    void itsPortraitShowsWhatItIsAbout(Apparatus apparatus) {
        Run run = apparatus.portrait().run();
        Frame frame = apparatus.portrait().frame();
        assertThat(isAnswered(apparatus) ? apparatus.manifest().acts().isEmpty()
                : apparatus.manifest().handles().isEmpty() && apparatus.manifest().acts().stream()
                .noneMatch(act -> act.toTree().containsKey("dragging"))).as("something to take hold of").isFalse();
        assertThat(apparatus.manifest().handles()).allSatisfy(h -> {
            assertThat(run.scene().of(h.at().x())).isBetween(frame.left(), frame.left() + frame.width());
            assertThat(run.scene().of(h.at().y())).isBetween(frame.bottom(), frame.bottom() + frame.height());
        });
        assertThat(frame.width() / frame.height()).as("nearly square, for a card").isBetween(0.6, 1.6);
    }

    /** What is kept ready for demonstrating can be run, and stands where it says. */
    @ParameterizedTest
    @MethodSource("all")
    void itsSetUpsRun(Apparatus apparatus) {
        assertThat(apparatus.setUps().stream().map(SetUp::id)).doesNotHaveDuplicates();
        for (Object tree : apparatus.setUpTrees()) {
            @SuppressWarnings("unchecked")
            Map<String, Object> setUp = (Map<String, Object>) tree;
            Run run = Run.replay(apparatus, Recipe.fromTree(Tree.map(setUp, "recipe")), Tree.number(setUp, "until"));
            assertThat(run.head()).isEqualTo(Tree.number(setUp, "until"));
            assertThat(Tree.number(setUp, "at")).isBetween(0.0, run.head());
            assertThat(Tree.text(setUp, "about")).hasSizeGreaterThan(40);
        }
    }

    private static boolean isAnswered(Apparatus apparatus) {
        return apparatus.manifest().clock() == Clock.PERSON;
    }

    @ParameterizedTest
    @MethodSource("all")
    void itSaysWhatTeachersNeed(Apparatus apparatus) {
        var manifest = apparatus.manifest();
        assertThat(manifest.slips()).as("what learners get wrong").hasSizeGreaterThanOrEqualTo(3);
        assertThat(manifest.summary()).endsWith(".");
        assertThat(isAnswered(apparatus)).as("read with an instrument, or by its own clock").isEqualTo(manifest.instruments().isEmpty());
        // What is over in an instant is built before it runs; who answers must not set anything meanwhile.
        assertThat(isAnswered(apparatus) || manifest.clock() == Clock.STEPS || manifest.speed() < 0.1 || manifest.settings().stream().anyMatch(s -> s.isLive()))
                .as("something that can change while it runs").isTrue();
    }
}
