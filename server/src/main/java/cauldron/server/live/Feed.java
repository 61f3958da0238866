package cauldron.server.live;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * One page that listens. Of what it hasn't been told yet only the newest is kept: a page whose network is slow misses
 * states in between, never the last one, and takes no memory for them.
 *
 * @param <T> what it is told of
 */
final class Feed<T> {

    private static final MediaType TEXT = new MediaType("text", "plain", StandardCharsets.UTF_8);

    private final SseEmitter emitter;
    private final Function<T, String> toText;
    private final AtomicReference<T> next = new AtomicReference<>();
    private final AtomicBoolean busy = new AtomicBoolean();
    private final AtomicBoolean beat = new AtomicBoolean();

    /**
     * A listener.
     *
     * @param toText what to send of a state, given all that was sent before; null where nothing is to be said. It is
     *               never asked twice at once
     */
    Feed(SseEmitter emitter, Function<T, String> toText) {
        this.emitter = emitter;
        this.toText = toText;
    }

    /** Tells a newer state, as soon as the page takes it. */
    void tell(T state, Executor hands) {
        next.set(state);
        start(hands);
    }

    /** Sends a sign of life, by which a page that has gone is noticed. */
    void beat(Executor hands) {
        beat.set(true);
        start(hands);
    }

    void end() {
        emitter.complete();
    }

    private void start(Executor hands) {
        if (busy.compareAndSet(false, true)) {
            hands.execute(() -> send(hands));
        }
    }

    private void send(Executor hands) {
        try {
            T state = next.getAndSet(null);
            String text = state == null ? null : toText.apply(state);
            if (text != null) {
                beat.set(false);
                emitter.send(SseEmitter.event().data(text, TEXT));
            } else if (beat.getAndSet(false)) {
                emitter.send(SseEmitter.event().comment(""));
            }
        } catch (IOException | IllegalStateException e) {
            // The page has gone; the emitter says so to whoever keeps the list.
            emitter.completeWithError(e);
            return;
        } finally {
            busy.set(false);
        }
        if (next.get() != null) {
            start(hands);
        }
    }
}
