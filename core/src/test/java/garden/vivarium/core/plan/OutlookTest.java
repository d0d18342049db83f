package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a start on a day means is said in one place, and plans, makings and young plants agree with it. */
class OutlookTest {

    private static final Guide GUIDE = Guide.load();
    private static final Setting HOUSE = new Setting(Climate.HEATED, Hemisphere.NORTH);
    private static final LocalDate APRIL = LocalDate.of(2026, 4, 1);
    private static final LocalDate DECEMBER = LocalDate.of(2026, 12, 1);

    static Stream<Protocol> everyProtocol() {
        return GUIDE.protocols().stream();
    }

    @ParameterizedTest
    @MethodSource("everyProtocol")
    void aPlanAndItsOutlookGiveOneChance(Protocol protocol) {
        Outlook outlook = Outlook.ofGuide(protocol, 0.08);
        for (LocalDate start : new LocalDate[] {APRIL, DECEMBER}) {
            LocalDate due = start.plusDays(160);
            WayPlan plan = WayPlan.of(outlook, new Aim(8, 1, due, 0.9), HOUSE, OptionalInt.of(40), start);

            assertThat(outlook.readyBy(HOUSE, start, due).atLeast(8, 30, outlook.output()))
                    .isCloseTo(plan.chance(30), within(1e-12));
            assertThat(outlook.expected(HOUSE, start)).isEqualTo(plan.expected());
        }
    }

    @Test
    void stagesBeforeAndAfterRootingAreThoseOfTheProtocol() {
        Outlook plain = Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.08);
        Protocol dried = GUIDE.protocols().stream()
                .filter(p -> p.wound().callus().isPresent())
                .findFirst()
                .orElseThrow();
        Outlook callused = Outlook.ofGuide(dried, 0.08);

