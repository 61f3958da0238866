package cauldron.e2e;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

/**
 * Load on the server in open loop: requests set out at fixed instants, whether or not those before them were answered, and
 * a latency counts from the instant that was planned. So a server that falls behind can't hide it by slowing down who asks.
 */
final class ServerLoad {

    private static final int STUDENTS = 120;
    private static final int TEACHERS = 40;
    private static final int A_CLASS = 30;
    private static final int SECONDS = 10;
    private static final int MOST_WARM_UPS = 4;
    private static final double UNHURRIED_MILLIS = 50;
    private static final int SENDERS = 300;

    private ServerLoad() {
    }

    static void measure(Rows out) throws Exception {
        String address = App.address();
        List<Client> students = new ArrayList<>();
        for (int i = 0; i < STUDENTS; i++) {
            students.add(new Client(address).join("KEEP34", "Load " + System.nanoTime()));
        }
        Client one = students.get(0);
        String film = one.recording("{\"cord\":\"shag\",\"release\":\"keel\",\"bob\":\"m240\"}");
        long from = System.nanoTime();
        int size = one.bytes(film).length;
        out.row("making and sending the lab's 60 s recording at 120 frames/s", "%.3f s, %.1f kB gzipped", (System.nanoTime() - from) / 1e9, size / 1000.0);
        AtomicInteger next = new AtomicInteger();
        System.setProperty("http.maxConnections", String.valueOf(SENDERS));
        ExecutorService senders = Executors.newFixedThreadPool(SENDERS);
        Supplier<CompletableFuture<Integer>> save = () -> students.get(next.getAndIncrement() % STUDENTS).saving(senders);
        warmUp(out, save);
        for (int rate : new int[] {200, 400, 800}) {
            report(out, "saving at " + rate + " entries/s for " + SECONDS + " s", openLoop(rate, SECONDS, save));
        }
        mixed(out, address, students, save);
        largest(out, students.get(1));
        senders.shutdown();
    }

    /**
     * Java's compiler has to see a path some ten thousand times, and on a slow day works at it for a minute. Once a save
     * takes as long as in the ten seconds before and none waits for others, it is a server that has run for a while.
     */
    private static void warmUp(Rows out, Supplier<CompletableFuture<Integer>> save) throws InterruptedException {
        double before = Double.POSITIVE_INFINITY;
        for (int i = 0; i < MOST_WARM_UPS; i++) {
            Figures f = openLoop(400, SECONDS, save);
            report(out, (i == 0 ? "just started" : "still warming up") + ": saving at 400 entries/s for " + SECONDS + " s", f);
            if (f.at(0.5) > 0.9 * before && f.at(0.95) < UNHURRIED_MILLIS) {
                return;
            }
            before = f.at(0.5);
        }
    }

    /** A table as long as one may be, kept in a few edits, and the report of that work. */
    private static void largest(Rows out, Client student) throws Exception {
        int rows = 20_000;
        StringBuilder order = new StringBuilder();
        for (int i = 0; i < rows; i++) {
            order.append(i == 0 ? "" : ",").append("\"r").append(i).append('"');
        }
        long from = System.nanoTime();
        student.entry("readings", "rows", "{\"order\":[" + order + "]}");
        int piece = 10_000;
        for (String column : new String[] {"L", "t"}) {
            for (int first = 0; first < rows; first += piece) {
                StringBuilder cells = new StringBuilder();
                for (int i = first; i < first + piece; i++) {
                    cells.append(i == first ? "" : ",").append("\"cell/r").append(i).append('/').append(column).append("\":{\"text\":\"88.5\"}");
                }
                student.entry("readings", "edit/" + column + first, "{\"slots\":{" + cells + "}}");
            }
        }
        out.row("keeping 40,000 cells and 20,000 rows as five entries", "%.2f s", (System.nanoTime() - from) / 1e9);
        student.entry("why", "answer", "{\"text\":\"" + "As long as an explanation may be. ".repeat(230) + "\"}");
        from = System.nanoTime();
        String report = student.ask("/api/works/" + student.work() + "/report", "{\"zone\":\"UTC\",\"pictures\":[]}");
        out.row("a report of the largest work", "%.2f s, %d kB", (System.nanoTime() - from) / 1e9, report.length() * 3 / 4000);
    }

