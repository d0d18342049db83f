package garden.vivarium.app.platform;

import java.net.URI;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Where this installation is found by a phone: as set, or else as the page that asks was asked for. */
@Component
public class PublicAddress {

    private final String set;

    PublicAddress(@Value("${vivarium.public-address:}") String set) {
        this.set = set.strip().replaceAll("/+$", "");
        if (!this.set.isEmpty() && !this.set.matches("https?://[^/\\s]+(/\\S*)?")) {
            throw new IllegalArgumentException(
                    "vivarium.public-address must be like https://plants.example.org, not “%s”".formatted(set));
        }
    }

    /** The whole address of a page. */
    public String of(String path) {
        return root() + path;
    }

    /** Its beginning, without a slash at the end. */
    public String root() {
        if (!set.isEmpty()) {
            return set;
        }
        // Work that nobody's page asked for knows no address.
        return RequestContextHolder.getRequestAttributes() == null
                ? "http://localhost"
                : ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString();
    }

    /** Whether nobody but this computer can open it. */
    public boolean isHereOnly() {
        String host = URI.create(root()).getHost();
        return host == null || host.equals("localhost") || host.startsWith("127.") || host.equals("[::1]");
    }
}
