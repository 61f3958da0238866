package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.form.Schemas;
import cauldron.core.sheet.Sheet;
import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion.VersionFlag;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/**
 * The description of a lab that editors of such files can use is made from what reads labs, and is as strict. Write it
 * with {@code -Dcauldron.schema.write=true}.
 */
class LabSchemaTest {

    private static final Path FILE = Path.of("..", "docs", "lab.schema.json");
    private static final Path LABS = Path.of("src", "main", "resources", "labs");
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static JsonSchema schema() throws IOException {
        return JsonSchemaFactory.getInstance(VersionFlag.V202012).getSchema(Files.readString(FILE));
    }

    private static Set<ValidationMessage> faults(String lab) throws IOException {
        return schema().validate(lab, InputFormat.JSON);
    }

    @Test
    void theDescriptionIsThatOfToday() throws IOException {
        String now = JSON.writerWithDefaultPrettyPrinter().writeValueAsString(Schemas.document(Sheet.form())) + "\n";
        if (Boolean.getBoolean("cauldron.schema.write")) {
            Files.writeString(FILE, now);
        }
        assertThat(JSON.readTree(Files.readString(FILE))).isEqualTo(JSON.readTree(now));
    }

    @Test
    void everyShippedLabKeepsToIt() throws IOException {
        try (Stream<Path> labs = Files.list(LABS)) {
            for (Path lab : labs.toList()) {
                assertThat(faults(Files.readString(lab))).as(lab.toString()).isEmpty();
            }
        }
    }

    @Test
    void aSlipOfThePenIsNoLab() throws IOException {
        String lab = Files.readString(LABS.resolve("lamp-clock.json"));
        assertThat(faults(lab.replaceFirst("\"minutes\"", "\"minuets\""))).isNotEmpty();
        assertThat(faults(lab.replaceFirst("\"type\": *\"films\"", "\"type\": \"flims\""))).isNotEmpty();
        Map<?, ?> written = Sheet.fromTree(JSON.readValue(lab, Map.class)).toTree();
        assertThat(faults(JSON.writeValueAsString(written))).as("what is written is what is described").isEmpty();
    }
}
