package garden.vivarium.app.platform;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says in the log that pages can be asked for; the start script waits for it. */
@Component
class SaysReady {

    private static final Logger LOG = LoggerFactory.getLogger(SaysReady.class);

    @EventListener
    void ready(ApplicationReadyEvent event) {
        LOG.info("Vivarium is ready");
    }
}
