package garden.vivarium.app.technique;

import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.simulate.Practice;
import garden.vivarium.core.simulate.Practice.Act;
import garden.vivarium.core.simulate.Practice.What;
import garden.vivarium.core.simulate.TrueRates;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The practice tray; its address holds all that was done, so that nothing is kept and going back takes an act back. */
@Controller
@RequestMapping("/technique/practice")
class PracticeController {

    private static final int PIECES = 24;
    private static final int MOST_ACTS = 200;
    private static final double RHO = 0.08;
    private static final double TAU = 0.2;
    private static final double SHOWN = 0.5;
    private static final Pattern ACT = Pattern.compile("(\\d{1,3})([LMC])");

    private final Guide guide;
    private final Protocols protocols;

    PracticeController(Guide guide, Protocols protocols) {
        this.guide = guide;
        this.protocols = protocols;
    }

    /** A press: what it is called, and where it leads. */
    record Press(String name, String address, boolean main) {}

    @GetMapping
    String page(
            @RequestParam(required = false) String protocol,
            @RequestParam(defaultValue = "1") int seed,
            @RequestParam(defaultValue = "0") int day,
            @RequestParam(name = "acts", required = false) String said,
            Model model) {
        List<Protocol> ways = Stream.concat(guide.protocols().stream(), protocols.own().stream())
                .filter(p -> p.ready().days().d10() >= 5)
                .toList();
        Protocol way = ways.stream()
                .filter(p -> p.key().equals(protocol))
                .findFirst()
                .orElseGet(() -> ways.stream()
                        .filter(p -> p.key().equals("tip-in-plugs"))
                        .findFirst()
                        .orElse(ways.get(0)));
        // A blank one is none.
        String acts = said == null ? "" : said;
        List<Act> done = read(acts);
        int now = Math.max(
                Math.min(Practice.LAST, Math.max(0, day)),
                done.isEmpty() ? 0 : done.get(done.size() - 1).day());
        Practice tray = Practice.play(truth(way), PIECES, seed, done);
        model.addAttribute("ways", ways);
        model.addAttribute("way", way);
        model.addAttribute("seed", seed);
        model.addAttribute("day", now);
        model.addAttribute("tray", tray);
        model.addAttribute("readySeen", Collections.frequency(tray.seen(), PieceState.READY));
        model.addAttribute("lostSeen", Collections.frequency(tray.seen(), PieceState.LOST));
        model.addAttribute("acts", done);
        model.addAttribute("again", address(way, seed + 1, 0, ""));
        if (tray.isOver()) {
            model.addAttribute("score", tray.score());
        } else {
            model.addAttribute("presses", presses(way, seed, now, acts, tray));
        }
        return "technique/practice";
    }

    private static List<Act> read(String acts) {
        List<Act> done = new ArrayList<>();
        Matcher m = ACT.matcher(acts);
        while (m.find() && done.size() < MOST_ACTS) {
            What what = switch (m.group(2)) {
                case "L" -> What.LOOK;
                case "M" -> What.MOVE;
                default -> What.CLOSE;
            };
            Act act = new Act(Integer.parseInt(m.group(1)), what);
            boolean forward = done.isEmpty()
                    || (act.day() >= done.get(done.size() - 1).day()
                            && done.get(done.size() - 1).what() != What.CLOSE);
            if (!forward || act.day() > Practice.LAST) {
                throw new NotFound(Messages.text("PracticeController.no.such.tray"));
            }
            done.add(act);
        }
        return done;
    }

    /** As the guide has it, with the usual spread between batches; half of the failures show themselves. */
    private static Practice.Way truth(Protocol p) {
        return new Practice.Way(
                new TrueRates(
                        Math.max(0.02, Math.min(0.98, p.figures().rate())),
                        RHO,
                        TAU,
                        p.firstSign().map(Protocol.Test::days),
                        p.ready().days(),
                        SHOWN),
                p.course().tooLong(),
                p.figures().establishment().rate());
    }

    private static List<Press> presses(Protocol way, int seed, int day, String acts, Practice tray) {
        List<Press> presses = new ArrayList<>();
        int ready = 0;
        for (int i = 0; i < PIECES; i++) {
            ready += !tray.isMoved(i) && tray.seen().get(i) == PieceState.READY ? 1 : 0;
        }
        if (day > tray.lastLook()) {
            presses.add(new Press(
                    Messages.text("PracticeController.look"), address(way, seed, day, acts + day + "L"), true));
        }
        if (ready > 0) {
            presses.add(new Press(
                    Messages.text("PracticeController.move", "ready", ready),
                    address(way, seed, day, acts + day + "M"),
                    true));
        }
        for (int wait : new int[] {1, 3, 7}) {
            if (day + wait <= Practice.LAST) {
                presses.add(new Press(
                        Messages.text("PracticeController.on", "days", wait),
                        address(way, seed, day + wait, acts),
                        false));
            }
        }
        if (day > 0) {
            presses.add(new Press(
                    Messages.text("PracticeController.close.the.tray"),
                    address(way, seed, day, acts + day + "C"),
                    false));
        }
        return presses;
    }

    private static String address(Protocol way, int seed, int day, String acts) {
        return UriComponentsBuilder.fromPath("/technique/practice")
                .queryParam("protocol", way.key())
                .queryParam("seed", seed)
                .queryParam("day", day)
                .queryParam("acts", acts)
                .encode()
                .toUriString();
    }
}
