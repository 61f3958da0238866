package cauldron.core.block.films;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Recipe;
import cauldron.core.form.Where;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class MadeUpTest {

    private static FilmPlan.Option cord(String id, double from, double to) {
        return new FilmPlan.Option(id, id.toUpperCase(), Tree.of("length", Tree.of("from", from, "to", to)));
    }

    private static FilmsBlock pendulum(double seconds, FilmPlan.Option... cords) {
        return new FilmsBlock("films", "", new FilmPlan("pendulum", List.of("side"), 60, seconds,
                Tree.of("mass", 200.0, "held", false), List.of(new FilmPlan.Choice("cord", "Cord", List.of(cords))),
                        List.of(),
                List.of("ruler", "stopwatch")), 1);
    }

    @Test
    void fiveStudentsHaveValuesOfTheirOwnWithinTheRanges() {
        FilmsBlock block = pendulum(20, cord("a", 0.4, 0.45), cord("b", 0.6, 0.65));
        List<MadeUp.Student> students = MadeUp.students(block);
        assertThat(students).hasSize(MadeUp.STUDENTS);
        assertThat(students.stream().map(s -> s.values().get(0).value()).distinct()).hasSize(MadeUp.STUDENTS);
        for (MadeUp.Student s : students) {
            assertThat(s.values()).hasSize(2);
            assertThat(s.values().get(0).value()).isBetween(0.4, 0.45);
            assertThat(s.values().get(1).what()).startsWith("Cord B: Length");
            Recipe recipe = block.plan().recipe(Map.of("cord", "a"), s.seed(), 1);
            assertThat((Double) recipe.settings().get("length")).as("the value that their recordings have")
                    .isEqualTo(s.values().get(0).value(), within(1e-9));
        }
        assertThat(MadeUp.warnings(block)).isEmpty();
    }

    @Test
    void aChoiceWithNothingLeftForStudentsIsAFault() {
        for (FilmPlan.Option[] options : new FilmPlan.Option[][] {{},
            {new FilmPlan.Option("a", "A", true, Tree.of("length", 0.5))}}) {
            Where at = Where.strict();
            pendulum(20, options).plan().check(at);
            assertThat(at.faults()).singleElement().satisfies(f -> assertThat(f.what()).contains("Cord: ", "nothing"));
        }
    }

    @Test
    void rangesThatMakeAQuestionUnanswerableAreToldEachInWords() {
        assertThat(MadeUp.warnings(pendulum(20, cord("a", 0.43, 0.432), cord("b", 0.43, 0.432))))
                .anyMatch(w -> w.contains("Cord A and B can be so alike"));
        assertThat(MadeUp.warnings(pendulum(20, cord("a", 0.4, 0.45), cord("b", 2.4, 2.5))))
                .anyMatch(w -> w.contains("longer than anything on the tray measures"));
        assertThat(MadeUp.warnings(pendulum(4.5, cord("a", 0.2, 0.21), cord("b", 1.4, 1.45))))
                .anyMatch(w -> w.startsWith("Only ") && w.contains("Cord B"));
    }
}
