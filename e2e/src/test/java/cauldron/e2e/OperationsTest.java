package cauldron.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.BindException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** A school's own installation, from its first administrator to the backup that is brought back after a wreck. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Order(1)
class OperationsTest {

    private static Path data;
    private static Path elsewhere;
    private static int port;
    private static String printed;
    private static String code;
    private static Client teacher;

    @BeforeAll
    static void anEmptySchoolIsStarted() throws IOException {
        data = Files.createTempDirectory("cauldron-school");
        elsewhere = Files.createTempDirectory("cauldron-restored");
        try (ServerSocket free = new ServerSocket(0); ServerSocket alsoFree = new ServerSocket(0)) {
            port = free.getLocalPort();
            // Far from where databases of other tests begin to look: one of those could take the port while this one is dead.
            Files.writeString(data.resolve("database-port"), String.valueOf(alsoFree.getLocalPort()));
        }
        printed = start(data);
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        for (Path folder : List.of(data, elsewhere)) {
            App.script("stop", "--data", folder.toString());
            new ProcessBuilder("rm", "-rf", folder.toString(), Files.exists(folder.resolve("database-folder"))
                    ? Files.readString(folder.resolve("database-folder")) : folder.toString()).start().waitFor();
        }
    }

    private static String start(Path folder) {
        return App.script("start", "--no-demo", "--port", String.valueOf(port), "--data", folder.toString());
    }

    private static String address() {
        return "http://localhost:" + port;
    }

    @Test
    @Order(1)
    void aNewSchoolsFirstAdministratorMakesATeacherWhoMakesAClass() throws Exception {
        String way = Client.find("/enter#([A-Z0-9-]+)", printed);
        Client admin = new Client(address());
        admin.ask("/api/enter", "{\"code\":\"" + way + "\",\"userName\":\"keeper\",\"displayName\":\"The Keeper\",\"secret\":\"lens and lamp\"}");
        assertThat(App.script("start", "--data", data.toString())).contains("already running");
        String made = admin.ask("/api/admin/people", "{\"role\":\"TEACHER\",\"people\":[{\"displayName\":\"Hedvig Roe\"}]}");
        teacher = new Client(address());
        teacher.ask("/api/enter", "{\"code\":\"" + Client.find("\"code\":\"([^\"]+)\"", made) + "\",\"secret\":\"grey seal at noon\"}");
        String c = teacher.ask("/api/classes", "{\"name\":\"Physics 9\"}");
        code = Client.find("\"code\":\"([^\"]+)\"", c);
        String lab = Client.find("\"id\":\"([^\"]+)\",\"title\":\"The lamp keeper's clock\"", teacher.get("/api/labs").body());
        teacher.ask("/api/teaching/assignments", "{\"labId\":\"" + lab + "\",\"classes\":[{\"classId\":\""
                + Client.find("\"id\":\"([^\"]+)\"", c) + "\"}]}");
        assertThat(admin.get("/api/admin/health").body()).contains("diskSpace");
        assertThat(admin.get("/api/admin/metrics/jvm.memory.used").statusCode()).isEqualTo(200);
        assertThat(teacher.get("/api/admin/health").statusCode()).isEqualTo(403);
        assertThat(new Client(address()).get("/health").body()).isEqualTo("{\"status\":\"UP\"}");
    }

    @Test
    @Order(2)
    void theApplicationsRoleOwnsItsTablesAndNothingElse() throws Exception {
        try (Connection c = database(data); Statement s = c.createStatement()) {
            ResultSet r = s.executeQuery("select rolsuper or rolcreatedb or rolcreaterole, current_setting('data_checksums'),"
                    + " (select count(*) from pg_tables where schemaname = 'public' and tableowner <> current_user)"
                    + " from pg_roles where rolname = current_user");
            r.next();
            assertThat(r.getBoolean(1)).as("superuser").isFalse();
            assertThat(r.getString(2)).isEqualTo("on");
            assertThat(r.getInt(3)).as("tables of others").isZero();
        }
    }

