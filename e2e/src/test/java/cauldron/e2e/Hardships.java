package cauldron.e2e;

import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;

/** What students at work feel of somebody's huge bodies, and of a database that dies; part of {@link Bench}. */
final class Hardships {

    private static final int STUDENTS = 40;
    private static final int SENDERS = 150;
    private static final int RATE = 100;
    private static final int HUGE = 100_000_000;
    private static final int AT_ONCE = 8;
    private static final List<String> OPEN_TO_ALL = List.of("/api/session", "/api/join", "/api/enter", "/api/enter/look");

    private Hardships() {
    }

    /** A save: when it was to set out and when it was answered, in seconds from the beginning; 0 where it wasn't. */
    private record Save(double planned, double answered, int status) {

        double millis() {
            return (answered - planned) * 1000;
        }
    }

    static void measure(Rows out) throws Exception {
        List<Client> students = new ArrayList<>();
        for (int i = 0; i < STUDENTS; i++) {
            students.add(new Client(App.address()).join("KEEP34", "Hard " + System.nanoTime()));
        }
        ExecutorService senders = Executors.newFixedThreadPool(SENDERS);
        saves(students, senders, 4);
        CompletableFuture<Map<Integer, Long>> bodies = CompletableFuture.supplyAsync(Hardships::hugeBodies);
        List<Save> meanwhile = saves(students, senders, 8);
        out.row("saving at " + RATE + "/s while " + AT_ONCE * OPEN_TO_ALL.size() + " bodies of 100 MB come from nobody (goal p99 200)",
                "median %.1f ms, p99 %.1f ms, %d of %d kept; the bodies were answered %s", quantile(meanwhile, 0.5),
                quantile(meanwhile, 0.99), kept(meanwhile), meanwhile.size(), bodies.get());
        if (System.getProperty("cauldron.address") == null) {
            deadDatabase(out, students, senders);
        }
        senders.shutdown();
    }

    /** How often which status came; 0 where the connection was cut. */
    private static Map<Integer, Long> hugeBodies() {
        HttpClient http = HttpClient.newHttpClient();
        List<CompletableFuture<Integer>> all = new ArrayList<>();
        for (String path : OPEN_TO_ALL) {
            for (int i = 0; i < AT_ONCE; i++) {
                all.add(http.sendAsync(HttpRequest.newBuilder(URI.create(App.address() + path))
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofInputStream(Hardships::spaces)).build(), BodyHandlers.ofString())
                        .handle((answer, e) -> e == null ? answer.statusCode() : 0));
            }
        }
        return all.stream().map(CompletableFuture::join)
                .collect(Collectors.groupingBy(s -> s, TreeMap::new, Collectors.counting()));
    }

    private static InputStream spaces() {
        return new InputStream() {
            private int left = HUGE;

            @Override
            public int read() {
                return left-- > 0 ? ' ' : -1;
            }

            @Override
            public int read(byte[] buffer, int from, int length) {
                if (left <= 0) {
                    return -1;
                }
                int n = Math.min(left, length);
                left -= n;
                Arrays.fill(buffer, from, from + n, (byte) ' ');
                return n;
            }
        };
    }

    /** The database is killed under load and started by the script: what is answered meanwhile, and when all is well again. */
    private static void deadDatabase(Rows out, List<Client> students, ExecutorService senders) throws Exception {
        long begin = System.nanoTime();
        CompletableFuture<List<Save>> under = CompletableFuture.supplyAsync(() -> saves(students, senders, 20));
        TimeUnit.SECONDS.sleep(4);
        double killed = (System.nanoTime() - begin) / 1e9;
        App.killDatabase();
        App.start();
        double back = (System.nanoTime() - begin) / 1e9;
        List<Save> saves = under.get();
        double well = saves.stream().filter(s -> s.status == 200 && s.planned > killed + 0.5).mapToDouble(Save::answered).min()
                .orElse(Double.NaN);
        List<Save> refused = saves.stream().filter(s -> s.status != 200).toList();
        Map<Integer, Long> told = refused.stream().collect(Collectors.groupingBy(Save::status, TreeMap::new, Collectors.counting()));
        out.row("the database dies under " + RATE + " saves/s: refused meanwhile (goal 503 within 3 s)", "%s; the longest took %.2f s",
                told, refused.stream().mapToDouble(Save::millis).max().orElse(0) / 1000);
        out.row("the database dies under " + RATE + " saves/s: first save kept after it is back (goal 10 s)",
                "%.1f s after; it was away for %.1f s", Math.max(0, well - back), back - killed);
    }

    private static List<Save> saves(List<Client> students, ExecutorService senders, int seconds) {
        ConcurrentLinkedQueue<Save> done = new ConcurrentLinkedQueue<>();
        ScheduledExecutorService clock = Executors.newScheduledThreadPool(1);
        AtomicInteger next = new AtomicInteger();
        List<CompletableFuture<?>> open = new ArrayList<>();
        long begin = System.nanoTime();
        for (int i = 0; i < RATE * seconds; i++) {
            double planned = i / (double) RATE;
            CompletableFuture<Void> one = new CompletableFuture<>();
            open.add(one);
            clock.schedule(() -> students.get(next.getAndIncrement() % STUDENTS).saving(senders).handle((status, e) -> {
                done.add(new Save(planned, (System.nanoTime() - begin) / 1e9, e == null ? status : 0));
                one.complete(null);
                return null;
            }), (long) (planned * 1e9), TimeUnit.NANOSECONDS);
        }
        CompletableFuture.allOf(open.toArray(CompletableFuture[]::new)).join();
        clock.shutdown();
        return done.stream().sorted(Comparator.comparingDouble(Save::planned)).toList();
    }

    private static long kept(List<Save> saves) {
        return saves.stream().filter(s -> s.status == 200).count();
    }

    private static double quantile(List<Save> saves, double q) {
        double[] millis = saves.stream().mapToDouble(Save::millis).sorted().toArray();
        return millis[(int) Math.min(millis.length - 1, Math.floor(q * millis.length))];
    }
}
