package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.OfferedWay;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What cannot be borne is not planned, and what could be done instead is always said. */
class InTurnTest {

    private static final Guide GUIDE = Guide.load();
    private static final Setting HOUSE = new Setting(Climate.HEATED, Hemisphere.NORTH);
    private static final LocalDate APRIL = LocalDate.of(2026, 4, 1);

    private static WayPlan plan(int wanted, OptionalInt bears, int rest, double regrown, int cuts, int days) {
        return plan(wanted, new Harvesting(bears, rest, regrown, cuts), days);
    }

    private static WayPlan plan(int wanted, Harvesting stock, int days) {
        return WayPlan.of(
                Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.08),
                new Aim(wanted, 1, APRIL.plusDays(days), 0.9),
                HOUSE,
                stock,
                APRIL);
    }

    @Test
    void whatIsBorneAtOnceIsCutAtOnce() {
        WayPlan plan = plan(24, OptionalInt.of(80), 21, 0.5, 3, 120);

        InTurn cuts = plan.inTurn().orElseThrow();
        assertThat(cuts.isAtOnce()).isTrue();
        assertThat(cuts.pieces()).isEqualTo(plan.take().orElseThrow().pieces());
        assertThat(cuts.chance()).isEqualTo(plan.take().orElseThrow().chance());
        assertThat(plan.isBeyondStock()).isFalse();
    }

    @Test
    void moreIsCutInTurnWhileTimeLastsAsMuchAsCanBeFirst() {
        int once = plan(40, OptionalInt.empty(), 21, 0.5, 3, 150)
                .take()
                .orElseThrow()
                .pieces();
        WayPlan plan = plan(40, OptionalInt.of(once - 5), 21, 0.5, 3, 150);

        InTurn cuts = plan.inTurn().orElseThrow();
        assertThat(cuts.cuts()).hasSize(2);
        assertThat(cuts.cuts().get(0)).isEqualTo(new InTurn.Cut(APRIL, once - 5));
        assertThat(cuts.cuts().get(1).on()).isEqualTo(APRIL.plusDays(21));
        assertThat(cuts.pieces()).as("as if all were cut on the second day").isGreaterThanOrEqualTo(once);
        assertThat(plan.chance(APRIL.plusDays(21), cuts.pieces())).isGreaterThanOrEqualTo(0.9);
        assertThat(cuts.chance()).isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void aPlantThatBearsSixtyIsNotCutFortyEightTimes() {
        WayPlan plan = plan(2000, OptionalInt.of(60), 21, 0.5, 3, 300);

        assertThat(plan.take()).isPresent();
        assertThat(plan.isAllThatThereIs()).isTrue();
        assertThat(plan.inTurn().orElseThrow().pieces()).isEqualTo(60);
        assertThat(plan.givesWith(0.95)).isLessThan(plan.givesWith(0.5));
        Instead instead = Instead.of(plan);
        assertThat(instead.fewer().orElseThrow()).isBetween(20, 55);
        assertThat(instead.chance()).isLessThan(0.01);
        assertThat(instead.more().orElseThrow())
                .isEqualTo(plan.take().orElseThrow().pieces() - 60);
    }

    @Test
    void aLotIsCutOnceAndWhatNobodyCountedIsPlannedAllTheSame() {
        int once = plan(40, OptionalInt.empty(), 21, 0.5, 3, 150)
                .take()
                .orElseThrow()
                .pieces();

        WayPlan lot = plan(40, OptionalInt.of(once - 1), 21, 1, 1, 150);
        assertThat(lot.isAllThatThereIs()).isTrue();
        assertThat(lot.inTurn().orElseThrow().pieces()).isEqualTo(once - 1);
        assertThat(lot.inTurn().orElseThrow().chance()).isBetween(0.85, 0.9);
        assertThat(plan(40, OptionalInt.of(0), 21, 1, 1, 150).inTurn())
                .as("nothing is left")
                .isEmpty();
        assertThat(plan(40, OptionalInt.empty(), 21, 0.5, 3, 150)
                        .inTurn()
                        .orElseThrow()
                        .pieces())
                .isEqualTo(once);
        assertThat(plan(40, OptionalInt.empty(), 21, 0.5, 3, 150).isUncounted()).isTrue();
    }

    @Test
    void whatNobodyCountedGivesNoMoreThanALargePlantBears() {
        int once = plan(40, OptionalInt.empty(), 21, 0.5, 3, 150)
                .take()
                .orElseThrow()
                .pieces();

        WayPlan enough = uncounted(once);
        assertThat(enough.inTurn().orElseThrow().pieces()).isEqualTo(once);
        assertThat(enough.isBeyondLarge()).isFalse();
        WayPlan laughable = uncounted(once - 1);
        assertThat(laughable.inTurn()).isEmpty();
        assertThat(laughable.isBeyondLarge()).isTrue();
        assertThat(laughable.large()).hasValue(once - 1);
    }

    private static WayPlan uncounted(int large) {
        return plan(40, new Harvesting(OptionalInt.empty(), 21, 0.5, 3, OptionalInt.of(large)), 150);
    }

    @Test
    void tooLateIsTooLateHoweverMuchThereIs() {
        WayPlan plan = plan(24, OptionalInt.of(500), 21, 0.5, 3, 5);

        assertThat(plan.inTurn()).isEmpty();
        assertThat(plan.isBeyondStock()).isFalse();
        assertThat(Instead.of(plan).later().orElseThrow()).isAfter(APRIL.plusDays(5));
        assertThat(Instead.of(plan).more()).isEmpty();
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Harvesting(OptionalInt.of(3), 0, 0.5, 3)).hasMessageContaining("a day of rest");
        assertThatThrownBy(() -> new Harvesting(OptionalInt.of(3), 1, 1.5, 3)).hasMessageContaining("a share");
        assertThatThrownBy(() -> new Harvesting(OptionalInt.of(3), 1, 0.5, 0)).hasMessageContaining("one cut");
    }

    /** Any aim for any kind: nothing beyond three cuts of what is borne stands as a plan, and else something could be done. */
    @Test
    void noHeadlineGoesBeyondWhatIsBorneInThreeCuts() {
        Random random = new Random(20261126);
        List<PlantKind> kinds =
                GUIDE.kinds().stream().filter(k -> !k.methods().isEmpty()).toList();
        Map<String, Outlook> outlooks = new HashMap<>();
        int planned = 0;
        int aims = Integer.getInteger("aims", 300);
        for (int i = 0; i < aims; i++) {
            PlantKind kind = kinds.get(random.nextInt(kinds.size()));
            List<OfferedWay> ways = GUIDE.offered(Optional.of(kind), kind.group(), GUIDE.protocols());
            OfferedWay way = ways.get(random.nextInt(ways.size()));
            Outlook outlook = outlooks.computeIfAbsent(
                    kind.key() + " " + way.protocol().key(),
                    k -> Outlook.ofGuide(
                            GUIDE.fit(kind, way.protocol().method()).fitted(way.protocol()), 0.08));
            LocalDate start = APRIL.plusDays(random.nextInt(365));
            int bears = random.nextInt(200);
            boolean lot = random.nextInt(5) == 0;
            WayPlan plan = WayPlan.of(
                    outlook,
                    new Aim(1 + random.nextInt(120), 1, start.plusDays(1 + random.nextInt(400)), 0.9),
                    new Setting(Climate.values()[random.nextInt(Climate.values().length)], Hemisphere.NORTH),
                    new Harvesting(OptionalInt.of(bears), 1 + random.nextInt(300), random.nextDouble(), lot ? 1 : 3),
                    start);
            if (plan.inTurn().isPresent()) {
                planned++;
                InTurn cuts = plan.inTurn().get();
                assertThat(cuts.pieces()).isLessThanOrEqualTo((lot ? 1 : 3) * bears);
                assertThat(cuts.cuts().size()).isLessThanOrEqualTo(lot ? 1 : 3);
                assertThat(cuts.cuts().get(cuts.cuts().size() - 1).on())
                        .isBefore(plan.aim().due());
                assertThat(cuts.chance() >= 0.9)
                        .as("as sure as asked, or said to be all that there is")
                        .isNotEqualTo(plan.isAllThatThereIs());
                if (plan.isAllThatThereIs()) {
                    assertThat(cuts.pieces()).isEqualTo(bears);
                }
                assertThat(plan.take().orElseThrow().pieces())
                        .as("twice what all the time in the world would need")
                        .isLessThanOrEqualTo(plan.enough());
                isLikeTheDayAfter(plan, outlook);
            } else {
                Instead instead = Instead.of(plan);
                assertThat(plan.tooSoon().flatMap(WayPlan.TooSoon::by).isPresent()
                                || instead.fewer().isPresent()
                                || instead.later().isPresent()
                                || instead.soonest().isPresent()
                                || instead.inSeason().isPresent()
                                || instead.more().isPresent()
                                || instead.isTooUnsure())
                        .as("%s by %s, bearing %d", kind.key(), way.protocol().key(), bears)
                        .isTrue();
                if (instead.isTooUnsure()) {
                    assertThat(plan.outlook().nextBatch(plan.season()).mean())
                            .as(
                                    "only what hardly ever strikes: %s by %s",
                                    kind.key(), way.protocol().key())
                            .isLessThan(0.35);
                }
                assertThat(plan.take().isPresent() && bears > 0)
                        .as("what is counted is an answer")
                        .isFalse();
            }
        }
        assertThat(planned).as("both answers come").isBetween(aims / 10, 9 * aims / 10);
    }

    /** The season slopes: of two days that follow one another, with as many days each, the numbers hardly differ. */
    private static void isLikeTheDayAfter(WayPlan plan, Outlook outlook) {
        WayPlan next = WayPlan.of(
                outlook,
                new Aim(
                        plan.aim().youngPlants(),
                        1,
                        plan.aim().due().plusDays(1),
                        plan.aim().confidence()),
                plan.setting(),
                OptionalInt.empty(),
                plan.start().plusDays(1));
        int now = plan.take().orElseThrow().pieces();
        next.take()
                .ifPresent(t -> assertThat((double) Math.abs(t.pieces() - now))
                        .isLessThanOrEqualTo(0.2 * Math.min(now, t.pieces()) + 1));
    }
}
