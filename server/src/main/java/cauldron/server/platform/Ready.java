package cauldron.server.platform;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Says in the log when everything is loaded; the start script waits for it. */
@Component
class Ready {

    private static final Logger LOG = LoggerFactory.getLogger(Ready.class);

    @EventListener(ApplicationReadyEvent.class)
    @Order(Ordered.LOWEST_PRECEDENCE)
    void ready() {
        LOG.info("Cauldron is ready");
    }
}
