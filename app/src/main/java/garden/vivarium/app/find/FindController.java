package garden.vivarium.app.find;

import garden.vivarium.app.platform.Messages;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.util.UriComponentsBuilder;

/** The search: as a page, and as a list for the box that {@code /} opens. */
@Controller
@RequestMapping("/find")
class FindController {

    private static final int LONGEST = 100;

    /** "24 skerry", "as many as FUC-3 gives". */
    private static final Pattern AIM = Pattern.compile("\\s*(\\d{1,4} \\p{L}|a dozen |as many ).*");

    private final Finder finder;

    FindController(Finder finder) {
        this.finder = finder;
    }

    @GetMapping
    String page(@RequestParam(required = false) String q, Model model) {
        model.addAttribute("q", q == null ? "" : q);
        model.addAttribute("found", found(cut(q)));
        return "find/find";
    }

    @GetMapping(path = "/list", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    List<Found> list(@RequestParam(required = false) String q) {
        return found(cut(q));
    }

    /** What is found and, where the words read like an aim, the way to plan it. */
    private List<Found> found(String words) {
        List<Found> found = new ArrayList<>();
        if (AIM.matcher(words).matches()) {
            found.add(new Found(
                    UriComponentsBuilder.fromPath("/plan/line")
                            .queryParam("line", "{line}")
                            .encode()
                            .buildAndExpand(words.strip())
                            .toUriString(),
                    words.strip(),
                    Messages.text("FindController.plan.it")));
        }
        found.addAll(finder.find(words));
        return found;
    }

    private static String cut(String q) {
        String words = q == null ? "" : q;
        return words.length() > LONGEST ? words.substring(0, LONGEST) : words;
    }
}
