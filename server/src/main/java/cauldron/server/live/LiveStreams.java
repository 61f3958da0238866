package cauldron.server.live;

import cauldron.server.classwork.Standings;
import cauldron.server.platform.Problems;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Tells pages that listen what has changed. Each server looks once a second, for all its listeners together and in few
 * queries: so saving costs nothing more, no server needs to know of another, and how much is asked of the database
 * doesn't grow with how much is written.
 */
@Component
class LiveStreams implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(LiveStreams.class);
    /** A page asks anew after so long, and it is looked anew whether it may listen. */
    private static final Duration LONGEST = Duration.ofMinutes(10);
    /** Pages of one person; more are no person's. */
    private static final int MOST_OF_ONE = 12;
    private static final int MOST = 6000;
    private static final int HANDS = 4;
    /** Ticks after which a page that has gone is noticed. */
    private static final int BEAT = 5;
    /**
     * A page that listens says every quarter of a minute that it is there. A network that is lost breaks no stream: for
     * minutes what is sent seems to arrive.
     */
    private static final Duration SILENT = Duration.ofSeconds(24);

    private record ClassListener(UUID person, LiveClasses.Watched watched, Feed<Seen.Moment> feed) {
    }

    private static final class WorkListener {
        private final UUID person;
        private final LiveWorks.Heard heard;
        private final String part;
        private final Feed<WorkNow> feed;
        private final long number;
        private volatile boolean fresh = true;
        private volatile long heardAt = System.nanoTime();

        WorkListener(long number, UUID person, LiveWorks.Heard heard, String part, Feed<WorkNow> feed) {
            this.number = number;
            this.person = person;
            this.heard = heard;
            this.part = part;
            this.feed = feed;
        }

        boolean isHeard() {
            return System.nanoTime() - heardAt < SILENT.toNanos();
        }
    }

    private final Set<ClassListener> classListeners = ConcurrentHashMap.newKeySet();
    private final Set<WorkListener> workListeners = ConcurrentHashMap.newKeySet();
    private final AtomicLong numbers = new AtomicLong();
    private final Standings.Memory memory = new Standings.Memory();
    private final LiveClasses classes;
    private final LiveWorks works;
    private final Presences presences;
    private final Followings followings;
    private final JsonMapper json;
    private ScheduledExecutorService looking;
    private ExecutorService hands;
    private long ticks;
    private boolean failed;

    LiveStreams(LiveClasses classes, LiveWorks works, Presences presences, Followings followings, JsonMapper json) {
        this.classes = classes;
        this.works = works;
        this.presences = presences;
        this.followings = followings;
        this.json = json;
    }

    /** A page of a teacher's that shows a class at work. Its first event has all students, later ones what changed. */
    SseEmitter watch(UUID person, UUID assignment, double quietMinutes) {
        Map<UUID, Seen.LiveLine> told = new LinkedHashMap<>();
        String[] head = {null};
        Function<Seen.Moment, String> toText = moment -> {
            Seen.LiveClass now = moment.with(quietMinutes);
            List<Seen.LiveLine> changed = now.students().stream().filter(l -> !l.equals(told.get(l.studentId())))
                    .toList();
            boolean whole = head[0] == null || now.students().size() != told.size()
                    || changed.stream().anyMatch(l -> !told.containsKey(l.studentId()));
            Seen.LiveClass sent = new Seen.LiveClass(now.id(), now.title(), now.classId(), now.className(), now.code(),
                    now.parts(), now.of(), now.paused(), whole, whole ? now.students() : changed);
            String above = now.title() + "\n" + now.className() + "\n" + now.code() + "\n" + now.paused();
            if (!whole && changed.isEmpty() && above.equals(head[0])) {
                return null;
            }
            head[0] = above;
            if (whole) {
                told.clear();
            }
            sent.students().forEach(l -> told.put(l.studentId(), l));
            return json.writeValueAsString(sent);
        };
        SseEmitter emitter = emitter(person);
        LiveClasses.Watched watched = classListeners.stream().filter(l -> l.watched().assignment().equals(assignment))
                .map(ClassListener::watched).findFirst().orElseGet(() -> new LiveClasses.Watched(assignment, person));
        ClassListener listener = new ClassListener(person, watched, new Feed<>(emitter, toText));
        listen(emitter, () -> classListeners.add(listener), () -> classListeners.remove(listener));
        return emitter;
    }

    /** A page that shows a work: the student's own, or the teacher's who follows it. */
    SseEmitter hear(UUID person, LiveWorks.Heard heard, String part) {
        String[] told = {null};
        SseEmitter emitter = emitter(person);
        WorkListener listener = new WorkListener(numbers.incrementAndGet(), person, heard, part,
                new Feed<>(emitter, now -> {
            String text = json.writeValueAsString(now);
            if (text.equals(told[0])) {
                return null;
            }
            told[0] = text;
            return text;
        }));
        listen(emitter, () -> {
            workListeners.add(listener);
            if (heard.followed()) {
                followings.tell(List.of(heard.work()));
            } else {
                presences.tell(Map.of(heard.work(), part));
            }
        }, () -> {
            boolean there = workListeners.remove(listener);
            // Who goes to another part, or has another tab, listens on.
            boolean on = workListeners.stream().anyMatch(l -> l.heard.equals(heard));
            if (there && !on && !heard.followed() && isRunning()) {
                hands.execute(() -> presences.left(heard.work()));
            }
        });
        return emitter;
    }

    /** A student's page says that it is there; false where it doesn't listen to this server. */
    boolean here(UUID person, UUID work) {
        List<WorkListener> own = workListeners.stream().filter(l -> l.person.equals(person)
                && l.heard.work().equals(work)
                && !l.heard.followed()).toList();
        own.forEach(l -> l.heardAt = System.nanoTime());
        return !own.isEmpty();
    }

    private SseEmitter emitter(UUID person) {
        long own = classListeners.stream().filter(l -> l.person().equals(person)).count()
                + workListeners.stream().filter(l -> l.person.equals(person)).count();
        if (own >= MOST_OF_ONE || classListeners.size() + workListeners.size() >= MOST) {
            throw Problems.busy("Too many pages listen just now. Close some of them.", 60);
        }
        return new SseEmitter(LONGEST.toMillis());
    }

    private static void listen(SseEmitter emitter, Runnable begin, Runnable end) {
        emitter.onCompletion(end);
        emitter.onTimeout(emitter::complete);
        emitter.onError(e -> end.run());
        try {
            // So that the page knows at once that it is heard.
            emitter.send(SseEmitter.event().comment(""));
            begin.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (RuntimeException e) {
            // What never began never ends by itself, and would count as a page that listens for ever.
            end.run();
            throw e;
        }
    }

    private void tick() {
        try {
            ticks++;
            tellClasses();
            tellWorks();
            if (ticks % Presences.TOLD_EVERY.toSeconds() == 0) {
                Map<UUID, String> here = new LinkedHashMap<>();
                // Where one of several pages of a work is looked at last, there its student is.
                workListeners.stream().filter(l -> !l.heard.followed() && l.isHeard())
                        .sorted(Comparator.comparingLong(l -> l.number)).forEach(l -> here.put(l.heard.work(), l.part));
                presences.tell(here);
            }
            if (ticks % Followings.TOLD_EVERY.toSeconds() == 0) {
                followings.tell(workListeners.stream().filter(l -> l.heard.followed()).map(l -> l.heard.work())
                        .distinct().toList());
            }
            if (ticks % BEAT == 0) {
                classListeners.forEach(l -> l.feed().beat(hands));
                workListeners.forEach(l -> l.feed.beat(hands));
            }
            failed = false;
        } catch (RuntimeException e) {
            // The database is away, say: it is looked again in a second, and told once.
            if (!failed) {
                LOG.warn("listeners can't be told just now: {}", e.toString());
            }
            failed = true;
        }
    }

    private void tellClasses() {
        if (classListeners.isEmpty()) {
            return;
        }
        Set<LiveClasses.Watched> watched = new LinkedHashSet<>();
        classListeners.forEach(l -> watched.add(l.watched()));
        List<LiveClasses.Watched> gone = new ArrayList<>();
        Map<LiveClasses.Watched, Seen.Moment> moments = classes.look(watched, memory, gone);
        for (ClassListener l : classListeners) {
            if (gone.contains(l.watched())) {
                l.feed().end();
            } else if (moments.containsKey(l.watched())) {
                l.feed().tell(moments.get(l.watched()), hands);
            }
        }
    }

    private void tellWorks() {
        if (workListeners.isEmpty()) {
            return;
        }
        Set<UUID> changed = works.changed();
        List<WorkListener> due = workListeners.stream().filter(l -> l.fresh || l.heard.followed()
                || changed.contains(l.heard.work()) || changed.contains(l.heard.assignment())
                || changed.contains(l.heard.classId())).toList();
        if (due.isEmpty()) {
            return;
        }
        Map<LiveWorks.Heard, WorkNow> now = works.now(due.stream().map(l -> l.heard).distinct().toList());
        for (WorkListener l : due) {
            l.fresh = false;
            l.feed.tell(now.get(l.heard), hands);
        }
    }

    @Override
    public synchronized void start() {
        hands = Executors.newFixedThreadPool(HANDS, named("live-hands"));
        looking = Executors.newSingleThreadScheduledExecutor(named("live"));
        looking.scheduleWithFixedDelay(this::tick, 1, 1, TimeUnit.SECONDS);
    }

    private static ThreadFactory named(String name) {
        return task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    /** Ends all streams, before the web server waits for what is under way. */
    @Override
    public synchronized void stop() {
        looking.shutdownNow();
        looking = null;
        classListeners.forEach(l -> l.feed().end());
        workListeners.forEach(l -> l.feed.end());
        hands.shutdown();
    }

    @Override
    public synchronized boolean isRunning() {
        return looking != null;
    }

    @Override
    public int getPhase() {
        return Integer.MAX_VALUE;
    }
}
