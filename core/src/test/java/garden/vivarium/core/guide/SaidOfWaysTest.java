package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.Grown;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Rates and days of the guide, against what a propagator would say of them, which was written before. */
class SaidOfWaysTest {

    private static final Guide GUIDE = Guide.load();

    /** Of a hundred pieces, and days by which half of those that become ready are. */
    private record Said(String kind, String way, double least, double most, double soonest, double latest) {

        static Said of(String line) {
            List<String> parts =
                    Arrays.stream(line.split("\\|")).map(String::strip).toList();
            String[] rate = parts.get(2).split(" ");
            String[] days = parts.get(3).split(" ");
            return new Said(
                    parts.get(0),
                    parts.get(1),
                    Double.parseDouble(rate[0]) / 100,
                    Double.parseDouble(rate[1]) / 100,
                    Double.parseDouble(days[0]),
                    Double.parseDouble(days[1]));
        }

        Optional<String> wrong() {
            PlantKind known = GUIDE.kinds().stream()
                    .filter(k -> k.names().name().equals(kind))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError("no kind " + kind));
            Protocol protocol = GUIDE.offered(Optional.of(known), known.group(), GUIDE.protocols()).stream()
                    .map(OfferedWay::protocol)
                    .filter(p -> p.method().equals(way))
                    .findFirst()
                    .map(p -> GUIDE.fitted(p, new Grown(kind, known.key(), known.group())))
                    .orElse(null);
            if (protocol == null) {
                return Optional.of(kind + ", " + way + ": not offered");
            }
            double rate = protocol.figures().rate();
            double days = Math.exp(protocol.ready().days().mu());
            boolean right =
                    rate >= least - 1e-9 && rate <= most + 1e-9 && days >= soonest - 1e-9 && days <= latest + 1e-9;
            return right
                    ? Optional.empty()
                    : Optional.of("%s, %s: %.2f in %.0f days; said %.2f to %.2f in %.0f to %.0f"
                            .formatted(kind, way, rate, days, least, most, soonest, latest));
        }
    }

    private static List<Said> said() {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                SaidOfWaysTest.class.getResourceAsStream("said-of-ways.txt"), StandardCharsets.UTF_8))) {
            return lines.lines().filter(l -> !l.startsWith("#")).map(Said::of).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void theGuideSaysOfNearlyEveryWayWhatAPropagatorWould() {
        List<String> wrong = new ArrayList<>();
        said().forEach(s -> s.wrong().ifPresent(wrong::add));
        assertThat(said()).hasSizeGreaterThanOrEqualTo(120);
        assertThat(wrong).as(String.join("\n", wrong)).hasSizeLessThanOrEqualTo(said().size() / 20);
    }

    @Test
    void everyUsualWayOfEveryKindHasARateAndSaysHowWellItIsKnown() {
        assertThat(GUIDE.kinds())
                .allSatisfy(k ->
                        assertThat(k.figures().known().keySet()).as(k.key()).containsAll(k.usual()));
    }
}