        assertThat(plain.stages()).hasSize(plain.settleDays() > 0 ? 1 : 0);
        assertThat(callused.callusDays()).isPositive();
        assertThat(callused.stages().size())
                .as("callus, and settling where it has it")
                .isEqualTo(1 + (callused.settleDays() > 0 ? 1 : 0));
        assertThat(callused.nextBatch(callused.at(HOUSE, APRIL)).mean())
                .as("each stage thins")
                .isCloseTo(
                        callused.at(HOUSE, APRIL).strike().nextBatch().mean()
                                * callused.stages().stream()
                                        .mapToDouble(s -> s.mean())
                                        .reduce(1, (a, b) -> a * b),
                        within(1e-9));
        Expected expected = callused.expected(HOUSE, APRIL);
        assertThat(expected.callus().orElseThrow().from())
                .isEqualTo(APRIL.plusDays(dried.wound().callus().orElseThrow().least()));
        assertThat(expected.stuck()).isEqualTo(APRIL.plusDays(callused.callusDays()));
    }

    @Test
    void inTheEndIsNeverLessThanByADay() {
        Outlook outlook = Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.08);
        double end = outlook.readyInTheEnd(HOUSE, APRIL).atLeast(15, 24);

        assertThat(outlook.readyBy(HOUSE, APRIL, APRIL.plusDays(50)).atLeast(15, 24))
                .isLessThan(end);
        assertThat(outlook.readyBy(HOUSE, APRIL, APRIL.plusDays(900)).atLeast(15, 24))
                .isCloseTo(end, within(1e-4));
    }

    @Test
    void outOfSeasonIsSlowerAndPoorerAndUnderLampsThereIsNone() {
        Outlook outlook = Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.08);

        assertThat(outlook.factors(HOUSE, APRIL)).isEqualTo(SeasonFactors.IN_SEASON);
        SeasonFactors winter = outlook.factors(HOUSE, DECEMBER);
        assertThat(winter.slower()).isGreaterThan(1);
        assertThat(winter.poorer()).isLessThan(1);
        assertThat(outlook.at(HOUSE, DECEMBER).strike().mean())
                .isCloseTo(outlook.inSeason().strike().mean() * winter.poorer(), within(1e-12));
        assertThat(outlook.at(HOUSE, DECEMBER).ready().day(0.5))
                .isCloseTo(outlook.inSeason().ready().day(0.5) * winter.slower(), within(1e-9));
        assertThat(outlook.factors(new Setting(Climate.LIT, Hemisphere.NORTH), DECEMBER))
                .isEqualTo(SeasonFactors.IN_SEASON);
    }

    @Test
    void whereItsWarmthIsKnownThePaceOfAPlaceAloneHolds() {
        Outlook usual = Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.08);
        Outlook warm = usual.paced(0.8);

        assertThat(warm.at(HOUSE, APRIL).ready().day(0.5))
                .isCloseTo(usual.at(HOUSE, APRIL).ready().day(0.5) * 0.8, within(1e-9));
        assertThat(warm.at(HOUSE, DECEMBER).ready().day(0.5))
                .isCloseTo(usual.at(HOUSE, APRIL).ready().day(0.5) * 0.8, within(1e-9));
        assertThat(warm.at(HOUSE, DECEMBER).strike().mean())
                .as("warmth makes no pieces better")
                .isEqualTo(usual.at(HOUSE, DECEMBER).strike().mean());
        assertThat(warm.at(HOUSE, APRIL).strike().mean())
                .isEqualTo(usual.at(HOUSE, APRIL).strike().mean());
    }

    @Test
    void dayNoughtIsAfterTheWoundsHaveDried() {
        Outlook pads = Outlook.ofGuide(GUIDE.protocol("pad-in-grit").orElseThrow(), 0.08);

        assertThat(pads.stuckOn(APRIL)).isEqualTo(APRIL.plusDays(pads.callusDays()));
        assertThat(pads.callusDays()).isPositive();
    }

    /** The number that comes with a chance or a greater one is the last whose tail is not below it. */
    @ParameterizedTest
    @CsvSource({"20, 1, false", "20, 3, false", "35, 1, true", "35, 2, true", "0, 1, false"})
    void youngPlantsAgreeWithTheTails(int pieces, int perPot, boolean several) {
        Outlook outlook = Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.08);
        OutputRatio output = several ? new OutputRatio(List.of(0.5, 0.3, 0.2)) : OutputRatio.one();
        ReadyChance ready = outlook.readyBy(HOUSE, APRIL, APRIL.plusDays(60));
        YoungPlants young = YoungPlants.of(ready, pieces, output, perPot);

        assertEnough(ready, pieces, output, perPot, young.tenth(), 0.9);
        assertEnough(ready, pieces, output, perPot, young.middle(), 0.5);
        assertEnough(ready, pieces, output, perPot, young.ninetieth(), 0.1);
    }

    private static void assertEnough(
            ReadyChance ready, int pieces, OutputRatio output, int perPot, int pots, double chance) {
        assertThat(ready.atLeast(pots * perPot, pieces, output)).isGreaterThanOrEqualTo(chance - 1e-9);
        assertThat(ready.atLeast((pots + 1) * perPot, pieces, output)).isLessThan(chance);
    }

    /** With no batch of its own a nursery expects what the guide says. */
    @Test
    void anEmptyRecordExpectsWhatTheGuideSays() {
        Protocol protocol = GUIDE.protocol("pad-in-grit").orElseThrow();
        Way way = new Way("opuntia", "cactus", "pad", "gritty succulent mix", "");
        GuideFigures figures = new GuideFigures(
                protocol.figures().rate(),
                protocol.firstSign().map(f -> f.days()),
                protocol.ready().days());
        NurseryRecord none = NurseryRecord.of(List.of(), w -> figures);

        Outlook own = Outlook.of(protocol, none, way);
        Outlook guide = Outlook.ofGuide(protocol, own.inSeason().strike().rho());

        assertThat(own.inSeason().strike().mean())
                .isCloseTo(guide.inSeason().strike().mean(), within(1e-9));
        assertThat(own.inSeason().ready().day(0.5))
                .isCloseTo(guide.inSeason().ready().day(0.5), within(1e-9));
        assertThat(own.callus()).isPresent();
        assertThat(own.callus().orElseThrow().survival().mean())
                .isCloseTo(guide.callus().orElseThrow().survival().mean(), within(1e-9));
        assertThat(own.in(SeasonFactors.IN_SEASON)).isSameAs(own.inSeason());
        assertThat(own.in(protocol.material().season().outside()))
                .isSameAs(own.in(protocol.material().season().outside()));

        PlannedPieces planned = own.planned(
                way,
                season ->
                        new SharedDoubt(own.in(season).strike(), own.in(season).ready()),
                HOUSE,
                APRIL,
                APRIL.plusDays(120),
                1);
        assertThat(planned.ready().atLeast(8, 12))
                .isCloseTo(own.readyBy(HOUSE, APRIL, APRIL.plusDays(120)).atLeast(8, 12), within(1e-12));
        assertThat(planned.output()).isEqualTo(protocol.figures().output());
        assertThat(planned.meanOfOne())
                .isCloseTo(
                        planned.ready().meanShare()
                                * protocol.figures().output().mean(),
                        within(1e-12));
        assertThat(planned.way()).isEqualTo(way);
    }
}