    private static Connection database(Path folder) throws IOException, SQLException {
        return DriverManager.getConnection("jdbc:postgresql://127.0.0.1:" + Files.readString(folder.resolve("database-port")).strip() + "/cauldron",
                "cauldron_app", Files.readString(folder.resolve("application-password")).strip());
    }

    private static void kill(String file) throws IOException, InterruptedException {
        String pid = Files.readAllLines(Path.of(file)).get(0).strip();
        new ProcessBuilder("kill", "-9", pid).start().waitFor();
    }

    private static void killDatabase() throws IOException, InterruptedException {
        kill(Files.readString(data.resolve("database-folder")) + "/postmaster.pid");
    }

    @Test
    @Order(3)
    void aDeadDatabaseIsToldOfAndStartedAlone() throws Exception {
        Client student = new Client(address()).join(code, "Una Corrie");
        assertThat(student.save(UUID.randomUUID())).isEqualTo(200);
        String application = Files.readString(data.resolve("app.pid"));
        killDatabase();
        Instant since = Instant.now();
        int status = 200;
        HttpResponse<String> answer = null;
        // What had been answered a moment ago may still find its connection; then it is told, each time soon.
        while (status == 200 && Duration.between(since, Instant.now()).toSeconds() < 10) {
            answer = student.get("/api/assigned");
            status = answer.statusCode();
        }
        assertThat(status).isEqualTo(503);
        assertThat(answer.body()).contains("can't reach its database just now");
        assertThat(answer.headers().firstValue("Retry-After")).isPresent();
        Instant asked = Instant.now();
        assertThat(student.save(UUID.randomUUID())).isEqualTo(503);
        assertThat(Duration.between(asked, Instant.now())).isLessThan(Duration.ofSeconds(6));
        assertThatThrownBy(() -> App.script("status", "--data", data.toString())).hasMessageContaining("database      does not run");
        start(data);
        since = Instant.now();
        while (student.save(UUID.randomUUID()) != 200) {
            assertThat(Duration.between(since, Instant.now())).isLessThan(Duration.ofSeconds(10));
        }
        assertThat(Files.readString(data.resolve("app.pid"))).as("the application was left alone").isEqualTo(application);
        assertThat(App.script("status", "--data", data.toString())).contains("database      runs on port", "application   runs on port " + port, "since");
    }

    @Test
    @Order(4)
    void aDatabaseWhosePortWasTakenMeanwhileIsFoundAtAnother() throws Exception {
        Client student = new Client(address()).join(code, "Maud Finch");
        String application = Files.readString(data.resolve("app.pid"));
        String before = Files.readString(data.resolve("database-port")).strip();
        killDatabase();
        try (ServerSocket somebody = taking(Integer.parseInt(before))) {
            assertThat(start(data)).contains("had to take another port");
            assertThat(Files.readString(data.resolve("database-port")).strip()).isNotEqualTo(before);
            assertThat(Files.readString(data.resolve("app.pid"))).isNotEqualTo(application);
            assertThat(student.save(UUID.randomUUID())).isEqualTo(200);
            assertThat(somebody.isBound()).isTrue();
        }
    }

    /** Takes a port as soon as whatever is left of a killed server lets go of it. */
    private static ServerSocket taking(int port) throws IOException {
        Instant since = Instant.now();
        while (true) {
            ServerSocket socket = new ServerSocket();
            try {
                socket.bind(new InetSocketAddress("127.0.0.1", port));
                return socket;
            } catch (BindException e) {
                socket.close();
                assertThat(Duration.between(since, Instant.now())).as("port %s", port).isLessThan(Duration.ofSeconds(20));
            }
        }
    }

