package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.server.platform.Desk;
import cauldron.server.platform.Problems;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Slow work: two at once, a place in the row for who comes later, and an end where nobody waits. */
class DeskTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static CompletableFuture<List<JsonNode>> asked(Desk desk, java.util.concurrent.Callable<?> work) {
        StreamingResponseBody body = desk.take(work);
        return CompletableFuture.supplyAsync(() -> {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            try {
                body.writeTo(out);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            return out.toString(StandardCharsets.UTF_8).lines().map(JSON::readTree).toList();
        });
    }

    @Test
    void theThirdWaitsAndIsToldItsPlace() throws Exception {
        Desk desk = new Desk("test", JSON);
        CountDownLatch go = new CountDownLatch(1);
        List<CompletableFuture<List<JsonNode>>> all = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            CountDownLatch begun = new CountDownLatch(i < 2 ? 1 : 0);
            int n = i;
            all.add(asked(desk, () -> {
                begun.countDown();
                go.await();
                return n;
            }));
            assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        }
        // The third hears of its place each second; then the way is free.
        CompletableFuture.delayedExecutor(2500, TimeUnit.MILLISECONDS).execute(go::countDown);
        List<JsonNode> third = all.get(2).get(20, TimeUnit.SECONDS);
        assertThat(third.get(0).get("place").asInt()).isEqualTo(1);
        assertThat(third.get(third.size() - 1).get("done").asInt()).isEqualTo(2);
        assertThat(all.get(0).get().get(0).get("place").asInt()).isZero();
    }

    @Test
    void workEndsWhereNobodyWaits() throws Exception {
        Desk desk = new Desk("test", JSON);
        CountDownLatch ended = new CountDownLatch(1);
        StreamingResponseBody body = desk.take(() -> {
            try {
                new CountDownLatch(1).await();
                return "never";
            } catch (InterruptedException e) {
                ended.countDown();
                throw e;
            }
        });
        assertThatThrownBy(() -> body.writeTo(new OutputStream() {
            @Override
            public void write(int b) throws IOException {
                throw new IOException("the reader has left");
            }
        })).isInstanceOf(IOException.class);
        assertThat(ended.await(10, TimeUnit.SECONDS)).isTrue();
    }

    @Test
    void whatGoesWrongIsTheLastLineInWords() throws Exception {
        Desk desk = new Desk("test", JSON);
        JsonNode told = asked(desk, () -> {
            throw Problems.invalid("file", "File: not good.");
        }).get().get(0).get("problem");
        assertThat(told.toString()).contains("File: not good.", "\"field\":\"file\"", "400");
        JsonNode broken = asked(desk, () -> {
            throw new IllegalStateException("inner words");
        }).get().get(0).get("problem");
        assertThat(broken.toString()).contains("Try again").doesNotContain("inner words");
    }
}
