package cauldron.server.accounts;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Leads a school in: as long as there is no administrator, each start leaves a new one-time code in a file that only
 * the owner of the data folder can read, from which the start script prints the address.
 */
@Component
class FirstAdministrator {

    private static final Logger LOG = LoggerFactory.getLogger(FirstAdministrator.class);

    private final WaysIn waysIn;
    private final String file;

    FirstAdministrator(WaysIn waysIn, @Value("${cauldron.first-administrator-file:}") String file) {
        this.waysIn = waysIn;
        this.file = file;
    }

    @EventListener(ApplicationReadyEvent.class)
    @Order(10)
    void leaveCode() throws IOException {
        if (file.isEmpty()) {
            return;
        }
        Path path = Path.of(file);
        Files.deleteIfExists(path);
        WaysIn.Fresh fresh = waysIn.makeFirst();
        if (fresh != null) {
            Files.createFile(path, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
            Files.writeString(path, fresh.code(), StandardOpenOption.WRITE);
            LOG.info("There is no administrator yet: a one-time code is in {}", path.getFileName());
        }
    }
}
