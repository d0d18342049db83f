package garden.vivarium.app.plan;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Verdict;
import garden.vivarium.core.plan.AdvisedWay;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says why the way that is advised stands first. */
@Component
class WhyFirst {

    private final Evidence evidence;
    private final Guide guide;
    private final UsualHere usualHere;

    WhyFirst(Evidence evidence, Guide guide, UsualHere usualHere) {
        this.evidence = evidence;
        this.guide = guide;
        this.usualHere = usualHere;
    }

    /** Why the first way stands first, in a sentence. */
    @Transactional(readOnly = true)
    String why(StockPlantView plant, List<WayRow> ways) {
        WayRow first = ways.get(0);
        Optional<String> made = usualHere.why(plant.plant().name(), first.protocol());
        if (made.isPresent()) {
            return made.get();
        }
        String commoner = ways.stream()
                .filter(r -> first.plan().isInSeason() && !r.plan().isInSeason())
                .filter(r -> r.advised().offered().verdict()
                        == first.advised().offered().verdict())
                .filter(r ->
                        r.advised().offered().rank() < first.advised().offered().rank())
                .min(Comparator.comparingInt(r -> r.advised().offered().rank()))
                .map(r -> " "
                        + Messages.text(
                                "Ways.why.season", "method", r.protocol().method()))
                .orElse("");
        return why(plant, first) + commoner;
    }

    private String why(StockPlantView plant, WayRow first) {
        AdvisedWay advised = first.advised();
        NurseryRecord.Past past = evidence.record()
                .past(Evidence.way(first.protocol(), plant.plant().grown()));
        String method = first.protocol().method();
        if (past.pieces() > 0) {
            return Messages.text(
                    advised.isPoor() ? "Ways.why.poor" : "Ways.why.own",
                    "pieces",
                    past.pieces(),
                    "method",
                    method,
                    "share",
                    (double) past.kept() / past.pieces());
        }
        String kind =
                guide.kind(plant.plant().kind()).map(k -> k.names().name()).orElse("");
        String key = advised.offered().guess()
                ? "Ways.why.guess"
                : advised.offered().verdict() == Verdict.USUAL ? "Ways.why.usual" : "Ways.why.possible";
        return Messages.text(
                key,
                "kind",
                kind,
                "commonest",
                advised.offered().rank() == 0,
                "share",
                advised.guideRate(),
                "now",
                Math.round(100 * first.plan().season().strike().mean()),
                "same",
                Math.round(100 * advised.guideRate())
                        == Math.round(100 * first.plan().season().strike().mean()));
    }
}
