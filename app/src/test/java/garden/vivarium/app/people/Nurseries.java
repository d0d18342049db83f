package garden.vivarium.app.people;

import garden.vivarium.core.timing.Hemisphere;
import java.time.ZoneId;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;

/** Makes nurseries for tests, each with a person of its own. */
public final class Nurseries {

    /** What everybody in tests signs in with. */
    public static final String PASSWORD = "wet gritty hands";

    private static final AtomicInteger NEXT = new AtomicInteger();

    private Nurseries() {}

    /** A nursery and who signs in to it. */
    public record Made(UUID id, String signIn) {}

    public static Made make(People people) {
        return make(people, Hemisphere.NORTH);
    }

    public static Made make(People people, Hemisphere half) {
        String signIn = "grower" + NEXT.incrementAndGet();
        UUID id = people.open(new People.NewNursery(
                "Nursery of " + signIn, ZoneId.of("UTC"), half, null, signIn, "Grower", PASSWORD));
        return new Made(id, signIn);
    }
}
