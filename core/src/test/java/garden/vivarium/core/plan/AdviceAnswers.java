package garden.vivarium.core.plan;

import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.OfferedWay;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** What a propagator would say of plants, and what the guide alone advises for them. */
public final class AdviceAnswers {

    private static final LocalDate MAY = LocalDate.of(2027, 5, 1);
    private static final Setting HOUSE = new Setting(Climate.HEATED, Hemisphere.NORTH);
    private static final double RHO = 0.08;

    private AdviceAnswers() {}

    /** One plant: the ways that most would start with, and those that they would laugh at. */
    public record Answer(String name, String group, List<String> first, List<String> laughedAt) {}

    /** All answers that were not passed over. */
    public static List<Answer> load() {
        try (InputStream in = AdviceAnswers.class.getResourceAsStream("/advice/answers.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .skip(1)
                    .map(l -> l.split(",", -1))
                    .filter(p -> !p[2].isEmpty())
                    .map(p -> new Answer(p[0], p[1], List.of(p[2].split("\\|")), List.of(p[3], p[4])))
                    .toList();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The advice of the guide alone for 24 young plants of a plant of the name, begun in May, within a year. */
    public static Advice<AdvisedWay> advice(Guide guide, String name, String group) {
        List<PlantKind> meant = guide.names().read(name, group).meanings();
        // Where several have the name, whoever is asked chooses the one of the group.
        Optional<PlantKind> kind = meant.stream()
                .filter(k -> k.group().equals(group))
                .findFirst()
                .or(() -> meant.stream().findFirst());
        List<AdvisedWay> ways =
                guide.offered(kind, kind.map(PlantKind::group).orElse(group), guide.protocols()).stream()
                        .map(o -> way(guide, kind, o))
                        .toList();
        return Advice.of(ways, w -> w);
    }

    private static AdvisedWay way(Guide guide, Optional<PlantKind> kind, OfferedWay offered) {
        Protocol p = kind.map(k -> guide.fit(k, offered.protocol().method()).fitted(offered.protocol()))
                .orElse(offered.protocol());
        WayPlan plan = WayPlan.of(
                Outlook.ofGuide(p, RHO), new Aim(24, 1, MAY.plusYears(1), 0.9), HOUSE, OptionalInt.of(500), MAY);
        return new AdvisedWay(offered, plan, 0, p.figures().rate(), p.figures().minutesPerTen());
    }
}
