package cauldron.server;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Server-sent events as they come in. */
final class Events implements AutoCloseable {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final long PATIENCE = 60;

    private final BlockingQueue<String> lines = new LinkedBlockingQueue<>();
    private final InputStream in;

    Events(InputStream in) {
        this.in = in;
        Thread reader = new Thread(this::read, "events");
        reader.setDaemon(true);
        reader.start();
    }

    private void read() {
        try (BufferedReader text = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            for (String line = text.readLine(); line != null; line = text.readLine()) {
                if (line.startsWith("data:")) {
                    lines.add(line.substring("data:".length()));
                }
            }
        } catch (IOException e) {
            // Closed.
        }
        lines.add("");
    }

    /** The next event of which something is true; fails where none comes, or the stream ends. */
    JsonNode until(Predicate<JsonNode> wanted) {
        StringBuilder others = new StringBuilder();
        while (true) {
            String line;
            try {
                line = lines.poll(PATIENCE, TimeUnit.SECONDS);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            if (line == null || line.isEmpty()) {
                throw new AssertionError((line == null ? "waited in vain" : "the stream ended") + " after" + others);
            }
            JsonNode event = JSON.readTree(line);
            if (wanted.test(event)) {
                return event;
            }
            others.append('\n').append(line);
        }
    }

    /** All that came till now and was not looked at. */
    String left() {
        return String.join("\n", lines);
    }

    @Override
    public void close() {
        try {
            in.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
