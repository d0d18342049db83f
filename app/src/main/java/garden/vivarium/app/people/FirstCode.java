package garden.vivarium.app.people;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The code that the first page of an installation asks for, so that whoever finds the page first is not let in first. The start
 * command makes it and prints it; where it does not, it is made here and stands in the log.
 */
@Component
class FirstCode {

    private static final Logger LOG = LoggerFactory.getLogger(FirstCode.class);

    /** Letters and digits that nobody takes for one another. */
    private static final String SIGNS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 8;

    private final People people;
    private final String code;
    private final boolean isMadeHere;

    FirstCode(People people, @Value("${vivarium.first.code:}") String given) {
        this.people = people;
        this.isMadeHere = given.isBlank();
        this.code = isMadeHere ? random() : plain(given);
    }

    /** Whether it was typed right; blanks, dashes and small letters do not matter. */
    boolean is(String typed) {
        return typed != null
                && MessageDigest.isEqual(
                        code.getBytes(StandardCharsets.UTF_8), plain(typed).getBytes(StandardCharsets.UTF_8));
    }

    @EventListener
    void tell(ApplicationReadyEvent event) {
        if (!people.isNobodyHere()) {
            return;
        }
        LOG.info("Nobody is here yet");
        if (isMadeHere) {
            LOG.info(
                    "The first page asks for this code: {}-{}",
                    code.substring(0, LENGTH / 2),
                    code.substring(LENGTH / 2));
        }
    }

    private static String plain(String typed) {
        return typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }

    private static String random() {
        SecureRandom random = new SecureRandom();
        StringBuilder made = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            made.append(SIGNS.charAt(random.nextInt(SIGNS.length())));
        }
        return made.toString();
    }
}