    /** What a school in the first minutes of a lesson asks for together. */
    private static void mixed(Rows out, String address, List<Client> students, Supplier<CompletableFuture<Integer>> save) throws Exception {
        List<Client> teachers = new ArrayList<>();
        for (int i = 0; i < TEACHERS; i++) {
            Client teacher = new Client(address);
            teacher.ask("/api/session", "{\"userName\":\"tobiah\",\"secret\":\"lantern-harbour\"}");
            teachers.add(teacher);
        }
        String list = "/api/teaching/assignments/" + Client.find("\"labs\":\\[\\{\"id\":\"([^\"]+)\"", teachers.get(0).get("/api/teaching/classes").body());
        List<String> films = new ArrayList<>();
        String[] cords = {"tern", "petrel", "gannet", "shag", "skua"};
        for (int i = 0; i < A_CLASS; i++) {
            films.add(students.get(i).recording("{\"cord\":\"" + cords[i % cords.length] + "\",\"release\":\"bilge\",\"bob\":\"m120\"}"));
        }
        AtomicInteger who = new AtomicInteger();
        CompletableFuture<Figures> lists = CompletableFuture.supplyAsync(() -> run(TEACHERS / 5.0, SECONDS,
                () -> teachers.get(who.getAndIncrement() % TEACHERS).getting(list)));
        AtomicInteger which = new AtomicInteger();
        // All thirty within half a second.
        CompletableFuture<Figures> recordings = CompletableFuture.supplyAsync(() -> run(60, 0.5, () -> {
            int i = which.getAndIncrement() % A_CLASS;
            return students.get(i).getting(films.get(i));
        }), CompletableFuture.delayedExecutor(3, TimeUnit.SECONDS));
        Figures saves = openLoop(300, SECONDS, save);
        report(out, "together: saving at 300 entries/s", saves);
        report(out, "together: " + TEACHERS + " class lists every 5 s", lists.get());
        report(out, "together: a class of " + A_CLASS + " asks for recordings in half a second", recordings.get());
    }

    private record Figures(double[] millis, int failed) {

        double at(double share) {
            return millis.length == 0 ? Double.NaN : millis[(int) Math.min(millis.length - 1, Math.floor(share * millis.length))];
        }
    }

    private static void report(Rows out, String what, Figures f) {
        out.row(what, "median %.1f ms, p95 %.1f ms, p99 %.1f ms, %d answered, %d failed", f.at(0.5), f.at(0.95), f.at(0.99), f.millis().length, f.failed());
    }

    private static Figures run(double rate, double seconds, Supplier<CompletableFuture<Integer>> request) {
        try {
            return openLoop(rate, seconds, request);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static Figures openLoop(double rate, double seconds, Supplier<CompletableFuture<Integer>> request) throws InterruptedException {
        ScheduledExecutorService clock = Executors.newScheduledThreadPool(2);
        ConcurrentLinkedQueue<Double> millis = new ConcurrentLinkedQueue<>();
        AtomicInteger failed = new AtomicInteger();
        AtomicInteger open = new AtomicInteger();
        long begin = System.nanoTime() + 50_000_000;
        int all = (int) Math.round(rate * seconds);
        open.set(all);
        for (int i = 0; i < all; i++) {
            long planned = begin + (long) (i / rate * 1e9);
            clock.schedule(() -> request.get().whenComplete((status, e) -> {
                if (e == null && status == 200) {
                    millis.add((System.nanoTime() - planned) / 1e6);
                } else {
                    failed.incrementAndGet();
                }
                open.decrementAndGet();
            }), planned - System.nanoTime(), TimeUnit.NANOSECONDS);
        }
        long end = begin + (long) ((seconds + 30) * 1e9);
        while (open.get() > 0 && System.nanoTime() < end) {
            Thread.onSpinWait();
            clock.awaitTermination(20, TimeUnit.MILLISECONDS);
        }
        clock.shutdownNow();
        return new Figures(millis.stream().mapToDouble(Double::doubleValue).sorted().toArray(), failed.get() + open.get());
    }
}
