package cauldron.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * Sets of the NIST Statistical Reference Datasets with certified results: all sets of a directory, ours or the
 * one named by the system property {@code cauldron.reference.dir}. The score is the number of right digits.
 */
class ReferenceSetsTest {

    private static final Path OWN = Path.of("src/test/resources/nist");
    /** What must be reached on the sets that were named beforehand; on others six, or a reason. */
    private static final Map<String, Double> WANTED = Map.of("Norris", 9.0, "Pontius", 9.0, "NoInt1", 9.0, "Wampler1", 9.0,
            "PiDigits", 13.0, "Lottery", 13.0, "NumAcc3", 9.0);
    private static final Set<String> MUST_FIT = Set.of("Norris", "Pontius", "NoInt1", "Wampler1", "Misra1a", "DanWood",
            "Chwirut2", "Thurber");

    @TestFactory
    Stream<DynamicTest> everySet() throws IOException {
        Path directory = Path.of(System.getProperty("cauldron.reference.dir", OWN.toString()));
        List<Path> sets;
        try (Stream<Path> files = Files.list(directory)) {
            sets = files.filter(f -> f.toString().endsWith(".json")).sorted().toList();
        }
        assertThat(sets).as("sets in " + directory).isNotEmpty();
        return sets.stream().flatMap(ReferenceSetsTest::tests);
    }

    private static Stream<DynamicTest> tests(Path file) {
        JsonNode set = new ObjectMapper().readTree(file);
        String name = set.get("name").asString();
        List<Map<String, Double>> rows = rows(file.resolveSibling(set.get("data").asString()));
        if (set.has("mean")) {
            return Stream.of(DynamicTest.dynamicTest(name, () -> univariate(name, set, rows)));
        }
        if (rows.get(0).size() != 2) {
            return Stream.of(DynamicTest.dynamicTest(name + " skipped", () -> {
                System.out.println(name + ": skipped, it has several predictors");
                assumeThat(rows.get(0).size()).isEqualTo(2);
            }));
        }
        if (set.has("terms")) {
            return Stream.of(DynamicTest.dynamicTest(name, () -> fit(name, set, rows, "")));
        }
        return Stream.of("start1", "start2").map(s -> DynamicTest.dynamicTest(name + " " + s, () -> fit(name, set, rows, s)));
    }

    private static List<Map<String, Double>> rows(Path csv) {
        List<Map<String, Double>> rows = new ArrayList<>();
        try (CsvReader<NamedCsvRecord> reader = CsvReader.builder().ofNamedCsvRecord(csv)) {
            for (NamedCsvRecord record : reader) {
                Map<String, Double> row = new LinkedHashMap<>();
                record.getFieldsAsMap().forEach((k, v) -> row.put(k, Double.parseDouble(v)));
                rows.add(row);
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return rows;
    }

    private static double[] column(List<Map<String, Double>> rows, String name) {
        return rows.stream().mapToDouble(r -> r.get(name)).toArray();
    }

    /** Right digits; of something that is certified to be nought, places after the point. */
    private static double digits(double value, double certified) {
        double error = Math.abs(value - certified) / (certified == 0 ? 1 : Math.abs(certified));
        return error == 0 ? 15 : Math.max(0, Math.min(15, -Math.log10(error)));
    }

    private static void univariate(String name, JsonNode set, List<Map<String, Double>> rows) {
        Statistics s = Statistics.of(column(rows, "y"));
        double mean = digits(s.mean(), set.get("mean").asDouble(Double.parseDouble(set.get("mean").asString())));
        double sd = digits(s.sd(), Double.parseDouble(set.get("stdDev").asString()));
        System.out.printf("%s: mean %.1f digits, standard deviation %.1f digits%n", name, mean, sd);
        assertThat(Math.min(mean, sd)).isGreaterThanOrEqualTo(WANTED.getOrDefault(name, 6.0));
    }

    private static void fit(String name, JsonNode set, List<Map<String, Double>> rows, String startName) {
        Map<String, Double> start = new LinkedHashMap<>();
        List<String> names = new ArrayList<>();
        for (JsonNode p : set.get("parameters")) {
            names.add(p.get("name").asString());
            if (!startName.isEmpty()) {
                start.put(p.get("name").asString(), p.get(startName).asDouble());
            }
        }
        String label = (name + " " + startName).strip();
        CurveFit.Result result;
        try {
            Formula model = CurveFit.read(model(set, names), "x", names);
            result = new CurveFit(model, "x", names, column(rows, "x"), column(rows, "y"), null).fit(start, false);
        } catch (IllegalArgumentException e) {
            System.out.println(label + ": no fit: " + e.getMessage());
            assertThat(MUST_FIT).as(label + ": " + e.getMessage()).doesNotContain(name);
            return;
        }
        double values = 15;
        double deviations = 15;
        for (int k = 0; k < names.size(); k++) {
            JsonNode p = set.get("parameters").get(k);
            values = Math.min(values, digits(result.values()[k], Double.parseDouble(p.get("certified").asString())));
            deviations = Math.min(deviations, digits(result.uncertainties()[k], Double.parseDouble(p.get("stdDev").asString())));
        }
        System.out.printf("%s: parameters %.1f digits, standard deviations %.1f digits%n", label, values, deviations);
        double wanted = WANTED.getOrDefault(name, 6.0);
        assertThat(values).as(label + ", parameters").isGreaterThanOrEqualTo(wanted);
        if (MUST_FIT.contains(name)) {
            assertThat(deviations).as(label + ", standard deviations").isGreaterThanOrEqualTo(wanted);
        }
    }

    /** The model as published, or the sum of its terms. */
    private static String model(JsonNode set, List<String> names) {
        if (set.has("model")) {
            return set.get("model").asString();
        }
        List<String> terms = new ArrayList<>();
        for (int k = 0; k < names.size(); k++) {
            String term = set.get("terms").get(k).asString();
            terms.add(term.equals("1") ? names.get(k) : names.get(k) + "*(" + term + ")");
        }
        return "y = " + String.join(" + ", terms);
    }
}
