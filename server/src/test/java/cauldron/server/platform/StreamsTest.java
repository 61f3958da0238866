package cauldron.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.core.task.AsyncTaskExecutor;

/** Everybody who waits is told so at once, not only the first few. */
class StreamsTest {

    @Test
    void allWhoMayWaitAreServedTogether() throws Exception {
        AsyncTaskExecutor hands = Streams.hands();
        CountDownLatch begun = new CountDownLatch(120);
        CountDownLatch end = new CountDownLatch(1);
        for (int i = 0; i < 120; i++) {
            hands.execute(() -> {
                begun.countDown();
                try {
                    end.await();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
        }
        assertThat(begun.await(30, TimeUnit.SECONDS)).isTrue();
        end.countDown();
    }
}
