package garden.vivarium.app.find;

import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The search: as a page, and as a list for the box that {@code /} opens. */
@Controller
@RequestMapping("/find")
class FindController {

    private static final int LONGEST = 100;

    private final Finder finder;

    FindController(Finder finder) {
        this.finder = finder;
    }

    @GetMapping
    String page(@RequestParam(defaultValue = "") String q, Model model) {
        model.addAttribute("q", q);
        model.addAttribute("found", finder.find(cut(q)));
        return "find/find";
    }

    @GetMapping(path = "/list", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    List<Found> list(@RequestParam(defaultValue = "") String q) {
        return finder.find(cut(q));
    }

    private static String cut(String q) {
        return q.length() > LONGEST ? q.substring(0, LONGEST) : q;
    }
}
