package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Grown;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.naming.NameReading;
import java.time.Month;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class KindsTest {

    private static final Guide GUIDE = Guide.load();

    static Stream<PlantKind> everyKind() {
        return GUIDE.kinds().stream();
    }

    @Test
    void thereAreManyOfEveryGroupAndEachKeyIsOne() {
        assertThat(GUIDE.kinds()).hasSizeGreaterThanOrEqualTo(180);
        assertThat(GUIDE.kinds()).extracting(PlantKind::key).doesNotHaveDuplicates();
        assertThat(GUIDE.kinds())
                .extracting(PlantKind::group)
                .containsAll(GUIDE.groups().stream().map(PlantGroup::key).toList());
    }

    @Test
    void everyMethodIsUsualForSomeKindAndDrawsOnASort() {
        for (Method m : GUIDE.methods()) {
            assertThat(GUIDE.kinds().stream().anyMatch(k -> k.verdict(m.name()) == Verdict.USUAL))
                    .as(m.name())
                    .isTrue();
            assertThat(GUIDE.sortOf(m.name()).words()).as(m.name()).isNotBlank();
        }
    }

    @Test
    void whatHoldsForTheKindAndNotItsGroupIsInWhatIsExpectedOfIt() {
        PlantKind snowdrop = GUIDE.kind("snowdrop").orElseThrow();
        Protocol clump = GUIDE.offered(Optional.of(snowdrop), snowdrop.group(), GUIDE.protocols()).stream()
                .map(OfferedWay::protocol)
                .filter(p -> p.method().equals("clump division"))
                .findFirst()
                .orElseThrow();
        Protocol fitted = GUIDE.fitted(clump, new Grown("Snowdrop", "snowdrop", "bulb"));

        assertThat(fitted.material().season().months())
                .as("in the green, just after flowering")
                .containsExactlyInAnyOrder(Month.FEBRUARY, Month.MARCH, Month.APRIL);
        assertThat(fitted.material().season().slower())
                .isEqualTo(clump.material().season().slower());
        assertThat(GUIDE.fitted(clump, new Grown("A bulb", "", "bulb"))).isEqualTo(clump);
        PlantKind croton = GUIDE.kind("croton").orElseThrow();
        assertThat(GUIDE.fitted(
                                GUIDE.protocol("tip-in-plugs").orElseThrow(),
                                new Grown("Croton", croton.key(), croton.group()))
                        .keeping()
                        .air()
                        .warmth())
                .containsExactly(Warmth.between(22, 28));
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void seasonsAreOfMethodsThatItIsRaisedBy(PlantKind kind) {
        assertThat(kind.figures().season().keySet()).isSubsetOf(kind.methods());
        kind.figures().season().values().forEach(months -> assertThat(months).isNotEmpty());
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void whatIsUsualOrPossibleCanBeOfferedAndNothingIsSaidTwice(PlantKind kind) {
        Set<String> said = new HashSet<>();
        for (List<String> methods :
                List.of(kind.usual(), kind.possible(), List.copyOf(kind.never().keySet()))) {
            methods.forEach(m -> assertThat(said.add(m)).as("%s twice", m).isTrue());
        }
        Set<String> offered = new HashSet<>();
        GUIDE.offered(Optional.of(kind), kind.group(), GUIDE.protocols())
                .forEach(o -> offered.add(o.protocol().method()));
        assertThat(offered).containsExactlyInAnyOrderElementsOf(kind.methods());
        assertThat(GUIDE.given(kind).isEmpty()).isEqualTo(kind.methods().isEmpty());
        assertThat(kind.usual().isEmpty()).isEqualTo(!kind.isRaisedByPieces());
        assertThat(kind.figures().rate().keySet()).isSubsetOf(kind.methods());
        assertThat(kind.figures().ready().keySet()).isSubsetOf(kind.methods());
        assertThat(kind.figures().rate().values()).allMatch(r -> r > 0 && r < 1);
        assertThat(GUIDE.methods())
                .filteredOn(m -> kind.verdict(m.name()) == Verdict.NEVER)
                .allSatisfy(m -> assertThat(GUIDE.whyNever(kind, m)).isNotBlank());
    }

    /** A name may be shared by kinds: then it is asked. */
    @Test
    void aNameThatSeveralHaveIsAsked() {
        Map<String, Set<PlantKind>> known = new HashMap<>();
        GUIDE.kinds()
                .forEach(k -> k.names()
                        .all()
                        .forEach(n -> known.computeIfAbsent(WordFinder.plain(n), x -> new HashSet<>())
                                .add(k)));
        Map<String, Set<PlantKind>> shared = new HashMap<>(known);
        shared.values().removeIf(kinds -> kinds.size() == 1);
        assertThat(shared).hasSizeBetween(20, 60);
        shared.forEach((name, kinds) -> {
            NameReading<PlantKind> read = GUIDE.names().read(name);
            assertThat(read).as(name).isInstanceOf(NameReading.Asked.class);
            assertThat(read.meanings()).as(name).containsAll(kinds);
        });
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void whoWritesAKindsNameIsUnderstood(PlantKind kind) {
        assertThat(GUIDE.names().read(kind.names().name()).meanings()).contains(kind);
    }

    /** Where a kind does nothing that its group does, the file says why it is in that group. */
    @Test
    void whoStartsAsNoOtherOfItsGroupSaysSo() {
        assertThat(GUIDE.kinds())
                .filteredOn(k -> k.isRaisedByPieces() && k.remarks().note().isEmpty())
                .allSatisfy(k -> assertThat(GUIDE.suiting(k.group()))
                        .as(k.key())
                        .anyMatch(p -> k.usual().contains(p.method())));
    }

    @ParameterizedTest
    @CsvSource({
        "Fuchsia 'Slack Tide', '', fuchsia, true",
        "fuschia, '', fuchsia, true",
        "Fucsia 'slack tide', '', fuchsia, false",
        "pelargoniums, '', pelargonium, true",
        "zonal pelargonium 'Harbour Light', '', pelargonium, true",
        "trailing geranium, '', ivy-leaved-pelargonium, true",
        "geranium, soft, pelargonium, true",
        "geranium, clump, cranesbill, true",
        "Geranium pratense, '', cranesbill, true",
        "Sempervivium, '', houseleek, false",
        "house leek, '', houseleek, true",
        "spiderplant, '', spider-plant, true",
        "Ladys mantle, '', ladys-mantle, true",
        "Saintpaulia, '', african-violet, true",
        "strawberries, '', strawberry, true",
        "Dahlia 'Pilot Gig', '', dahlia, true",
        "Opuntia microdasys, '', prickly-pear, true",
        "hydranga, '', hydrangea, true",
        "Salvia rosmarinus, '', rosemary, true",
        "peace lilly, '', peace-lily, true",
        "Lily 'Foghorn', bulb, lily, true",
    })
    void aNameFindsItsKind(String typed, String group, String kind, boolean asWritten) {
        NameReading<PlantKind> read = GUIDE.names().read(typed, group);

        assertThat(read.taken().map(PlantKind::key)).contains(kind);
        assertThat(((NameReading.Taken<PlantKind>) read).asWritten()).isEqualTo(asWritten);
    }

    @ParameterizedTest
    @CsvSource({"Quibblewort", "x", "''", "12", "Slack Tide", "rbq tvz", "thing nobody knowz"})
    void anUnknownNameIsTakenForNothing(String typed) {
        assertThat(GUIDE.names().read(typed)).isInstanceOf(NameReading.Unknown.class);
    }

    @Test
    void aWordThatIsLeftOverIsAskedAndNamed() {
        NameReading<PlantKind> read = GUIDE.names().read("Fuchsia slack tide");

        assertThat(read.taken()).isEmpty();
        assertThat(read.meanings()).extracting(PlantKind::key).startsWith("fuchsia");
        assertThat(((NameReading.Asked<PlantKind>) read).leftOver()).hasSize(2);
    }

    @Test
    void hazardsAreTheKindsOwn() {
        Protocol pad = GUIDE.protocol("pad-in-grit").orElseThrow();
        Protocol basal = GUIDE.protocol("basal-shoot-in-compost").orElseThrow();

        assertThat(GUIDE.cautions(GUIDE.kind("prickly-pear"), "cactus", pad))
                .extracting(Caution::key)
                .contains("spines")
                .doesNotContain("poison", "sap", "sap-mild");
        assertThat(GUIDE.cautions(GUIDE.kind("spurge"), "soft", basal))
                .extracting(Caution::key)
                .contains("poison", "latex");
        assertThat(GUIDE.cautions(GUIDE.kind("fuchsia"), "soft", basal))
                .extracting(Caution::key)
                .doesNotContain("poison", "sap-mild");
        assertThat(GUIDE.cautions(Optional.empty(), "soft", basal))
                .as("a kind that nobody knows is as its group")
                .extracting(Caution::key)
                .contains("sap-mild");
    }

    @Test
    void waterAndOpenGroundAreOfferedToThoseThatBearThem() {
        assertThat(media("pelargonium")).doesNotContain("water");
        assertThat(media("coleus")).contains("water");
        assertThat(media("spider-plant")).doesNotContain("open ground");
        assertThat(media("hosta")).contains("open ground");
        assertThat(media("christmas-cactus")).as("leaf-segmented").contains("water");
    }

    private static List<String> media(String kind) {
        PlantKind known = GUIDE.kind(kind).orElseThrow();
        return GUIDE.offered(Optional.of(known), known.group(), GUIDE.protocols()).stream()
                .map(o -> o.protocol().medium())
                .toList();
    }

    @Test
    void aKindsOwnRateAndDaysMoveThoseOfItsProtocols() {
        PlantKind camellia = GUIDE.kind("camellia").orElseThrow();
        Method semiRipe = GUIDE.method("semi-ripe cutting").orElseThrow();
        KindFit fit = GUIDE.fit(camellia, "semi-ripe cutting");

        assertThat(fit.days(semiRipe.ready().days()).mu())
                .as("the method's own window becomes the kind's")
                .isCloseTo(camellia.figures().ready().get("semi-ripe cutting").mu(), within(1e-12));
        KindFit possible = GUIDE.fit(GUIDE.kind("fuchsia").orElseThrow(), "stem section");
        assertThat(possible.rate(0.65)).as("nothing is said of its rate").isCloseTo(0.65, within(1e-12));

        PlantKind willow = GUIDE.kind("willow").orElseThrow();
        KindFit easy = GUIDE.fit(willow, "hardwood cutting");
        Method hardwood = GUIDE.method("hardwood cutting").orElseThrow();
        assertThat(easy.rate(hardwood.rate())).isCloseTo(0.97, within(1e-12));
        assertThat(easy.rate(hardwood.rate() + 0.1)).isBetween(0.97, 1.0);

        Protocol pad = GUIDE.protocol("pad-in-grit").orElseThrow();
        Protocol dried = GUIDE.fit(GUIDE.kind("prickly-pear").orElseThrow(), "fleshy stem or pad")
                .fitted(pad);
        assertThat(dried.wound().callus().orElseThrow().least()).isEqualTo(7);
        assertThat(dried.wound().callus().orElseThrow().most()).isEqualTo(14);
        assertThat(dried.key()).isEqualTo(pad.key());
    }

    @Test
    void sortsAreCalledAsTheGroupHasThem() {
        assertThat(GUIDE.sortOf("fleshy stem or pad", "succulent").words()).isEqualTo("fleshy shoots");
        assertThat(GUIDE.sortOf("fleshy stem or pad", "forest-cactus").count(1)).isEqualTo("1 segment");
        assertThat(GUIDE.given(kind("kalanchoe")))
                .extracting(PieceSort::words)
                .contains("fleshy shoots")
                .doesNotContain("pads or segments");
        assertThat(GUIDE.given(kind("catasetum"))).extracting(PieceSort::words).noneMatch(w -> w.contains("pup"));
    }

    @Test
    void daysThatAreAKindsOwnAreKnownAsItsRateIsAtTheMostWell() {
        assertThat(kind("tradescantia").daysKnown("tip cutting")).isEqualTo(Certainty.PROVERBIAL);
        assertThat(kind("plectranthus").daysKnown("tip cutting")).isEqualTo(Certainty.WELL);
        assertThat(kind("fuchsia").daysKnown("tip cutting")).isEqualTo(Certainty.FAIRLY);
        assertThat(kind("camellia").daysKnown("root piece")).isEqualTo(Certainty.THIN);
    }

    @Test
    void anOrchidWithoutItsCrownIsLeftStanding() {
        assertThat(GUIDE.offered(Optional.of(kind("moth-orchid")), "single-orchid", GUIDE.protocols()))
                .extracting(o -> o.protocol().key())
                .contains("plantlet-on-crownless-orchid")
                .doesNotContain("plantlet-on-rescued-stem");
    }

    private static PlantKind kind(String key) {
        return GUIDE.kind(key).orElseThrow();
    }
}
