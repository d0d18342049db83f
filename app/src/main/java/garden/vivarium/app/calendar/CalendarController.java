package garden.vivarium.app.calendar;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The calendar: its page, its download, and what private addresses give. */
@Controller
@RequestMapping("/calendar")
class CalendarController {

    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=UTF-8");

    private final NurseryCalendar calendar;
    private final Feeds feeds;
    private final CurrentNursery nursery;

    CalendarController(NurseryCalendar calendar, Feeds feeds, CurrentNursery nursery) {
        this.calendar = calendar;
        this.feeds = feeds;
        this.nursery = nursery;
    }

    @GetMapping
    String page(Model model) {
        model.addAttribute("feeds", feeds.list());
        return "calendar/calendar";
    }

    @GetMapping("/download")
    ResponseEntity<String> download() {
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"vivarium.ics\"")
                .body(calendar.text());
    }

    @PostMapping
    String make(@RequestParam(required = false) String name, RedirectAttributes next) {
        return FormActions.run(next, "/calendar", () -> {
            next.addFlashAttribute(
                    "address",
                    ServletUriComponentsBuilder.fromCurrentContextPath()
                            .path("/calendar/feed/{token}.ics")
                            .buildAndExpand(feeds.make(name))
                            .toUriString());
            return Messages.text("CalendarController.an.address.is.made");
        });
    }

    @PostMapping("/{id}/withdraw")
    String withdraw(@PathVariable UUID id, RedirectAttributes next) {
        feeds.withdraw(id);
        next.addFlashAttribute("said", Messages.text("CalendarController.withdrawn.whoever.holds.that.address"));
        return "redirect:/calendar";
    }

    /** Whoever holds a private address needs no sign-in; the address is the key. */
    @GetMapping("/feed/{token:[A-Za-z0-9_-]{20,80}}.ics")
    ResponseEntity<String> feed(@PathVariable String token) {
        UUID of = feeds.nurseryOf(token)
                .orElseThrow(() -> new NotFound(Messages.text("CalendarController.no.such.calendar")));
        return ResponseEntity.ok().contentType(CALENDAR).body(nursery.workingFor(of, calendar::text));
    }
}
