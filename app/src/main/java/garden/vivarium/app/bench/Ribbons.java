package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.plan.Expected;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;

/** Draws the lives of batches as ribbons. */
@Component
class Ribbons {

    private final GuideLookup lookup;
    private final Says says;
    private final Today today;

    Ribbons(GuideLookup lookup, Says says, Today today) {
        this.lookup = lookup;
        this.says = says;
        this.today = today;
    }

    /** The ribbon of a batch, with what was counted and moved. */
    Ribbon of(BatchBook.Entry entry, Evidence.Counted counted, List<PottingView> moved) {
        BatchView b = entry.batch();
        Expected expected = b.expected(entry.outlook(), today.date());
        MilestoneSigns signs = lookup.signs(b.protocol(), b.protocolVersion(), b.method());
        LocalDate day = today.date();
        LocalDate start = b.takenOn().minusDays(1);
        LocalDate end = expected.end().plusDays(3);
        LocalDate last = b.closedOn() != null ? b.closedOn() : day;
        if (last.isAfter(end)) {
            end = last.plusDays(2);
        }
        List<LocalDate> looks = counted.ready().daysKnown().stream()
                .map(d -> expected.stuck().plusDays(d))
                .toList();
        return Ribbon.of(
                start,
                end,
                expected,
                day,
                null,
                lookup.method(b.method()),
                signs.firstSign(),
                signs.ready(),
                b.stuck(),
                counted.firstSign(),
                counted.ready(),
                looks,
                moved,
                begin(b),
                words(b, expected));
    }

    private static Ribbon.Begin begin(BatchView b) {
        if (b.isAsleep()) {
            return Ribbon.Begin.ASLEEP;
        }
        return b.isStuck() && !b.dayZero().equals(b.stuckOn()) ? Ribbon.Begin.AWAKE : Ribbon.Begin.STUCK;
    }

    private String words(BatchView b, Expected e) {
        return Messages.text(
                "Ribbons.ribbon.ready.expected.ready",
                "code",
                b.code(),
                "then",
                b.isAsleep()
                        ? "asleep since " + says.day(b.stuckOn())
                        : b.isStuck() ? "day 0 on " + says.day(b.dayZero()) : "drying since " + says.day(b.takenOn()),
                "from",
                says.day(e.ready().from()),
                "to",
                says.day(e.ready().to()),
                "ready",
                b.counts().ready(),
                "thenThen",
                b.isStuck() ? b.stuck() : b.taken(),
                "lost",
                b.counts().lost());
    }
}
