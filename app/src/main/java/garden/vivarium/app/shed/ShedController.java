package garden.vivarium.app.shed;

import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Missing;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The Shed place: the guide, and records in. */
@Controller
class ShedController {

    private final Guide guide;
    private final People people;

    ShedController(Guide guide, People people) {
        this.guide = guide;
        this.people = people;
    }

    @GetMapping("/shed")
    String shed(Model model) {
        model.addAttribute("guide", guide);
        return "shed/shed";
    }

    @GetMapping("/guide/{key}")
    String protocol(@PathVariable String key, Model model) {
        Protocol protocol = guide.protocol(key).orElseThrow(() -> new Missing("no such protocol"));
        model.addAttribute("p", protocol);
        model.addAttribute("method", guide.method(protocol.method()).orElseThrow());
        model.addAttribute("months", protocol.season().localMonths(people.hemisphere()));
        model.addAttribute(
                "cautions",
                protocol.cautions().stream()
                        .flatMap(c -> guide.caution(c).stream())
                        .toList());
        model.addAttribute(
                "groups",
                protocol.groups().stream().flatMap(g -> guide.group(g).stream()).toList());
        return "shed/protocol";
    }
}
