package garden.vivarium.core.plan;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
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
    private final Map<Boolean, ReadyChance.OfRate> rates = new ConcurrentHashMap<>();
    private final Map<Boolean, ReadyChance.OfRate> roughRates = new ConcurrentHashMap<>();
    private final Map<LocalDate, ReadyChance> days = new ConcurrentHashMap<>();

    StartChances(Outlook outlook, Aim aim, Setting setting) {
        this.outlook = outlook;
        this.aim = aim;
        this.setting = setting;
    }

    /** The chances of pieces taken on a day to be young plants by the day due. */
    ReadyChance on(LocalDate day) {
        return days.computeIfAbsent(
                day, d -> ofRate(d).after(outlook.at(setting, d).ready(), outlook.daysToReady(d, aim.due())));
    }

    /** Whether pieces taken on a day make the aim with the confidence asked. */
    boolean isGood(LocalDate day, int pieces) {
        return on(day).atLeast(aim.pieces(), pieces, outlook.output()) >= aim.confidence();
    }

    /** The least number to take on a day; empty where none would do. */
    Optional<TakeCount> least(LocalDate day) {
        return TakeCount.least(on(day), outlook.output(), aim.pieces(), aim.confidence());
    }

    /** The rate of pieces taken on a day. */
    ReadyChance.OfRate ofRate(LocalDate day) {
        return rates.computeIfAbsent(
                isInSeason(day), in -> ReadyChance.of(outlook.nextBatch(outlook.at(setting, day))));
    }

    private ReadyChance.OfRate roughlyOfRate(LocalDate day) {
        return roughRates.computeIfAbsent(
                isInSeason(day), in -> ReadyChance.roughly(outlook.nextBatch(outlook.at(setting, day))));
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
                        .after(outlook.at(setting, day).ready(), outlook.daysToReady(day, aim.due()))
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
        return rate.after(outlook.at(setting, start).ready(), days).atLeast(aim.pieces(), pieces, outlook.output())
                >= aim.confidence();
    }
}
