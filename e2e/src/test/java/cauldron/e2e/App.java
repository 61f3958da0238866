package cauldron.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** The application, started once for all browser tests by the same script a school uses. */
final class App {

    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    private static final Path DATA = Path.of(System.getProperty("java.io.tmpdir"),
            "cauldron-e2e-" + ProcessHandle.current().pid());
    private static int port;

    private App() {
    }

    /** While one test is written, {@code -Dcauldron.address} may name an application that runs already. */
    static synchronized String address() {
        if (System.getProperty("cauldron.address") != null) {
            return System.getProperty("cauldron.address");
        }
        if (port == 0) {
            try (ServerSocket free = new ServerSocket(0)) {
                port = free.getLocalPort();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            Runtime.getRuntime().addShutdownHook(new Thread(App::stopAndClean));
            start();
        }
        return "http://localhost:" + port;
    }

    static void start() {
        script("start", "--port", String.valueOf(port), "--data", DATA.toString());
    }

    /** Ends the server as a power cut would, without warning. */
    static void kill() throws IOException, InterruptedException {
        long pid = Long.parseLong(Files.readString(DATA.resolve("app.pid")).strip());
        ProcessHandle handle = ProcessHandle.of(pid).orElseThrow();
        new ProcessBuilder("kill", "-9", String.valueOf(pid)).start().waitFor();
        handle.onExit().join();
    }

    /** Ends the database as a power cut would. */
    static void killDatabase() throws IOException, InterruptedException {
        String pid = Files.readAllLines(Path.of(Files.readString(DATA.resolve("database-folder")).strip(), "postmaster.pid"))
                .get(0).strip();
        new ProcessBuilder("kill", "-9", pid).start().waitFor();
    }

    /** The application's own database, to know what no page may show. */
    static Connection database() throws IOException, SQLException {
        return DriverManager.getConnection("jdbc:postgresql://127.0.0.1:"
                + Files.readString(DATA.resolve("database-port")).strip() + "/cauldron", "cauldron_app",
                Files.readString(DATA.resolve("application-password")).strip());
    }

    static String databaseAddress() throws IOException {
        return "postgresql://cauldron_app:" + Files.readString(DATA.resolve("application-password")).strip() + "@127.0.0.1:"
                + Files.readString(DATA.resolve("database-port")).strip() + "/cauldron";
    }

    /** The script's output when it is run with these words. */
    static String script(String... words) {
        List<String> command = new ArrayList<>(List.of(ROOT.resolve("cauldron").toString()));
        command.addAll(List.of(words));
        try {
            Path log = Files.createTempFile("cauldron-script", ".log");
            ProcessBuilder builder = new ProcessBuilder(command).directory(ROOT.toFile()).redirectErrorStream(true)
                    .redirectOutput(log.toFile());
            builder.environment().put("CAULDRON_NO_BUILD", "1");
            if (System.getProperty("cauldron.bench") == null) {
                // What lives for minutes never gets back what its second compiler takes; what is measured, does. No test
                // is about what a secret's hash costs, and hundreds are tried.
                builder.environment().put("CAULDRON_JAVA_OPTIONS", "-XX:TieredStopAtLevel=1 -Dcauldron.hash-cost=4");
            }
            int code = builder.start().waitFor();
            String output = Files.readString(log);
            Files.delete(log);
            if (code != 0) {
                throw new IllegalStateException("cauldron " + String.join(" ", words) + " ended with " + code + ":\n"
                        + output);
            }
            return output;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static void stopAndClean() {
        try {
            script("stop", "--data", DATA.toString());
            new ProcessBuilder("rm", "-rf", DATA.toString()).start().waitFor();
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
