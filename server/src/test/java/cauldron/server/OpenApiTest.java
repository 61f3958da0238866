package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The committed description of the interface, from which the TypeScript types are made, is the running
 * application's. {@code ./cauldron test -Dcauldron.openapi.write=true} writes it anew.
 */
@ExtendWith(ServerExtension.class)
class OpenApiTest {

    private static final Path FILE = Path.of("..", "web", "openapi.json");
    private static final JsonMapper JSON = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();

    @Test
    void theCommittedDescriptionIsTrue() throws IOException {
        ObjectNode running = (ObjectNode) JSON.readTree(new Visitor().get("/api/openapi.json").body());
        running.remove("servers");
        if (Boolean.getBoolean("cauldron.openapi.write")) {
            Files.writeString(FILE, JSON.writeValueAsString(JSON.treeToValue(running, java.util.TreeMap.class)) + "\n");
        }
        assertThat(JSON.readTree(Files.readString(FILE))).isEqualTo(running);
    }
}
