package garden.vivarium.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.URI;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Whoever asks under a name that is not known gets nothing: so that no page is shown, and no address written, under a name that somebody else
 * chose, and no page of theirs that leads a browser here by its own name reads ours. Known are this computer's own names, its addresses where it serves
 * more than itself, its public address, and what the setting names. A supervisor may ask for its health under any.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class AllowedHosts extends OncePerRequestFilter {

    /** Of RFC 9110, section 15.5.20. */
    private static final int MISDIRECTED = 421;

    private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "::1", "0:0:0:0:0:0:0:1");

    private final Set<String> names;
    private final boolean servesOthers;

    AllowedHosts(
            @Value("${vivarium.hosts:}") String names,
            @Value("${vivarium.public-address:}") String address,
            @Value("${server.address:127.0.0.1}") String listensAt) {
        this.names = Stream.of(
                        LOOPBACK.stream(),
                        Stream.of(names.split(",")).map(String::strip),
                        Stream.of(address.strip())
                                .filter(a -> !a.isEmpty())
                                .map(a -> URI.create(a).getHost()),
                        ownNames())
                .flatMap(s -> s)
                .filter(n -> n != null && !n.isEmpty())
                .map(AllowedHosts::plain)
                .collect(Collectors.toUnmodifiableSet());
        this.servesOthers = !LOOPBACK.contains(listensAt);
    }

    /** What this computer is called, on the local network too. */
    private static Stream<String> ownNames() {
        try {
            String own = InetAddress.getLocalHost().getHostName();
            return Stream.of(own, own + ".local");
        } catch (UnknownHostException nameless) {
            return Stream.empty();
        }
    }

    private static String plain(String name) {
        String low = name.toLowerCase(Locale.ROOT);
        return low.startsWith("[") && low.endsWith("]") ? low.substring(1, low.length() - 1) : low;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        if (request.getRequestURI().equals(HealthController.ADDRESS) || isKnown(plain(request.getServerName()))) {
            next.doFilter(request, response);
            return;
        }
        response.setStatus(MISDIRECTED);
        response.setContentType(MediaType.TEXT_PLAIN_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write(Messages.text("AllowedHosts.unknown"));
    }

    private boolean isKnown(String name) {
        return names.contains(name) || (servesOthers && isOwnAddress(name));
    }

    /** Addresses come and go with the networks that a computer joins. */
    private static boolean isOwnAddress(String name) {
        if (!name.matches("[0-9.]+|[0-9a-f:]+")) {
            return false;
        }
        try {
            return NetworkInterface.networkInterfaces()
                    .flatMap(NetworkInterface::inetAddresses)
                    .map(InetAddress::getHostAddress)
                    .map(a -> a.replaceFirst("%.*", ""))
                    .anyMatch(name::equals);
        } catch (SocketException unknown) {
            return false;
        }
    }
}
