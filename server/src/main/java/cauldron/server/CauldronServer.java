package cauldron.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the server. */
@SpringBootApplication
public class CauldronServer {

    public static void main(String[] args) {
        SpringApplication.run(CauldronServer.class, args);
    }
}
