package garden.vivarium.app.technique;

import garden.vivarium.app.batch.TreatmentsToSettle;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.treatment.Treatments;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What could not be read of treatments, and what it was. */
@Controller
@RequestMapping("/technique/treatments")
class TreatmentsController {

    private final TreatmentsToSettle treatments;

    TreatmentsController(TreatmentsToSettle treatments) {
        this.treatments = treatments;
    }

    @GetMapping
    String unread(Model model) {
        model.addAttribute("unread", treatments.all());
        return "technique/treatments";
    }

    @PostMapping
    String settle(@RequestParam String words, @RequestParam(required = false) String is, RedirectAttributes next) {
        return FormActions.run(next, "/technique/treatments", () -> {
            int batches = treatments.settle(words, is);
            String now = Treatments.read(is).written();
            return Messages.text(
                    "TreatmentsToSettle.settled", "batches", batches, "treatment", now.isEmpty() ? "none" : now);
        });
    }
}
