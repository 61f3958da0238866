package cauldron.server.platform;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tools.jackson.databind.json.JsonMapper;

/**
 * Does work that takes a while, two pieces at once, and lets those who come later wait in a row. The answer is a stream of
 * lines of JSON: once a second the place in the row, at the end what was made, or the problem. When a line can't be
 * written any more, nobody waits, and the work ends.
 */
public final class Desk {

    private static final Logger LOG = LoggerFactory.getLogger(Desk.class);
    private static final int AT_ONCE = 2;
    private static final int LONGEST_ROW = 60;

    private final JsonMapper json;
    private final ExecutorService hands;
    private final List<Object> row = new CopyOnWriteArrayList<>();

    public Desk(String name, JsonMapper json) {
        this.json = json;
        this.hands = Executors.newFixedThreadPool(AT_ONCE, task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        });
    }

    /** Takes in a piece of work, whose outcome is turned into JSON; it should end when its thread is interrupted. */
    public StreamingResponseBody take(Callable<?> work) {
        if (row.size() >= LONGEST_ROW) {
            throw Problems.busy("Many are waiting for this just now. Try again in a minute.", 60);
        }
        return out -> {
            Object place = new Object();
            row.add(place);
            Future<?> future = hands.submit(work);
            try {
                wait(future, place, out);
            } finally {
                future.cancel(true);
                row.remove(place);
            }
        };
    }

    private void wait(Future<?> future, Object place, OutputStream out) throws IOException {
        Map<String, Object> last = new LinkedHashMap<>();
        while (true) {
            try {
                last.put("done", future.get(1, TimeUnit.SECONDS));
                break;
            } catch (TimeoutException e) {
                write(out, Map.of("place", Math.max(0, row.indexOf(place) + 1 - AT_ONCE)));
            } catch (ExecutionException e) {
                last.put("problem", problem(e.getCause()));
                break;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
        write(out, last);
    }

    private static Map<String, Object> problem(Throwable cause) {
        Map<String, Object> problem = new LinkedHashMap<>();
        if (cause instanceof ErrorResponseException e) {
            problem.put("status", e.getStatusCode().value());
            problem.put("detail", e.getBody().getDetail());
            Object field = e.getBody().getProperties() == null ? null : e.getBody().getProperties().get("field");
            problem.put("field", field == null ? "" : field);
        } else {
            LOG.error("work at a desk failed", cause);
            problem.put("status", 500);
            problem.put("detail", "The server could not do this. Try again in a moment.");
            problem.put("field", "");
        }
        return problem;
    }

    private void write(OutputStream out, Map<String, Object> line) throws IOException {
        out.write((json.writeValueAsString(line) + "\n").getBytes(StandardCharsets.UTF_8));
        out.flush();
    }
}
