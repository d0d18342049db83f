package garden.vivarium.app.shed;

import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.core.Grown;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.Protocol;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The Shed, and the guide to read. */
@Controller
class ShedController {

    private final Guide guide;
    private final Protocols protocols;
    private final Schools schools;
    private final People people;

    ShedController(Guide guide, Protocols protocols, Schools schools, People people) {
        this.guide = guide;
        this.protocols = protocols;
        this.schools = schools;
        this.people = people;
    }

    @GetMapping("/shed")
    String shed(@RequestParam(required = false) String group, Model model) {
        PlantGroup chosen = group == null
                ? guide.groups().get(0)
                : guide.group(group).orElse(guide.groups().get(0));
        List<Protocol> ways = protocols.suiting(chosen.key());
        model.addAttribute("guide", guide);
        model.addAttribute("chosen", chosen);
        model.addAttribute("ways", ways);
        model.addAttribute(
                "methods",
                guide.methods().stream()
                        .filter(m -> ways.stream().anyMatch(w -> w.method().equals(m.name())))
                        .toList());
        model.addAttribute("own", protocols.own());
        return "shed/shed";
    }

    @GetMapping("/guide/{key}")
    String protocol(@PathVariable String key, @RequestParam(required = false) Integer version, Model model) {
        Protocol protocol = (version == null ? protocols.current(key) : protocols.version(key, version))
                .orElseThrow(() -> new NotFound(Messages.text("ShedController.no.such.protocol")));
        model.addAttribute("p", protocol);
        model.addAttribute("method", guide.method(protocol.method()).orElseThrow());
        model.addAttribute("page", guide.page(protocol.method()));
        model.addAttribute("months", protocol.material().season().localMonths(people.hemisphere()));
        model.addAttribute(
                "cautions", guide.cautions(Grown.ofGroup(protocol.groups().get(0)), protocol));
        model.addAttribute("versions", protocol.isOwn() ? protocols.versions(key) : List.of());
        model.addAttribute(
                "groups",
                protocol.groups().stream().flatMap(g -> guide.group(g).stream()).toList());
        return "shed/protocol";
    }

    @GetMapping("/guide/methods/{name}")
    String method(@PathVariable String name, Model model) {
        Method method =
                guide.method(name).orElseThrow(() -> new NotFound(Messages.text("ShedController.no.such.method")));
        model.addAttribute("method", method);
        model.addAttribute("page", guide.page(method.name()));
        model.addAttribute(
                "ways",
                guide.protocols().stream()
                        .filter(p -> p.method().equals(method.name()))
                        .toList());
        model.addAttribute(
                "cautions",
                method.cautions().stream()
                        .flatMap(c -> guide.caution(c).stream())
                        .toList());
        model.addAttribute("guide", guide);
        return "shed/method";
    }

    @GetMapping("/guide/jobs/{group}/{method}")
    String job(@PathVariable String group, @PathVariable String method, Model model) {
        PlantGroup known =
                guide.group(group).orElseThrow(() -> new NotFound(Messages.text("ShedController.no.such.group")));
        Method how =
                guide.method(method).orElseThrow(() -> new NotFound(Messages.text("ShedController.no.such.method")));
        model.addAttribute("group", known);
        model.addAttribute("method", how);
        model.addAttribute("columns", schools.job(known.key(), how.name()));
        return "shed/job";
    }

    @GetMapping("/guide/schools")
    String schools(Model model) {
        model.addAttribute("questions", schools.questions());
        return "shed/schools";
    }
}
