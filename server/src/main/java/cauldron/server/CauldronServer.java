package cauldron.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the server. */
@SpringBootApplication
@EnableScheduling
public class CauldronServer {

    public static void main(String[] args) {
        SpringApplication.run(CauldronServer.class, args);
    }
}