    @Test
    @Order(5)
    void aDeadApplicationComesBackByItselfAndBothAreStartedAtOnce() throws Exception {
        Client student = new Client(address()).join(code, "Piet Hassan");
        String before = Files.readString(data.resolve("app.pid"));
        kill(data.resolve("app.pid").toString());
        Instant since = Instant.now();
        while (!isUp()) {
            assertThat(Duration.between(since, Instant.now())).isLessThan(Duration.ofMinutes(2));
        }
        assertThat(Files.readString(data.resolve("app.pid"))).isNotEqualTo(before);
        assertThat(Files.readString(data.resolve("log/keeper.log"))).contains("is started again");
        assertThat(flags(Files.readString(data.resolve("app.pid")).strip())).as("ends itself when its memory is full")
                .contains("-XX:+ExitOnOutOfMemoryError");
        kill(data.resolve("keeper.pid").toString());
        kill(data.resolve("app.pid").toString());
        killDatabase();
        // A log that was last written in yesterday is put by with its day, and kept.
        Path log = data.resolve("log/cauldron.log");
        String written = Files.readString(log);
        Instant yesterday = Instant.now().minus(Duration.ofDays(1));
        Files.setLastModifiedTime(log, FileTime.from(yesterday));
        start(data);
        try (Stream<Path> logs = Files.list(data.resolve("log"))) {
            assertThat(logs.map(p -> p.getFileName().toString()))
                    .anyMatch(n -> n.startsWith("cauldron.log." + LocalDate.ofInstant(yesterday, ZoneId.systemDefault())));
        }
        assertThat(Files.readString(log)).isNotEmpty().doesNotStartWith(written);
        assertThat(student.save(UUID.randomUUID())).isEqualTo(200);
        assertThat(Files.size(data.resolve("log/cauldron.log"))).isPositive();
    }

    private static String flags(String pid) throws IOException {
        Process jcmd = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "jcmd").toString(), pid, "VM.flags").start();
        return new String(jcmd.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }

    private static boolean isUp() throws InterruptedException {
        try {
            return new Client(address()).get("/health").statusCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    @Test
    @Order(6)
    void aBackupUnderFiftyWritersHoldsAllThatWasAcknowledgedBefore() throws Exception {
        List<Client> writers = new ArrayList<>();
        for (int i = 0; i < 50; i++) {
            writers.add(new Client(address()).join(code, "Writer " + i));
        }
        Path file = elsewhere.resolve("school.backup");
        ConcurrentLinkedQueue<UUID> acknowledged = new ConcurrentLinkedQueue<>();
        AtomicBoolean going = new AtomicBoolean(true);
        ExecutorService hands = Executors.newFixedThreadPool(50);
        for (Client w : writers) {
            hands.submit(() -> {
                while (going.get()) {
                    UUID id = UUID.randomUUID();
                    if (w.save(id) == 200) {
                        acknowledged.add(id);
                    }
                }
                return null;
            });
        }
        while (acknowledged.size() < 500) {
            Thread.onSpinWait();
        }
        Set<UUID> before = new HashSet<>(acknowledged);
        App.script("backup", file.toString(), "--data", data.toString());
        going.set(false);
        hands.shutdown();
        assertThat(hands.awaitTermination(1, TimeUnit.MINUTES)).isTrue();
        assertThat(acknowledged.size()).as("written on meanwhile").isGreaterThan(before.size());

        // Wrecked: the database's files are gone.
        killDatabase();
        App.script("stop", "--data", data.toString());
        Path restored = elsewhere.resolve("data");
        Files.createDirectories(restored);
        new ProcessBuilder("chmod", "755", elsewhere.toString(), restored.toString()).start().waitFor();
        App.script("restore", file.toString(), "--data", restored.toString());
        assertThatThrownBy(() -> App.script("restore", file.toString(), "--data", restored.toString())).hasMessageContaining("empty folder");
        try {
            start(restored);
            Set<UUID> kept = new HashSet<>();
            try (Connection c = database(restored); Statement s = c.createStatement(); ResultSet r = s.executeQuery("select id from entry")) {
                while (r.next()) {
                    kept.add(r.getObject(1, UUID.class));
                }
            }
            assertThat(kept).containsAll(before);
            Client again = new Client(address());
            again.ask("/api/session", "{\"userName\":\"writer.7\",\"secret\":\"eight-chars\"}");
            assertThat(again.get("/api/works/" + writers.get(7).work()).body()).contains("88.5");
        } finally {
            App.script("stop", "--data", restored.toString());
        }
    }
}
