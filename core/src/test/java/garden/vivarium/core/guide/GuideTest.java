package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.treatment.Treatments;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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
        assertThat(p.wound().prepare()).isNotEmpty();
        assertThat(p.reasons().schools()).isNotEmpty();
        assertThat(Stream.of(
                        p.title(),
                        p.material().ripeness().metric(),
                        p.wound().hormone().what(),
                        p.placing().depth().metric(),
                        p.keeping().water().kind(),
                        p.keeping().air().cover(),
                        p.reasons().why(),
                        p.placing().vessel().words().metric(),
                        p.keeping().water().atSticking().metric(),
                        p.keeping().water().untilRooted().metric(),
                        p.keeping().water().after().metric(),
                        p.keeping().air().light(),
                        p.keeping().air().humidity(),
                        p.ready().test().metric(),
                        p.potting().mix()))
                .allSatisfy(text -> assertThat(text).isNotBlank());
        assertThat(p.reasons().schools()).allSatisfy(school -> {
            assertThat(school.says()).isNotBlank();
            assertThat(school.reason()).isNotBlank();
        });
        assertThat(p.keeping().air().warmth().isEmpty())
                .as("warmth in figures or in words")
                .isEqualTo(!p.keeping().air().remark().isBlank());
        assertThat(p.placing().vessel().kind())
                .isEqualTo(Protocol.Vessel.Kind.of(p.placing().vessel().words().metric()));
        assertThat(p.placing().vessel().depthCm()).isPositive();
        assertThat(p.keeping().air().lampHours()).isBetween(0, 24);
        assertThat(p.figures().output().mean()).isGreaterThanOrEqualTo(1);
        p.course().inTurn().ifPresent(days -> assertThat(days).isBetween(3, 120));
        assertThat(p.figures().rate()).isBetween(0.05, 0.99);
        assertThat(p.figures().establishment().rate()).isBetween(0.5, 1.0);
        assertThat(p.figures().minutesPerTen()).isPositive();
        assertThat(p.version()).isPositive();
        assertThat(p.potting().perPot()).isPositive();
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void windowsAndLooksAreInOrder(Protocol p) {
        assertThat(p.course().looks().least())
                .isLessThanOrEqualTo(p.course().looks().most());
        assertThat((double) p.course().looks().first())
                .isLessThan(p.ready().days().d90());
        p.firstSign().ifPresent(f -> {
            assertThat(f.days().d10()).isLessThan(p.ready().days().d10());
            assertThat(f.days().d90()).isLessThan(p.ready().days().d90());
        });
        p.wound().callus().ifPresent(c -> assertThat(c.least()).isLessThanOrEqualTo(c.most()));
        assertThat(p.course().tooLong()).isPositive();
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void protocolsAgreeWithTheirMethod(Protocol p) {
        Method method = GUIDE.method(p.method()).orElseThrow();

        assertThat(p.firstSign().isPresent()).isEqualTo(method.firstSign().isPresent());
        assertThat(p.ready().sign()).isEqualTo(method.ready().sign());
        if (method.pottedOnDay0()) {
            assertThat(p.firstSign()).isEmpty();
            assertThat(p.figures().establishment()).isEqualTo(new Protocol.Establishment(1, 0));
        }
        assertThat(p.course().looks().kind().canKnow(p.ready().sign()))
                .as("the usual look can know of ready")
                .isTrue();
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void stagesHaveNamesOfTheirOwnAndDaysInOrder(Protocol p) {
        assertThat(p.course().stages().stream().map(Protocol.Stage::key)).doesNotHaveDuplicates();
        assertThat(p.course().stages()).allSatisfy(stage -> {
            assertThat(stage.act().metric()).isNotBlank();
            stage.after().ifPresent(days -> assertThat(days).isPositive());
            stage.when().ifPresent(when -> {
                assertThat(when.ask().metric()).isNotBlank();
                assertThat(when.first()).isPositive();
                assertThat(when.every()).isPositive();
            });
        });
        assertThat(p.course().stages().stream()
                        .filter(Protocol.Stage::startsClock)
                        .count())
                .isLessThanOrEqualTo(1);
        p.clockStage().ifPresent(s -> assertThat(p.course().stages().get(0)).isEqualTo(s));
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void aKeptProtocolReadsBackTheSame(Protocol p) {
        assertThat(KeptProtocol.read(KeptProtocol.write(p))).isEqualTo(p);
    }

    @Test
    void theGuideCoversTheField() {
        assertThat(GUIDE.protocols()).hasSizeGreaterThanOrEqualTo(60);
        assertThat(GUIDE.groups()).hasSize(17).allSatisfy(group -> {
            assertThat(GUIDE.suiting(group.key())).as(group.words()).hasSizeGreaterThanOrEqualTo(4);
            assertThat(group.rhythm().regrowDays())
                    .isGreaterThanOrEqualTo(group.rhythm().restDays());
        });
        assertThat(GUIDE.methods()).allSatisfy(method -> {
            assertThat(method.cautions()).as(method.name()).isNotEmpty();
            assertThat(GUIDE.protocols())
                    .as(method.name())
                    .anyMatch(p -> p.method().equals(method.name()));
            MethodPage page = GUIDE.page(method.name());
            assertThat(page.steps()).hasSizeGreaterThanOrEqualTo(2);
            assertThat(page.looksFor()).isNotEmpty();
            assertThat(page.wrong()).isNotEmpty();
        });
        assertThat(GUIDE.media())
                .allSatisfy(medium -> assertThat(GUIDE.protocols())
                        .as(medium)
                        .anyMatch(p -> p.medium().equals(medium)));
    }

    @Test
    void cautionsComeFromPlantMethodAndProtocolEachOnce() {
        Protocol tip = GUIDE.protocol("latex-tip-in-water").orElseThrow();
        assertThat(GUIDE.cautions(Optional.empty(), "latex", tip).stream().map(Caution::key))
                .containsExactly("latex", "blade", "electric");
        Protocol pad = GUIDE.protocol("pad-in-grit").orElseThrow();
        assertThat(GUIDE.cautions(Optional.empty(), "cactus", pad).stream().map(Caution::key))
                .startsWith("spines")
                .doesNotHaveDuplicates();
        assertThat(GUIDE.cautions(Optional.empty(), "forest-cactus", pad).stream()
                        .map(Caution::key))
                .contains("bristles", "blade");
    }

    @Test
    void everyDisputeHasSidesThatClaimDifferentBatches() {
        assertThat(GUIDE.disputes()).hasSizeGreaterThanOrEqualTo(12).allSatisfy(d -> {
            assertThat(d.sides()).hasSizeGreaterThanOrEqualTo(2);
            assertThat(d.families()).isNotEmpty();
        });
        Dispute hormone = GUIDE.disputes().stream()
                .filter(d -> d.key().equals("hormone"))
                .findFirst()
                .orElseThrow();
        assertThat(hormone.sides().get(0).claims("perlite", Treatments.read("hormone 3,000 ppm;covered")))
                .isTrue();
        assertThat(hormone.sides().get(1).claims("perlite", Treatments.read("hormone 3,000 ppm;covered")))
                .isFalse();
        assertThat(hormone.sides().get(1).claims("perlite", Treatments.NONE)).isTrue();
        Dispute water = GUIDE.disputes().get(0);
        assertThat(water.sides().get(0).claims("water", Treatments.NONE)).isTrue();
        assertThat(water.sides().get(1).claims("water", Treatments.NONE)).isFalse();
    }

    @Test
    void everySymptomHasSomethingToCheckAndSomethingToDo() {
        assertThat(GUIDE.symptoms()).hasSizeGreaterThanOrEqualTo(12).allSatisfy(s -> {
            assertThat(s.on()).isNotEmpty();
            assertThat(s.causes()).isNotEmpty().allSatisfy(c -> {
                assertThat(c.weight()).isBetween(1, 3);
                assertThat(c.check()).isNotBlank();
                assertThat(c.then()).isNotBlank();
                assertThat(c.care().isBlank())
                        .as("%s: nothing is logged where it is normal", c.cause())
                        .isEqualTo(c.normal());
                assertThat(c.askAfter() == 0).isEqualTo(c.normal());
            });
        });
        assertThat(GUIDE.symptoms()).anySatisfy(s -> assertThat(s.causes()).anyMatch(Symptom.Cause::normal));
    }

    @Test
    void anOwnProtocolHasAKeyAndAVersionOfItsOwn() {
        Protocol tip = GUIDE.protocol("tip-in-plugs").orElseThrow();
        assertThat(tip.isOwn()).isFalse();
        Protocol own = tip.asOwn("kelp plugs", "Kelp plugs").asVersion(2);
        assertThat(own.isOwn()).isTrue();
        assertThat(own.technique().treatment()).isEqualTo(tip.technique().treatment());
        Way way = new Way(
                "Fuchsia",
                "fuchsia",
                "soft",
                own.method(),
                own.medium(),
                Treatments.read("hormone 0.3%"),
                Way.Own.of(own.key(), own.version()),
                false);
        assertThat(way.written()).isEqualTo("tip cutting in plug compost, as kelp plugs version 2; hormone 0.3%");
        assertThat(Way.Own.of(tip.key(), 2)).isEmpty();
        assertThat(Way.Own.of(null, null)).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("methods")
    void everyMethodHasWhatIsUsual(Method m) {
        assertThat(m.rate()).isBetween(0.05, 0.99);
        assertThat(m.ready().word()).isNotBlank();
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
        assertThat(GUIDE.nearest("tip cutting", "pumice", "latex").orElseThrow().key())
                .isEqualTo("latex-tip-in-water");
        assertThat(GUIDE.nearest("tip cutting", "pumice", "bulb")).isEmpty();
        assertThat(GUIDE.nearest("root piece", "water", "bulb")).isEmpty();
    }

    @Test
    void namesAreFoundInAnyCase() {
        assertThat(GUIDE.method(" Tip Cutting ")).isPresent();
        assertThat(GUIDE.medium("WATER")).contains("water");
        assertThat(GUIDE.group("clump perennial").orElseThrow().key()).isEqualTo("clump");
        assertThat(GUIDE.method("wishing")).isEmpty();
    }

    @Test
    void theGuideIsReadAnewTheSame() {
        Guide again = Guide.load();

        assertThat(again.protocols()).isEqualTo(GUIDE.protocols()).isNotEmpty();
        assertThat(again.methods()).isEqualTo(GUIDE.methods());
        assertThat(again.disputes()).isEqualTo(GUIDE.disputes());
        assertThat(again.symptoms()).isEqualTo(GUIDE.symptoms());
        assertThat(again.page("tip cutting").method()).isEqualTo("tip cutting");
        assertThatThrownBy(() -> again.page("wishing")).hasMessageContaining("the bench book lacks wishing");
    }

    @Test
    void whatIsAskedForIsWhatIsGiven() {
        for (PlantGroup group : GUIDE.groups()) {
            assertThat(GUIDE.suiting(group.key()))
                    .isNotEmpty()
                    .allMatch(p -> p.groups().contains(group.key()));
        }
        assertThat(GUIDE.suiting("no such")).isEmpty();
        assertThat(GUIDE.medium("perlite")).contains("perlite");
        assertThat(GUIDE.medium("moonshine")).isEmpty();
        assertThat(GUIDE.symptom(GUIDE.symptoms().get(2).key()))
                .contains(GUIDE.symptoms().get(2));
        assertThat(GUIDE.nearest("tip cutting", "water", "latex").orElseThrow().key())
                .as("of two in water the one for its group")
                .isEqualTo("latex-tip-in-water");
        assertThat(GUIDE.nearest("tip cutting", "perlite", "latex")
                        .orElseThrow()
                        .medium())
                .as("the medium before the group")
                .isEqualTo("perlite");
    }

    @Test
    void whereTheSameIsSaidTwiceTheGraverStays() {
        for (PlantGroup group : GUIDE.groups()) {
            List<String> said = GUIDE.cautions(Optional.empty(), group.key()).stream()
                    .map(Caution::key)
                    .toList();
            assertThat(said).contains("blade").doesNotHaveDuplicates();
            assertThat(said)
                    .as(group.key())
                    .containsAll(group.cautions().stream()
                            .filter(c -> !c.startsWith("sap"))
                            .toList());
        }
        PlantGroup mild = GUIDE.groups().stream()
                .filter(g -> g.cautions().contains("sap-mild"))
                .findFirst()
                .orElseThrow();
        assertThat(GUIDE.cautions(Optional.empty(), mild.key(), List.of()).stream()
                        .map(Caution::key))
                .as("alone the mild one stays")
                .contains("sap-mild");
        assertThat(GUIDE.cautions(Optional.empty(), "latex", List.of()).stream().map(Caution::key))
                .contains("latex")
                .doesNotContain("sap", "sap-mild");
    }

    /** A guide in whose files one word is another. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            protocols/stem-soft.yaml | method: tip cutting            | method: tip wish           | does not know method tip wish
            protocols/stem-soft.yaml | medium: water                  | medium: moonshine          | does not know medium moonshine
            protocols/stem-soft.yaml | then: [                        | then: [moonshine,          | does not know medium moonshine
            protocols/stem-soft.yaml | groups: [                      | groups: [mermaid,          | does not know group mermaid
            protocols/stem-soft.yaml | cautions: [                    | cautions: [sirens,         | does not know caution sirens
            vocabulary.yaml          | cautions: [blade]              | cautions: [sirens]         | does not know the caution sirens
            vocabulary.yaml          | cautions: [latex               | cautions: [sirens          | does not know the caution sirens
            vocabulary.yaml          | unless: [latex, sap]           | unless: [sirens, sap]      | does not know the caution sirens
            vocabulary.yaml          | key: blade                     | key: knife                 | does not know caution blade
            bench-book.yaml          | method: tip cutting            | method: tip wish           | lacks tip cutting
            signs.yaml               | cautions: [                    | cautions: [sirens,         | does not know the caution sirens
            schools.yaml             | media: [                       | media: [moonshine,         | does not know the medium moonshine
            """)
    void aWordThatTheGuideDoesNotKnowIsAFaultOfItsFile(String file, String word, String other, String fault) {
        assertThatThrownBy(() -> Guide.load(name -> name.equals(file) ? changed(file, word, other) : file(name)))
                .isInstanceOf(RuntimeException.class)
                .hasMessageContaining(fault);
    }

    @Test
    void aFileThatIsNotThereIsNamed() {
        assertThatThrownBy(() -> Guide.load(name -> name.equals("signs.yaml") ? null : file(name)))
                .hasMessageContaining("the guide lacks signs.yaml");
        assertThatThrownBy(() -> Guide.load(
                        name -> name.equals("signs.yaml") ? new ByteArrayInputStream(new byte[] {'{'}) : file(name)))
                .hasMessageContaining("the guide's signs.yaml cannot be read");
    }

    private static InputStream file(String name) {
        return Guide.class.getResourceAsStream(name);
    }

    private static InputStream changed(String file, String word, String other) {
        try (InputStream in = file(file)) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            assertThat(text).contains(word);
            return new ByteArrayInputStream(text.replaceFirst(Pattern.quote(word), Matcher.quoteReplacement(other))
                    .getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static boolean unique(List<String> names) {
        Set<String> seen = new HashSet<>(names);
        return seen.size() == names.size() && !names.isEmpty();
    }

    @Test
    void whatStandsOverWaterIsNotBegunToBeWatered() {
        Protocol.Course bark = GUIDE.protocols().stream()
                .filter(p -> p.course().stages().stream().anyMatch(s -> s.key().equals("water")))
                .findFirst()
                .orElseThrow()
                .course();

        assertThat(bark.stagesIn("bark")).isEqualTo(bark.stages());
        assertThat(bark.stagesIn("expanded clay with a reserve"))
                .noneMatch(s -> s.key().equals("water"));
        assertThat(bark.stagesIn("open vessel over water with moss"))
                .hasSize(bark.stages().size() - 1);
    }

    @Test
    void whatStandsInWaterIsAskedForFreshWater() {
        Upkeep water = GUIDE.upkeep("water").orElseThrow();
        assertThat(water.act()).isEqualTo(CareAct.WATER_CHANGED);
        assertThat(water.due(LocalDate.of(2026, 5, 1))).isEqualTo(LocalDate.of(2026, 5, 5));
        assertThat(GUIDE.upkeep("plug compost")).isEmpty();
        assertThatThrownBy(() -> new Upkeep("water", CareAct.FED, 0, "")).hasMessageContaining("not 0");
    }

    @Test
    void piecesStandInMostMediaAndBesideThreeOfTheGuides() {
        assertThat(GUIDE.media().stream().filter(m -> !new Way("Fuchsia", "soft", "tip cutting", m, "").isIn()))
                .containsExactlyInAnyOrder("open vessel over water with moss", "laid on the surface", "open ground");
    }
}
