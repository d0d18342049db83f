package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class GuideTest {

    private static final Guide GUIDE = Guide.load();

    static List<Protocol> protocols() {
        return GUIDE.protocols();
    }

    static List<Method> methods() {
        return GUIDE.methods();
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void everyProtocolIsComplete(Protocol p) {
        assertThat(p.groups()).isNotEmpty();
        assertThat(p.prepare()).isNotEmpty();
        assertThat(p.schools()).isNotEmpty();
        assertThat(p.cautions()).isNotEmpty();
        assertThat(Stream.of(
                        p.title(),
                        p.ripeness(),
                        p.hormone(),
                        p.spacing(),
                        p.water(),
                        p.cover(),
                        p.why(),
                        p.vessel().words(),
                        p.moisture().atSticking(),
                        p.moisture().untilRooted(),
                        p.moisture().after(),
                        p.air().temperature(),
                        p.air().light(),
                        p.air().humidity(),
                        p.ready().test(),
                        p.potting().pot(),
                        p.potting().mix()))
                .allSatisfy(text -> assertThat(text).isNotBlank());
        assertThat(p.rate()).isBetween(0.05, 0.99);
        assertThat(p.establishment().rate()).isBetween(0.5, 1.0);
        assertThat(p.minutesPerTen()).isPositive();
        assertThat(p.version()).isPositive();
        assertThat(p.potting().perPot()).isPositive();
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void windowsAndLooksAreInOrder(Protocol p) {
        assertThat(p.looks().least()).isLessThanOrEqualTo(p.looks().most());
        assertThat((double) p.looks().first()).isLessThan(p.ready().days().d90());
        p.firstSign().ifPresent(f -> {
            assertThat(f.days().d10()).isLessThan(p.ready().days().d10());
            assertThat(f.days().d90()).isLessThan(p.ready().days().d90());
        });
        p.callus().ifPresent(c -> assertThat(c.least()).isLessThanOrEqualTo(c.most()));
        assertThat(p.tooLong()).isPositive();
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void protocolsAgreeWithTheirMethod(Protocol p) {
        Method method = GUIDE.method(p.method()).orElseThrow();

        assertThat(p.firstSign().map(Protocol.Test::sign)).isEqualTo(method.firstSign());
        assertThat(p.ready().sign()).isEqualTo(method.ready());
        if (method.pottedOnDay0()) {
            assertThat(p.firstSign()).isEmpty();
            assertThat(p.establishment()).isEqualTo(new Protocol.Establishment(1, 0));
        }
        assertThat(p.looks().kind().canKnow(p.ready().sign()))
                .as("the usual look can know of ready")
                .isTrue();
    }

    @ParameterizedTest
    @MethodSource("methods")
    void everyMethodHasWhatIsUsual(Method m) {
        assertThat(m.rate()).isBetween(0.05, 0.99);
        assertThat(m.firstSign().isPresent()).isEqualTo(m.firstSignDays().isPresent());
        assertThat(m.firstSign().isEmpty()).isEqualTo(m.pottedOnDay0());
    }

    @Test
    void namesAreUnique() {
        assertThat(unique(GUIDE.protocols().stream().map(Protocol::key).toList()))
                .isTrue();
        assertThat(unique(GUIDE.methods().stream().map(Method::name).toList())).isTrue();
        assertThat(unique(GUIDE.media())).isTrue();
        assertThat(unique(GUIDE.groups().stream().map(PlantGroup::key).toList()))
                .isTrue();
    }

    @Test
    void theNearestProtocolPrefersTheMediumThenTheGroup() {
        assertThat(GUIDE.nearest("tip cutting", "water", "soft").orElseThrow().key())
                .isEqualTo("tip-in-water");
        assertThat(GUIDE.nearest("tip cutting", "perlite", "bulb").orElseThrow().key())
                .isEqualTo("tip-in-perlite");
        assertThat(GUIDE.nearest("tip cutting", "sand", "climbing-aroid")
                        .orElseThrow()
                        .key())
                .isEqualTo("tip-in-water");
        assertThat(GUIDE.nearest("tip cutting", "sand", "bulb")).isEmpty();
        assertThat(GUIDE.nearest("root piece", "sand", "soft")).isEmpty();
    }

    @Test
    void namesAreFoundInAnyCase() {
        assertThat(GUIDE.method(" Tip Cutting ")).isPresent();
        assertThat(GUIDE.medium("WATER")).contains("water");
        assertThat(GUIDE.group("clump perennial").orElseThrow().key()).isEqualTo("clump");
        assertThat(GUIDE.method("wishing")).isEmpty();
    }

    private static boolean unique(List<String> names) {
        Set<String> seen = new HashSet<>(names);
        return seen.size() == names.size() && !names.isEmpty();
    }
}
