package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.twintanks.TwinTanks;
import cauldron.core.block.comparison.ComparisonBlock;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.drawing.Drawn;
import cauldron.core.marking.AnswerCheck;
import cauldron.core.marking.AnswerKey;
import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** What shipped labs call right is what their apparatus shows. */
class ShippedLabsTest {

    private static final Path LABS = Path.of("src", "main", "resources", "labs");
    private static final double SECONDS = 1200;
    private static final int FIGURES = 4;

    private static Sheet lab(String slug) throws IOException {
        return Sheet.fromTree(JsonMapper.builder().build().readValue(Files.readString(LABS.resolve(slug + ".json")), Map.class));
    }

    @Test
    void watersMixFastOrSlowlyAsTheTanksDo() throws IOException {
        ComparisonBlock block = (ComparisonBlock) lab("boat-tanks").block("fast");
        TwinTanks tanks = new TwinTanks();
        assertThat(block.options()).containsExactly("fast", "slow");
        for (ComparisonBlock.Case one : block.cases()) {
            Matcher said = Pattern.compile("(\\d+) °C above, (\\d+) °C below").matcher(one.text());
            assertThat(said.matches()).as(one.text()).isTrue();
            Run run = new Run(tanks, Settings.of(tanks.manifest(), Map.of("upper", Double.valueOf(said.group(1)), "lower",
                    Double.valueOf(said.group(2)), "section", "wide")), 1);
            run.seek(SECONDS);
            // Far from the half that the lab draws the line at: nobody's reading is in doubt.
            if (one.seen() == 1) {
                assertThat(run.read(run.manifest().channel("mixed"))).as(one.text()).isGreaterThan(0.7);
            } else {
                assertThat(run.read(run.manifest().channel("mixed"))).as(one.text()).isLessThan(0.1);
            }
        }
    }

    @Test
    void forcesOnAWagonAreItsWeightAndTheRailsPushAndNoForceOfMotion() throws IOException {
        Sheet lab = lab("coal-run");
        DrawingBlock block = (DrawingBlock) lab.block("forces");
        Drawn.Arrow weight = new Drawn.Arrow(1, 64, 46, 0, 34);
        Drawn.Arrow normal = new Drawn.Arrow(2, 64, 46, 17, -17);
        assertThat(found(lab, block, weight, normal).right()).isTrue();
        assertThat(found(lab, block, new Drawn.Arrow(1, 64, 46, 20, 20), normal).feedback()).contains("Weight points straight down");
        assertThat(found(lab, block, weight, new Drawn.Arrow(2, 64, 46, 0, -24)).feedback()).contains("square to itself");
        assertThat(found(lab, block, weight, normal, new Drawn.Arrow(3, 64, 46, 20, 20)).feedback()).endsWith("One arrow is too "
                + "many: “force of motion”.");
    }

    private static AnswerCheck.Result found(Sheet lab, DrawingBlock block, Drawn.Arrow... arrows) {
        Drawn drawn = new Drawn(List.of(), List.of(), List.of(arrows), List.of(), Map.of());
        return block.check(new Progress(lab, Map.of(block.id(), Map.of("drawn", drawn.toTree())), Map.of()).written());
    }

    /** Every slip that a lab names, typed as a student types it, meets its hint; what is right is right. */
    @Test
    void eachNamedSlipMeetsItsHint() throws IOException {
        int slips = 0;
        for (Path file : labs()) {
            String slug = file.getFileName().toString().replace(".json", "");
            for (NumberBlock question : lab(slug).blocks(NumberBlock.class)) {
                // What a student's own readings give stands in for what isn't known before they are made.
                AnswerKey key = Double.isNaN(question.key().value()) ? question.key().with(12.0) : question.key();
                String unit = key.unit().symbol();
                String where = slug + ", " + question.id();
                assertThat(AnswerCheck.check(Numbers.print(key.value(), FIGURES), unit, key).verdict()).as(where)
                        .isEqualTo(AnswerCheck.Verdict.RIGHT);
                for (AnswerKey.Slip slip : key.slips()) {
                    String typed = Numbers.print(key.value() * slip.factor(), FIGURES);
                    if (!Double.isNaN(slip.factor())) {
                        assertThat(AnswerCheck.check(typed, unit, key).feedback()).as("%s: %s %s", where, typed, unit)
                                .isEqualTo(slip.hint());
                        slips++;
                    }
                }
            }
        }
        assertThat(slips).isGreaterThan(80);
    }

    private static List<Path> labs() throws IOException {
        try (Stream<Path> files = Files.list(LABS)) {
            return files.filter(f -> f.toString().endsWith(".json")).sorted().toList();
        }
    }
}
