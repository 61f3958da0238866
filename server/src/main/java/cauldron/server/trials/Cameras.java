package cauldron.server.trials;

import cauldron.core.apparatus.Film;
import cauldron.server.platform.Problems;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/**
 * Shoots films and keeps those shot lately, for a class asks for the same again and again. No more are shot at once than
 * there are cameras: the films of thirty students wouldn't be ready sooner side by side, and whatever else a school sends
 * meanwhile would have to share the processors with all of them.
 */
final class Cameras {

    /** In numbers of 16 bits: about 60 MB. */
    private static final long FILMS_KEPT = 30_000_000;
    private static final int LONGEST_WAIT_SECONDS = 60;

    private final Cache<String, Film> films = Caffeine.newBuilder().maximumWeight(FILMS_KEPT)
            .weigher((String key, Film film) -> film.body().length).build();
    private final Semaphore free;

    Cameras(int atOnce) {
        free = new Semaphore(atOnce, true);
    }

    /**
     * The film of a key, in the order of asking where it has to be shot.
     *
     * @param shooting throws what the caller gets; nothing is kept then
     * @throws org.springframework.web.ErrorResponseException 429 after a minute's wait
     */
    Film film(String key, Supplier<Film> shooting) {
        Film kept = films.getIfPresent(key);
        if (kept != null) {
            return kept;
        }
        try {
            if (!free.tryAcquire(LONGEST_WAIT_SECONDS, TimeUnit.SECONDS)) {
                throw busy();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw busy();
        }
        try {
            return films.get(key, k -> shooting.get());
        } finally {
            free.release();
        }
    }

    private static RuntimeException busy() {
        return Problems.busy("Many recordings are being made just now. Try again in a minute.", LONGEST_WAIT_SECONDS);
    }
}
