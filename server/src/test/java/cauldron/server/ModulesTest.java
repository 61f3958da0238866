package cauldron.server;

import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

/** The parts of the server know each other only in the ways meant. */
class ModulesTest {

    @Test
    void modulesKeepToTheirBorders() {
        ApplicationModules.of(CauldronServer.class).verify();
    }
}
