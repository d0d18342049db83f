package garden.vivarium.app.stock;

import garden.vivarium.app.platform.CorrectedFact;
import garden.vivarium.app.platform.Says;
import java.time.LocalDate;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What a change of a stock plant changed, fact by fact. */
@Component
class StockChanges {

    private final Sorts sorts;
    private final Says says;

    StockChanges(Sorts sorts, Says says) {
        this.sorts = sorts;
        this.says = says;
    }

    List<CorrectedFact> between(StockPlantView was, StockPlantView now) {
        Stream<CorrectedFact> facts = Stream.of(
                fact("plant", was.plant().name(), now.plant().name()),
                fact("kind of plant", was.plant().kind(), now.plant().kind()),
                fact("group", was.plant().group(), now.plant().group()),
                fact(
                        "may it be propagated",
                        was.plant().protection().words(),
                        now.plant().protection().words()),
                fact("licence", was.plant().licence(), now.plant().licence()),
                fact("place", was.place().name(), now.place().name()),
                fact("how it is", was.state().words(), now.state().words()),
                fact("origin", was.came().origin(), now.came().origin()),
                fact("supplier", was.came().supplier(), now.came().supplier()),
                fact("arrived", day(was.came().arrivedOn()), day(now.came().arrivedOn())),
                fact("seen on arrival", was.came().inspection(), now.came().inspection()),
                fact("quarantine until", day(was.quarantineUntil()), day(now.quarantineUntil())),
                fact("note", was.note(), now.note()));
        Set<String> counted = new LinkedHashSet<>();
        Stream.of(was, now).forEach(p -> p.counts().forEach(b -> counted.add(b.sort())));
        return Stream.concat(
                        facts,
                        counted.stream()
                                .map(s -> fact(
                                        sorts.words(s, now.plant().group()) + " it bears",
                                        number(was, s),
                                        number(now, s))))
                .collect(Collectors.toList());
    }

    private static CorrectedFact fact(String what, String was, String now) {
        return new CorrectedFact(what, was, now);
    }

    private String day(LocalDate day) {
        return day == null ? "" : says.day(day);
    }

    private static String number(StockPlantView plant, String sort) {
        return plant.counts().stream()
                .filter(b -> b.sort().equals(sort) && b.isCounted())
                .map(b -> b.pieces().toString())
                .findFirst()
                .orElse("");
    }
}
