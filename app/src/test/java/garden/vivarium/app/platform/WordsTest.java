package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.guide.Circumstance;
import garden.vivarium.core.guide.Section;
import garden.vivarium.core.looks.ImpossibleLook;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.plan.BuildUp;
import garden.vivarium.core.plan.Rescue;
import garden.vivarium.core.plan.WayWorking;
import garden.vivarium.core.stock.MayCut;
import garden.vivarium.core.stock.Quarantine;
import garden.vivarium.core.stock.Regrowth;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.treatment.Handling;
import garden.vivarium.core.watch.PlaceFit;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What the core says is put into words: every rule has them, and none is kept for a rule that is no more. */
class WordsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 6, 15);
    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("garden.vivarium");

    private final Today today = mock(Today.class);
    private final Messages messages = new Messages();
    private Words words;

    @BeforeEach
    void inJune() {
        when(today.date()).thenReturn(DAY);
        words = new Words(messages, new Says(today), new Measures(messages, () -> UnitSystem.METRIC));
    }

    static Stream<Rule> everyRule() {
        return CLASSES.stream()
                .filter(c -> c.isEnum() && c.isAssignableTo(Rule.class))
                .map(JavaClass::reflect)
                .flatMap(c -> Stream.of(c.getEnumConstants()))
                .map(Rule.class::cast);
    }

    @ParameterizedTest
    @MethodSource("everyRule")
    void everyRuleHasWords(Rule rule) {
        assertThat(messages.has(rule.key())).as(rule.key()).isTrue();
    }

    @Test
    void noWordsAreKeptForARuleThatIsNoMore() {
        Set<String> rules = everyRule().map(Rule::key).collect(Collectors.toCollection(TreeSet::new));
        assertThat(rules).hasSizeGreaterThan(100);

        Set<String> constants = CLASSES.stream()
                .filter(JavaClass::isEnum)
                .flatMap(WordsTest::names)
                .collect(Collectors.toSet());
        assertThat(Language.shipped().get(Locale.ENGLISH).keys().stream()
                        .filter(k -> k.matches("([A-Z]\\w*\\.)+[A-Z][A-Z_0-9]*(\\.(figures|remedy))?"))
                        .map(k -> k.replaceAll("\\.(figures|remedy)$", ""))
                        .filter(k -> !rules.contains(k) && !constants.contains(k) && !k.startsWith("Field.")))
                .isEmpty();
    }

    @Test
    void everyConstantThatPagesCallByANameHasOne() {
        List<Class<?>> ofTheCore = List.of(
                LookKind.class,
                PieceState.class,
                Climate.class,
                Circumstance.class,
                Handling.class,
                PlaceFit.Light.class,
                Quarantine.Pest.class);
        assertThat(CLASSES.stream()
                        .filter(c -> c.isEnum() && (c.isAssignableTo(Named.class) || ofTheCore.contains(c.reflect())))
                        .flatMap(WordsTest::names))
                .hasSizeGreaterThan(80)
                .allSatisfy(key -> assertThat(messages.has(key)).as(key).isTrue());
    }

    private static Stream<String> names(JavaClass constants) {
        return Stream.of(constants.reflect().getEnumConstants()).map(c -> Messages.nameKey((Enum<?>) c));
    }

    @Test
    void everyFaultOfALookSaysWhatWouldDo() {
        assertThat(ImpossibleLook.Fault.values())
                .allSatisfy(f -> assertThat(messages.has(f.key() + ".remedy"))
                        .as(f.key())
                        .isTrue());
        assertThat(MayCut.Step.values())
                .allSatisfy(f -> assertThat(messages.has(f.key() + ".remedy"))
                        .as(f.key())
                        .isTrue());
    }

    @Test
    void figuresAreSaidAsAGrowerReadsThem() {
        Statement counted = Statement.of(Regrowth.Step.COUNTED, "day", DAY.plusDays(2), "pieces", 1200);
        assertThat(words.of(counted)).isEqualTo("Counted on Wed 17 Jun");
        assertThat(words.figures(counted)).isEqualTo("1,200 pieces");

        assertThat(words.figures(
                        Statement.of(WayWorking.Step.YOUNG_PLANTS, "mean", 1.55, "chances", List.of(0.45, 0.55))))
                .isEqualTo("1.55 young plants, as 1: 45%, 2: 55%");
        assertThat(words.figures(Statement.of(BuildUp.Step.KEEPING, "keeps", List.of(3, 4))))
                .isEqualTo("3, 4");
        assertThat(words.of(Statement.of(
                        Rescue.Step.NONE_BY_ONE_WAY,
                        "pieces",
                        4,
                        "way",
                        "Tip in plugs",
                        "section",
                        Section.TIP,
                        "chance",
                        0.1)))
                .isEqualTo("None of 4 by Tip in plugs (tips)");
        assertThat(words.figures(Statement.of(WayWorking.Step.A_WEEK_MORE, "take", 0, "now", 30, "known", true)))
                .isEqualTo("still no number would do");
        assertThat(words.figures(Statement.of(WayWorking.Step.A_WEEK_MORE, "take", 24, "now", 30, "known", true)))
                .isEqualTo("24 instead of 30");
        assertThat(words.figures(Statement.of(WayWorking.Step.A_WEEK_MORE, "take", 24, "now", 30, "known", false)))
                .isEqualTo("24 would do");
    }

    @Test
    void aFaultAndItsRemedyMakeOneSentence() {
        Statement byPiece = Statement.of(ImpossibleLook.Fault.NOT_ON_DAY_0, "piece", 7, "state", PieceState.READY);
        assertThat(words.of(byPiece) + "; " + words.remedy(byPiece))
                .isEqualTo(
                        "Piece 7: nothing can be ready on the day it was stuck; note it as rooted on day 0, or date the look later.");
        Statement falls =
                Statement.of(ImpossibleLook.Fault.FALLS, "field", ImpossibleLook.Field.LOST, "before", 3, "now", 1);
        assertThat(words.of(falls)).isEqualTo("Lost cannot fall from 3 to 1: counts are so far");
        assertThat(words.remedy(falls)).isEqualTo("give 3 or more, or take the earlier look back.");
    }

    @Test
    void aFindingSaysItsReasonAndItsRemedy() {
        assertThat(words.of(new MayCut.Finding(
                        MayCut.Matter.REST,
                        MayCut.Weight.WARNING,
                        Statement.of(MayCut.Step.RESTS, "day", DAY.plusDays(9)))))
                .isEqualTo(
                        "It rests after its last harvest, until Wed 24 Jun. Cut later, or take less: a tired plant gives poor pieces.");
    }

    @Test
    void aStatementWithoutAFigureThatItsWordsNeedIsAFault() {
        assertThatThrownBy(() -> words.of(Statement.of(Regrowth.Step.COUNTED))).hasMessageContaining("{day}");
        assertThatThrownBy(() -> Statement.of(Regrowth.Step.COUNTED, "day")).hasMessageContaining("by turns");
        assertThatThrownBy(() -> Statement.of(Regrowth.Step.COUNTED).number("pieces"))
                .hasMessageContaining("Regrowth.COUNTED has no number pieces");
    }
}
