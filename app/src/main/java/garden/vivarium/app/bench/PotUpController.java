package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Moves;
import garden.vivarium.app.batch.PottedIn;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.PotSize;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.plan.PotSetting;
import garden.vivarium.core.plan.PottingUp;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Potting up: which pots, how many to each, in what, where, and when the first water and feed come. */
@Controller
class PotUpController {

    private static final int ROWS = 3;
    /** Of blades and powders that are over by then; bagged compost has its own line. */
    private static final Set<String> NOT_AT_POTTING = Set.of("blade", "hormone", "compost");

    private static final int MOST_CM = 100;
    private static final int MOST_DAYS = 120;
    /** Where the guide knows no protocol: a small pot, watered at once, fed when the mix has nothing more to give. */
    private static final Protocol.Potting USUAL =
            new Protocol.Potting(new PotSize(Optional.of(90), Optional.empty(), ""), "potting compost", 1, 0, 4);

    private final Sheets sheets;
    private final Moves moves;
    private final Stock stock;
    private final Guide guide;
    private final Today today;
    private final Measures measures;

    PotUpController(Sheets sheets, Moves moves, Stock stock, Guide guide, Today today, Measures measures) {
        this.sheets = sheets;
        this.moves = moves;
        this.stock = stock;
        this.guide = guide;
        this.today = today;
        this.measures = measures;
    }

    @GetMapping("/batches/{code}/pot")
    String page(@PathVariable String code, Model model) {
        BatchSheet sheet = sheets.of(code);
        BatchView batch = sheet.batch();
        if (batch.readyToMove() == 0) {
            return "redirect:/batches/" + code;
        }
        Protocol.Potting potting = sheet.way().protocol().map(Protocol::potting).orElse(USUAL);
        PottingUp proposed = PottingUp.of(
                batch.readyToMove(),
                batch.piecesPerPot(),
                potting,
                batch.way().medium().equals("water"),
                longestRoot(sheet));
        model.addAttribute("batch", batch);
        model.addAttribute("potting", potting);
        model.addAttribute("proposed", proposed);
        model.addAttribute(
                "setting",
                PotSetting.of(
                        batch.method(),
                        batch.way().group(),
                        batch.way().medium().equals("water"),
                        potting.mix()));
        model.addAttribute("bags", guide.caution("compost").stream().toList());
        model.addAttribute("rows", ROWS);
        model.addAttribute("place", sheet.row().place());
        model.addAttribute("places", stock.places());
        model.addAttribute(
                "mothers",
                stock.live().stream()
                        .filter(s -> s.plant().name().equals(batch.plant()))
                        .toList());
        model.addAttribute(
                "cautions",
                sheet.way().protocol().map(p -> guide.cautions(batch.way().grown(), p)).orElse(List.of()).stream()
                        .filter(c -> !NOT_AT_POTTING.contains(c.key()))
                        .toList());
        return "bench/pot-up";
    }

    private static Optional<Integer> longestRoot(BatchSheet sheet) {
        return sheet.pieces().stream()
                .filter(p -> !p.potted() && !p.view().state().isEnd())
                .map(p -> p.noted().rootMm())
                .filter(Objects::nonNull)
                .max(Integer::compare);
    }

    @PostMapping("/batches/{code}/pot")
    String potUp(
            @PathVariable String code,
            @RequestParam LocalDate movedOn,
            @RequestParam List<String> pots,
            @RequestParam List<String> perPot,
            @RequestParam List<String> across,
            @RequestParam(required = false) String mix,
            @RequestParam(required = false) String place,
            @RequestParam(defaultValue = "0") int waterAfter,
            @RequestParam(defaultValue = "0") int feedAfter,
            @RequestParam(defaultValue = "") List<String> set,
            @RequestParam(required = false) String remark,
            RedirectAttributes next) {
        return FormActions.runAndGo(next, "/batches/" + code + "/pot", () -> {
            if (waterAfter < 0 || waterAfter > MOST_DAYS || feedAfter < 0 || feedAfter > MOST_DAYS) {
                throw new InvalidField("waterAfter", Messages.text("PotUp.waits", "most", MOST_DAYS));
            }
            UUID stands = place == null || place.isBlank()
                    ? null
                    : stock.placeNamed(place.strip(), Climate.HEATED).id();
            PottedIn rest = new PottedIn(
                    null,
                    null,
                    cut(mix, 120),
                    stands,
                    waterAfter > 0 ? movedOn.plusDays(waterAfter) : null,
                    feedAfter > 0 ? movedOn.plusWeeks(feedAfter) : null,
                    remark(set, remark));
            List<Moves.Filled> filled = filled(pots, perPot, across, rest);
            moves.potUp(code, movedOn, filled);
            return new FormActions.Result(
                    Messages.text(
                            "PotUp.done",
                            "pieces",
                            filled.stream().mapToInt(f -> f.pots() * f.perPot()).sum(),
                            "pots",
                            filled.stream().mapToInt(Moves.Filled::pots).sum()),
                    "/batches/" + code);
        });
    }

    @PostMapping("/batches/{code}/pot-into")
    String potInto(
            @PathVariable String code,
            @RequestParam(name = "intoOn") LocalDate day,
            @RequestParam int pieces,
            @RequestParam(required = false) String into,
            RedirectAttributes next) {
        return FormActions.runAndGo(next, "/batches/" + code + "/pot", () -> {
            moves.potInto(code, day, pieces, cut(into, 200));
            return new FormActions.Result(
                    Messages.text("PotUp.into", "pieces", pieces, "into", into), "/batches/" + code);
        });
    }

    /** Depth, stake, orientation, top dressing and whatever else, in a line; null for nothing. */
    private static String remark(List<String> set, String remark) {
        String said = Stream.concat(set.stream(), Stream.ofNullable(remark))
                .filter(s -> s != null && !s.isBlank())
                .map(String::strip)
                .collect(Collectors.joining("; "));
        return said.isEmpty() ? null : cut(said, 300);
    }

    private static String cut(String words, int most) {
        return words == null ? null : words.substring(0, Math.min(most, words.length()));
    }

    private List<Moves.Filled> filled(List<String> pots, List<String> perPot, List<String> across, PottedIn rest) {
        List<Moves.Filled> filled = new ArrayList<>();
        for (int i = 0; i < pots.size(); i++) {
            if (pots.get(i) == null
                    || pots.get(i).isBlank()
                    || pots.get(i).strip().equals("0")) {
                continue;
            }
            int each = (int) number("perPot", at(perPot, i), 1, 200);
            Integer mm = at(across, i).isBlank()
                    ? null
                    : (int) Math.round(10 * measures.within("across", at(across, i), Unit.CENTIMETRE, 1, MOST_CM));
            filled.add(new Moves.Filled(
                    (int) number("pots", pots.get(i), 1, 2000),
                    each,
                    new PottedIn(mm, each, rest.mix(), rest.placeId(), rest.waterOn(), rest.feedOn(), rest.remark())));
        }
        return filled;
    }

    private static String at(List<String> values, int i) {
        return i < values.size() && values.get(i) != null ? values.get(i) : "";
    }

    private static double number(String field, String typed, double least, double most) {
        try {
            double number = Double.parseDouble(typed.strip().replace(',', '.'));
            if (number >= least && number <= most) {
                return number;
            }
        } catch (NumberFormatException notOne) {
            // Said below, as for a number that cannot be.
        }
        throw new InvalidField(field, Messages.text("PotUp.number", "typed", typed, "least", least, "most", most));
    }
}
