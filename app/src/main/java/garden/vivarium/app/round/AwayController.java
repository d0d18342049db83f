package garden.vivarium.app.round;

import garden.vivarium.app.platform.InvalidField;
import java.time.LocalDate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** An absence, beside the round. */
@Controller
class AwayController {

    private final Away away;

    AwayController(Away away) {
        this.away = away;
    }

    @GetMapping("/round/away")
    String page(
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate back,
            Model model) {
        model.addAttribute("from", from);
        model.addAttribute("back", back);
        if (from != null && back != null) {
            try {
                model.addAttribute("away", away.judge(from, back));
            } catch (InvalidField p) {
                model.addAttribute("wrong", p);
                model.addAttribute("why", p.getMessage());
            }
        }
        return "round/away";
    }
}
