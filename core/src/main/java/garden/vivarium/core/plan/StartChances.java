package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The chances of an aim by a way, by the day on which pieces are taken. Each day's are summed once; searches go by rough sums
 * first and are settled by the full ones, so that what they find is what the full ones alone would.
 */
final class StartChances {

    /** No later day due is sought beyond two years. */
    private static final int MOST_DAYS = 730;

    private final Outlook outlook;
    private final Aim aim;
    private final Setting setting;
    private final Map<SeasonFactors, ReadyChance.OfRate> rates = new ConcurrentHashMap<>();
    private final Map<SeasonFactors, ReadyChance.OfRate> roughRates = new ConcurrentHashMap<>();
    private final Map<InSeason, OptionalInt> enough = new ConcurrentHashMap<>();
    private final Map<LocalDate, ReadyChance> days = new ConcurrentHashMap<>();

    StartChances(Outlook outlook, Aim aim, Setting setting) {
        this.outlook = outlook;
        this.aim = aim;
        this.setting = setting;
    }

    /** The chances of pieces taken on a day to be young plants by the day due. */
    ReadyChance on(LocalDate day) {
        return days.computeIfAbsent(day, d -> ofRate(d).after(ready(d), outlook.daysToReady(d, aim.due())));
    }

    /** Whether pieces taken on a day make the aim with the confidence asked. */
    boolean isGood(LocalDate day, int pieces) {
        return on(day).atLeast(aim.pieces(), pieces, outlook.output()) >= aim.confidence();
    }

    /** The least number to take on a day; empty where none would do, or only more than anybody would take. */
    Optional<TakeCount> least(LocalDate day) {
        return least(day, aim.confidence());
    }

    /** The same with another confidence. */
    Optional<TakeCount> least(LocalDate day, double confidence) {
        OptionalInt enough = enough(day, confidence);
        // More than that is sought nowhere: it would be of no use.
        return enough.isPresent() && on(day).atLeast(aim.pieces(), enough.getAsInt(), outlook.output()) >= confidence
                ? TakeCount.least(on(day), outlook.output(), aim.pieces(), confidence)
                : Optional.empty();
    }

    /** Twice the pieces that would do with all the time in the world, taken on a day; empty where none would. */
    OptionalInt enough(LocalDate day) {
        return enough(day, aim.confidence());
    }

    private OptionalInt enough(LocalDate day, double confidence) {
        return enough.computeIfAbsent(
                new InSeason(outlook.factors(setting, day), confidence),
                s -> TakeCount.least(ofRate(day).withUnlimitedTime(), outlook.output(), aim.pieces(), confidence)
                        .map(t -> OptionalInt.of(2 * t.pieces()))
                        .orElse(OptionalInt.empty()));
    }

    /** A season, and how sure one wants to be. */
    private record InSeason(SeasonFactors season, double confidence) {}

    /** The rate of pieces taken on a day. */
    ReadyChance.OfRate ofRate(LocalDate day) {
        return rates.computeIfAbsent(
                outlook.factors(setting, day), season -> ReadyChance.of(outlook.nextBatch(season)));
    }

    private ReadyChance.OfRate roughlyOfRate(LocalDate day) {
        return roughRates.computeIfAbsent(
                outlook.factors(setting, day), season -> ReadyChance.roughly(outlook.nextBatch(season)));
    }

    private RootingTime ready(LocalDate day) {
        return outlook.ready(outlook.factors(setting, day));
    }

    /** How the season bears on pieces taken on a day. */
    SeasonFactors season(LocalDate day) {
        return outlook.factors(setting, day);
    }

    boolean isInSeason(LocalDate day) {
        return setting.inSeason(outlook.season(), outlook.stuckOn(day));
    }

    /** The last day of a stretch of one season on which pieces still make the aim; its first is known to be good. */
    LocalDate lastGood(LocalDate begin, LocalDate end, int pieces) {
        long length = end.toEpochDay() - begin.toEpochDay();
        long rough = FirstThat.of(1, length, length / 2, i -> !isRoughlyGood(begin.plusDays(i), pieces))
                .orElse(length);
        return begin.plusDays(FirstThat.of(1, length, rough, i -> !isGood(begin.plusDays(i), pieces))
                        .orElse(length + 1)
                - 1);
    }

    private boolean isRoughlyGood(LocalDate day, int pieces) {
        return roughlyOfRate(day)
                        .after(ready(day), outlook.daysToReady(day, aim.due()))
                        .atLeast(aim.pieces(), pieces, outlook.output())
                >= aim.confidence();
    }

    /** The earliest day due that pieces taken on a day would meet; empty where none within two years. */
    Optional<LocalDate> earliestDue(LocalDate start, int pieces) {
        long rough = FirstThat.of(
                        1, MOST_DAYS, MOST_DAYS / 8, days -> isEnough(roughlyOfRate(start), start, days, pieces))
                .orElse(MOST_DAYS);
        long stuck = (long) outlook.callusDays() + outlook.settleDays();
        return FirstThat.of(1, MOST_DAYS, rough, days -> isEnough(ofRate(start), start, days, pieces)).stream()
                .mapToObj(days -> start.plusDays(stuck + days))
                .findFirst();
    }

    private boolean isEnough(ReadyChance.OfRate rate, LocalDate start, long days, int pieces) {
        return rate.after(ready(start), days).atLeast(aim.pieces(), pieces, outlook.output()) >= aim.confidence();
    }
}
