package cauldron.server;

import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Starts the real application once for all server tests, on a port of its own, against the PostgreSQL that
 * {@code ./cauldron test} provides, with the demo school.
 */
public final class ServerExtension implements BeforeAllCallback {

    /** Hundreds sign in; what a real hash costs took a minute of the processor, and no test is about it. */
    private static final String CHEAP_HASH = "--cauldron.hash-cost=4";

    private static ConfigurableApplicationContext context;
    private static ConfigurableApplicationContext behindProxy;

    @Override
    public synchronized void beforeAll(ExtensionContext test) {
        start();
    }

    private static synchronized void start() {
        if (context != null) {
            return;
        }
        if (System.getenv("CAULDRON_DB_URL") == null) {
            throw new IllegalStateException("The server tests need a database. Run them with ./cauldron test");
        }
        SpringApplication application = new SpringApplication(CauldronServer.class);
        Map<String, Object> properties = new LinkedHashMap<>();
        properties.put("server.port", "0");
        properties.put("cauldron.demo", "true");
        application.setDefaultProperties(properties);
        context = application.run("--server.port=0", "--cauldron.demo=true", CHEAP_HASH);
    }

    /** A bean of the running application. */
    static <T> T bean(Class<T> type) {
        start();
        return context.getBean(type);
    }

    static String address() {
        start();
        return "http://localhost:" + ((ServletWebServerApplicationContext) context).getWebServer().getPort();
    }

    /** A second server on the same database, which believes what a proxy on this machine says. */
    static synchronized String addressBehindProxy() {
        start();
        if (behindProxy == null) {
            behindProxy = new SpringApplication(CauldronServer.class).run("--server.port=0", "--cauldron.proxies=127.0.0.1",
                    CHEAP_HASH, "--spring.datasource.hikari.maximum-pool-size=5");
        }
        return "http://127.0.0.1:" + ((ServletWebServerApplicationContext) behindProxy).getWebServer().getPort();
    }
}
