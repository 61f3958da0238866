package cauldron.server.trials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.apparatus.Film;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class CamerasTest {

    private static final int CLASS = 30;

    private final Cameras cameras = new Cameras(2);

    private static Film film() {
        return new Film(60, 1, 10, 10, 1, Map.of(), List.of(), Map.of(), new double[0], new short[10]);
    }

    @Test
    void aClassThatAsksAtOnceIsServedTwoByTwo() throws Exception {
        AtomicInteger shooting = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        CountDownLatch two = new CountDownLatch(2);
        ExecutorService students = Executors.newFixedThreadPool(CLASS);
        List<Future<Film>> films = IntStream.range(0, CLASS).mapToObj(i -> students.submit(() -> cameras.film("film " + i, () -> {
            most.accumulateAndGet(shooting.incrementAndGet(), Math::max);
            two.countDown();
            // The first waits until a second is at work beside it.
            await(two);
            shooting.decrementAndGet();
            return film();
        }))).toList();
        for (Future<Film> film : films) {
            assertThat(film.get()).isNotNull();
        }
        students.shutdown();
        assertThat(most).hasValue(2);
    }

    @Test
    void whatWasShotLatelyIsGivenWhileEveryCameraIsAtWork() throws Exception {
        Film kept = cameras.film("kept", CamerasTest::film);
        CountDownLatch begun = new CountDownLatch(2);
        CountDownLatch end = new CountDownLatch(1);
        ExecutorService others = Executors.newFixedThreadPool(2);
        for (int i = 0; i < 2; i++) {
            int n = i;
            others.submit(() -> cameras.film("long " + n, () -> {
                begun.countDown();
                await(end);
                return film();
            }));
        }
        begun.await();
        assertThat(cameras.film("kept", () -> {
            throw new AssertionError("shot again");
        })).isSameAs(kept);
        end.countDown();
        others.shutdown();
    }

    @Test
    void oneThatCantBeShotIsToldAndItsCameraIsFreeAgain() {
        for (int i = 0; i < 5; i++) {
            assertThatThrownBy(() -> cameras.film("broken", () -> {
                throw new IllegalArgumentException("no such lens");
            })).hasMessage("no such lens");
        }
        assertThat(cameras.film("broken", CamerasTest::film)).isNotNull();
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
