package cauldron.core.apparatus.atomworkbench;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.chemistry.Shells;
import cauldron.core.drawing.Drawing;
import cauldron.core.drawing.Drawn;
import cauldron.core.drawing.Paper;
import cauldron.core.drawing.Spot;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The atom as a labelled drawing: every piece is there, in its place, and apart from its neighbours. */
class AtomDrawingTest {

    private static final AtomWorkbench ATOMS = new AtomWorkbench();

    private static Run run(int protons, int neutrons, int electrons) {
        return new Run(ATOMS, Settings.of(ATOMS.manifest(), Tree.of("protons", (double) protons, "neutrons",
                (double) neutrons, "electrons", (double) electrons)), 1);
    }

    @ParameterizedTest
    @CsvSource({"1, 0, 0", "1, 0, 1", "2, 2, 2", "9, 10, 10", "16, 18, 18", "26, 30, 24", "36, 48, 36"})
    void everyPieceIsThereInItsPlace(int p, int n, int e) {
        Drawing drawing = run(p, n, e).drawing();
        Paper paper = drawing.paper();
        Spot nucleus = paper.place("nucleus");
        assertThat(drawing.count(paper.piece("proton"), nucleus)).isEqualTo(p);
        assertThat(drawing.count(paper.piece("neutron"), nucleus)).isEqualTo(n);
        int[] shells = Shells.of(p, e);
        for (int i = 0; i < shells.length; i++) {
            Spot ring = paper.place("shell-" + (i + 1));
            assertThat(ring == null ? 0 : drawing.count(paper.piece("electron"), ring)).as("shell " + i).isEqualTo(shells[i]);
        }
        assertThat(drawing.drawn().pieces()).hasSize(p + n + e);
        int shown = (int) IntStream.of(shells).filter(s -> s > 0).count();
        assertThat(drawing.drawn().labels()).hasSize(shown + 1 + Math.min(n, 1));
        for (Drawn.Label label : drawing.drawn().labels().subList(0, shown)) {
            String named = drawing.paper().labels().get(label.label() - 1);
            assertThat(named).startsWith(drawing.paper().placeAt(label.x(), label.y()).name() + ":");
        }
        for (Drawn.Laid one : drawing.drawn().pieces()) {
            double size = paper.piece(one.piece()).size();
            assertThat(one.x() - size).isGreaterThanOrEqualTo(0);
            assertThat(one.y() - size).isGreaterThanOrEqualTo(0);
            assertThat(one.y() + size).isLessThanOrEqualTo(Paper.HEIGHT);
            for (Drawn.Laid other : drawing.drawn().pieces()) {
                if (one != other) {
                    assertThat(Math.hypot(one.x() - other.x(), one.y() - other.y())).as("%s over %s", one, other)
                            .isGreaterThan(1.8 * size);
                }
            }
        }
    }

    @Test
    void labelsPointAtWhatTheyName() {
        Drawing drawing = run(16, 18, 18).drawing();
        assertThat(drawing.paper().labels()).containsExactly("3rd shell: 8 electrons", "2nd shell: 8 electrons",
                "1st shell: 2 electrons", "16 protons", "18 neutrons");
        for (int i = 0; i < 3; i++) {
            Drawn.Label label = drawing.drawn().labels().get(i);
            assertThat(drawing.paper().placeAt(label.x(), label.y()).id()).isEqualTo("shell-" + (3 - i));
        }
        assertThat(drawing.isAt(drawing.paper().piece("proton"), drawing.drawn().labels().get(3).x(),
                drawing.drawn().labels().get(3).y())).isTrue();
        assertThat(drawing.isAt(drawing.paper().piece("neutron"), drawing.drawn().labels().get(4).x(),
                drawing.drawn().labels().get(4).y())).isTrue();
        assertThat(run(1, 0, 0).drawing().paper().labels()).as("no neutron, no shell").containsExactly("1 proton");
        assertThat(drawing.drawn().captions()).containsEntry("element", "sulfur, S").containsEntry("mass", "34")
                .containsEntry("charge", "2−");
        assertThat(run(11, 12, 10).drawing().drawn().captions()).containsEntry("charge", "+");
        assertThat(run(11, 12, 11).drawing().drawn().captions()).containsEntry("charge", "0");
    }

    @Test
    void itIsOfTheMomentShown() {
        Run run = run(1, 0, 0);
        run.act(new Action.Perform("neutron-in", Tree.of()));
        assertThat(run.drawing().drawn().captions()).containsEntry("mass", "2");
        run.seek(0);
        assertThat(run.drawing().drawn().captions()).containsEntry("mass", "1");
    }
}
